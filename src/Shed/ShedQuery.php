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

    /**
     * @param int|null $after  the number of the machine after which the page begins; null for the first page
     * @param int|null $before the number of the machine before which it ends
     */
    public function __construct(
        public string $find = '',
        public ?MachineKind $kind = null,
        public ?Progress $stand = null,
        public bool $handedBack = false,
        public ShedSort $sort = ShedSort::Wanted,
        public ?int $after = null,
        public ?int $before = null,
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

        $number = static fn (string $key): ?int => false === ($number = filter_var($text($key), \FILTER_VALIDATE_INT, ['options' => ['min_range' => 1, 'max_range' => 999_999_999]])) ? null : $number;

        return new self(
            mb_substr(mb_scrub($text('find')), 0, self::LONGEST_TEXT),
            MachineKind::tryFrom($text('kind')),
            Progress::tryFrom($text('stand')),
            'handed_back' === $text('stand'),
            ShedSort::tryFrom($text('sort')) ?? ShedSort::Wanted,
            $number('after'),
            null === $number('after') ? $number('before') : null,
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
