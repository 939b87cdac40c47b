<?php

declare(strict_types=1);

namespace AwakeShed\App\Money;

use AwakeShed\Core\Money\Bill;
use AwakeShed\Core\Money\Pace;

/** What a job costs so far, and what its owner has agreed to. */
final readonly class JobMoney
{
    /**
     * @param list<Charge>   $charges
     * @param list<Estimate> $estimates oldest first
     * @param list<string>   $unpriced  parts that came for it and stand on no line
     */
    public function __construct(public Bill $bill, public array $charges, public array $estimates, public Pace $pace, public bool $isLaborReckoned, public array $unpriced)
    {
    }

    public function last(): ?Estimate
    {
        return $this->estimates[\count($this->estimates) - 1] ?? null;
    }

    /** Dollars up to which the owner has agreed; null where nobody has asked, or no answer came yet. */
    public function upTo(): ?float
    {
        foreach (array_reverse($this->estimates) as $estimate) {
            if (null !== $estimate->getWord()) {
                return OwnersWord::Declined === $estimate->getWord() ? 0.0 : $estimate->getUpTo();
            }
        }

        return null;
    }

    /** Whether it has come to more than was agreed: the owner is asked again. */
    public function isPast(): bool
    {
        $upTo = $this->upTo();

        return null !== $upTo && $this->bill->total->inDollars() > $upTo + 0.005;
    }
}
