<?php

declare(strict_types=1);

namespace AwakeShed\App\Trace;

use AwakeShed\App\Account\ByMember;
use AwakeShed\App\Account\Member;
use AwakeShed\App\Account\RecordedBy;
use AwakeShed\App\Belonging\BelongsToShop;
use AwakeShed\App\Belonging\OfShop;
use AwakeShed\App\Device\Gauge\TraceKind;
use AwakeShed\App\Job\Job;
use AwakeShed\Core\Trace\Series;
use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;

/** A recorded series, of a job or of none. Samples lie as pairs of little-endian doubles, seconds and SI amount. */
#[ORM\Entity(repositoryClass: TraceRepository::class)]
#[ORM\Index(columns: ['kind', 'at'])]
class Trace implements BelongsToShop, RecordedBy
{
    use ByMember;
    use OfShop;

    public const BYTES = 16;
    private const LONGEST_NAME = 120;

    /** Samples unpacked at once: more would need the memory of all twice. */
    private const AT_ONCE = 4096;

    #[ORM\Id, ORM\GeneratedValue, ORM\Column]
    private ?int $id = null;

    #[ORM\ManyToOne]
    private ?Job $job;

    #[ORM\Column(enumType: TraceKind::class, length: 10)]
    private TraceKind $kind;

    #[ORM\Column(enumType: TraceState::class, length: 10)]
    private TraceState $state;

    /** Where it came from: the file, or what was recorded. */
    #[ORM\Column(length: 120)]
    private string $name;

    #[ORM\ManyToOne, ORM\JoinColumn(nullable: false)]
    private Member $by;

    #[ORM\Column(type: Types::DATETIME_IMMUTABLE)]
    private \DateTimeImmutable $at;

    /** @var resource|string */
    #[ORM\Column(type: Types::BLOB, length: 4_294_967_295)]
    private mixed $samples = '';

    /** Made up by a stand-in that ships with the shed. */
    #[ORM\Column]
    private bool $isSimulated = false;

    private function __construct(TraceKind $kind, TraceState $state, ?Job $job, string $name, Member $by, \DateTimeImmutable $at)
    {
        $this->kind = $kind;
        $this->state = $state;
        $this->job = $job;
        $this->name = mb_substr(trim($name), 0, self::LONGEST_NAME);
        $this->by = $by;
        $this->at = $at;
    }

    public static function imported(TraceKind $kind, ?Job $job, string $name, Member $by, \DateTimeImmutable $at, Series $series, bool $isSimulated = false): self
    {
        $trace = new self($kind, TraceState::Done, $job, $name, $by, $at);
        $trace->isSimulated = $isSimulated;
        $trace->samples = self::pack($series->times, $series->values);

        return $trace;
    }

    public static function begun(TraceKind $kind, ?Job $job, string $name, Member $by, \DateTimeImmutable $at): self
    {
        return new self($kind, TraceState::Recording, $job, $name, $by, $at);
    }

    /**
     * @param list<float> $times  s
     * @param list<float> $values SI, as many
     */
    public static function pack(array $times, array $values): string
    {
        $packed = '';
        foreach ($times as $index => $time) {
            $packed .= pack('ee', $time, $values[$index]);
        }

        return $packed;
    }

    public function end(): void
    {
        $this->state = TraceState::Done;
    }

    public function series(): Series
    {
        $bytes = \is_string($this->samples) ? $this->samples : (string) stream_get_contents($this->samples, offset: 0);
        $times = $values = [];
        for ($from = 0; $from < \strlen($bytes); $from += self::AT_ONCE * self::BYTES) {
            $pairs = unpack('e*', substr($bytes, $from, self::AT_ONCE * self::BYTES));
            foreach (false === $pairs ? [] : array_values($pairs) as $index => $number) {
                \assert(\is_float($number));
                if (0 === $index % 2) {
                    $times[] = $number;
                } else {
                    $values[] = $number;
                }
            }
        }

        return Series::fromSamples($times, $values);
    }

    public function getId(): int
    {
        return $this->id ?? throw new \LogicException('A trace has its number once it is saved.');
    }

    public function getJob(): ?Job
    {
        return $this->job;
    }

    public function getKind(): TraceKind
    {
        return $this->kind;
    }

    public function isRecording(): bool
    {
        return TraceState::Recording === $this->state;
    }

    public function isSimulated(): bool
    {
        return $this->isSimulated;
    }

    public function getName(): string
    {
        return $this->name;
    }

    public function getAt(): \DateTimeImmutable
    {
        return $this->at;
    }
}
