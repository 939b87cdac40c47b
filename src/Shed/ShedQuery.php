<?php

declare(strict_types=1);

namespace AwakeShed\App\Shed;

use AwakeShed\Core\Evidence\MachineKind;
use AwakeShed\Core\Progress\Progress;
use Symfony\Component\HttpFoundation\InputBag;

/** What somebody wants to see of the shed. */
final readonly class ShedQuery
{
    /** Rows on one page. */
    public const PAGE = 25;

    private const LONGEST_TEXT = 60;

    public function __construct(
        public string $find = '',
        public ?MachineKind $kind = null,
        public ?Progress $stand = null,
        public bool $handedBack = false,
        public ShedSort $sort = ShedSort::Wanted,
        public int $page = 1,
    ) {
    }

    /**
     * An address somebody has mangled shows the whole shed rather than an error.
     *
     * @template T of bool|float|int|string
     *
     * @param InputBag<T> $query
     */
    public static function fromAddress(InputBag $query): self
    {
        $text = static function (string $key) use ($query): string {
            $value = $query->all()[$key] ?? '';

            return \is_string($value) ? trim($value) : '';
        };

        return new self(
            mb_substr(mb_scrub($text('find')), 0, self::LONGEST_TEXT),
            MachineKind::tryFrom($text('kind')),
            Progress::tryFrom($text('stand')),
            'handed_back' === $text('stand'),
            ShedSort::tryFrom($text('sort')) ?? ShedSort::Wanted,
            max(1, min(100_000, (int) $text('page'))),
        );
    }

    public function isNarrowed(): bool
    {
        return '' !== $this->find || null !== $this->kind || null !== $this->stand || $this->handedBack;
    }

    /**
     * The address parameters of this query with some changed; what is as usual is left out.
     *
     * @param array<string, string|int|null> $changed
     *
     * @return array<string, string|int>
     */
    public function address(array $changed = []): array
    {
        $all = $changed + [
            'find' => $this->find,
            'kind' => $this->kind?->value,
            'stand' => $this->handedBack ? 'handed_back' : $this->stand?->value,
            'sort' => ShedSort::Wanted === $this->sort ? null : $this->sort->value,
        ];

        return array_filter($all, static fn (string|int|null $value): bool => null !== $value && '' !== $value);
    }
}
