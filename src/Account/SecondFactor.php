<?php

declare(strict_types=1);

namespace AwakeShed\App\Account;

use Doctrine\ORM\Mapping as ORM;

/** A person's second factor: a secret shared with an app that counts time, and codes on paper for when it is lost. */
#[ORM\Embeddable]
class SecondFactor
{
    /** Sealed with the shed's own secret, {@see Seal}; null: none is set up. */
    #[ORM\Column(length: 200, nullable: true)]
    private ?string $sealed = null;

    /** The step of time whose code was used last: a code seen over somebody's shoulder opens nothing. */
    #[ORM\Column]
    private int $lastStep = 0;

    /** @var list<string> SHA-256 of the codes that are left */
    #[ORM\Column]
    private array $recovery = [];

    /** @param list<string> $recovery codes in clear, shown once */
    public function begin(string $sealed, int $step, array $recovery): void
    {
        $this->sealed = $sealed;
        $this->lastStep = $step;
        $this->recovery = array_map(self::digest(...), $recovery);
    }

    public function end(): void
    {
        $this->sealed = null;
        $this->recovery = [];
    }

    public function isOn(): bool
    {
        return null !== $this->sealed;
    }

    public function getSealed(): string
    {
        return (string) $this->sealed;
    }

    /** @return bool whether it was good: each step of time is once */
    public function use(int $step): bool
    {
        if ($step <= $this->lastStep) {
            return false;
        }
        $this->lastStep = $step;

        return true;
    }

    /** @return bool whether it was one of those that are left; it is not any more */
    public function useRecovery(string $code): bool
    {
        $left = array_values(array_filter($this->recovery, static fn (string $known): bool => !hash_equals($known, self::digest($code))));
        $isGood = \count($left) < \count($this->recovery);
        $this->recovery = $left;

        return $isGood;
    }

    public function recoveryLeft(): int
    {
        return \count($this->recovery);
    }

    private static function digest(string $code): string
    {
        return hash('sha256', strtolower((string) preg_replace('/[^a-z0-9]/i', '', $code)));
    }
}
