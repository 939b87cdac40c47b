<?php

declare(strict_types=1);

namespace AwakeShed\Core\Carburetor;

use AwakeShed\Core\Evidence\Finding;

/**
 * The state of one carburetor that is stripped: what lies on the mat, which passages are proved, what is checked.
 *
 * It is folded from what was done. A move that no longer fits because an earlier one was taken back is passed over, so
 * taking back never leaves a record that cannot be read.
 */
final readonly class PartsLedger
{
    public const MOST_PARTS = 120;

    /** By test, the parts that are in their place while it is made (common practice). */
    private const IN_PLACE = ['needle.pressure' => ['needle', 'seat', 'float', 'float_pin', 'metering_lever'], 'leak.static' => ['needle', 'bowl', 'bowl_bolt', 'bowl_nut', 'bowl_gasket']];

    /** Characters of a name or a note. */
    public const LONGEST = 80;

    /** What may be noted of a part. */
    public const NOTES = ['orientation', 'hole', 'turns', 'bore', 'size', 'screws', 'remark'];

    /**
     * @param array<int, Part>                                                         $parts   by place
     * @param array<string, array{seen: list<string>, blocked: bool, holes: int|null}> $tried   by passage
     * @param list<string>                                                             $checked since a part was last moved
     * @param list<string>                                                             $staysOn kinds that need not come off
     */
    private function __construct(
        private Carburetors $carburetors,
        public bool $isOpen = false,
        public ?CarburetorType $type = null,
        public array $parts = [],
        private array $tried = [],
        public array $checked = [],
        public bool $wasClosed = false,
        public array $staysOn = [],
    ) {
    }

    /** @param list<Move> $moves in the order they were done */
    public static function folded(Carburetors $carburetors, array $moves): self
    {
        $ledger = new self($carburetors);
        foreach ($moves as $move) {
            try {
                $ledger = $ledger->after($move);
            } catch (ImpossibleMove) {
                continue;
            }
        }

        return $ledger;
    }

    /** @throws ImpossibleMove when it cannot be done as the ledger stands */
    public function after(Move $move): self
    {
        // Covers may wait until the bare first run is over, and the ledger is closed for it.
        $isLateCover = MoveKind::On === $move->kind() && $this->wasClosed && true === ($this->parts[$move->place() ?? 0] ?? null)?->isCover();
        if (MoveKind::Begin !== $move->kind() && !$this->isOpen && !$isLateCover) {
            throw ImpossibleMove::notBegun();
        }

        return $move->on($this);
    }

    /**
     * What is tested in its place cannot be while it lies on the mat.
     *
     * @throws ImpossibleMove
     */
    public function demandInPlace(string $test): void
    {
        foreach ($this->onMat() as $part) {
            if (\in_array($part->kind, self::IN_PLACE[$test] ?? [], true)) {
                throw ImpossibleMove::liesOnTheMat($part->kind ?? '', $test);
            }
        }
    }

    /**
     * What is back on, and checked, is what the ledger says while it is open.
     *
     * @throws ImpossibleMove
     */
    public function demandSaidElsewhere(string $act): void
    {
        if ($this->isApart() && \in_array($act, $this->carburetors->saidByLedger, true)) {
            throw ImpossibleMove::atTheBench($act);
        }
    }

    public function nextPlace(): int
    {
        return [] === $this->parts ? 1 : max(array_keys($this->parts)) + 1;
    }

    /** @return list<PartKind> of the type, not off yet, in the order they usually come off; those that stay on last */
    public function stillOn(): array
    {
        $off = array_map(static fn (Part $part): ?string => $part->kind, $this->parts);
        $on = array_filter($this->type->parts ?? [], static fn (PartKind $kind): bool => !\in_array($kind->id, $off, true));

        return [...array_filter($on, fn (PartKind $kind): bool => !$this->isToStay($kind)), ...array_filter($on, $this->isToStay(...))];
    }

    /** @throws ImpossibleMove when no part of that kind is on, or it was said already that it stays */
    private function demandStillOn(string $id): PartKind
    {
        foreach ($this->stillOn() as $kind) {
            if ($kind->id === $id && !$this->isToStay($kind)) {
                return $kind;
            }
        }

        throw ImpossibleMove::noSuch('part', $id);
    }

    /** @throws ImpossibleMove when no part of that kind is on, or it was said already that it stays */
    public function staying(string $kind): self
    {
        return $this->with(staysOn: [...$this->staysOn, $this->demandStillOn($kind)->id]);
    }

    private function isToStay(PartKind $kind): bool
    {
        return \in_array($kind->id, $this->staysOn, true);
    }

    /**
     * The part that comes off next: the first of the type, or the one that follows what came off last. Work that was begun
     * at the bowl goes on from there, and what was passed over is not come back to.
     *
     * @param bool $isBowlOnly nothing in front of the bowl comes off for it
     */
    public function nextOff(bool $isBowlOnly): ?PartKind
    {
        $kinds = array_map(static fn (PartKind $kind): string => $kind->id, $this->type->parts ?? []);
        $off = array_filter(array_map(static fn (Part $part): int|false => array_search($part->kind, $kinds, true), $this->parts), \is_int(...));
        $from = [] === $off ? ($isBowlOnly ? $this->firstOfBowl($kinds) : 0) : $off[array_key_last($off)] + 1;

        return array_values(array_filter($this->stillOn(), fn (PartKind $kind): bool => !$this->isToStay($kind) && array_search($kind->id, $kinds, true) >= $from))[0] ?? null;
    }

    /** @return list<Part> what lies on the mat, the last that came off first: the order it goes back in */
    public function onMat(): array
    {
        return array_values(array_filter(array_reverse($this->parts), static fn (Part $part): bool => $part->liesOnTheMat()));
    }

    /** @return list<Part> what is knowingly left off */
    public function leftOff(): array
    {
        return array_values(array_filter($this->parts, static fn (Part $part): bool => !$part->isOn && !$part->liesOnTheMat()));
    }

    /** @return array<string, list<Part>> by stack, the gaskets and what lies between them, in the order they go on */
    public function stacks(): array
    {
        $stacks = [];
        foreach (array_reverse($this->parts) as $part) {
            if (null !== $part->stack) {
                $stacks[$part->stack][] = $part;
            }
        }

        return $stacks;
    }

    /** @return list<Part> what lies on the mat and has to be back before the check: covers may wait */
    public function toGoBack(): array
    {
        return array_values(array_filter($this->onMat(), static fn (Part $part): bool => !$part->isCover()));
    }

    /** @return list<CoverCheck> not passed since a part was last moved */
    public function checksLeft(): array
    {
        return array_values(array_filter($this->carburetors->checks, fn (CoverCheck $check): bool => !\in_array($check->id, $this->checked, true)));
    }

    /** Whether the engine must not be started for it: something came off, and the ledger is not closed. */
    public function isApart(): bool
    {
        return $this->isOpen && [] !== $this->parts;
    }

    public function passage(string $id): ?PassageState
    {
        $passage = $this->type?->passage($id);
        $tried = $this->tried[$id] ?? ['seen' => [], 'blocked' => false, 'holes' => null];

        return null === $passage ? null : new PassageState($passage, $tried['seen'], $tried['blocked'], $tried['holes']);
    }

    /** @return list<PassageState> */
    public function passages(): array
    {
        return array_map(fn (Passage $passage): PassageState => $this->passage($passage->id) ?? throw new \LogicException('A type has its own passages.'), $this->type->passages ?? []);
    }

    /** @return list<PassageState> tried, and not proved clear */
    public function notClear(): array
    {
        return array_values(array_filter($this->passages(), static fn (PassageState $state): bool => !$state->isProved() && 'untried' !== $state->word()));
    }

    /** What the passages of a test come to, in the vocabulary's words; null while nothing is settled. */
    public function finding(string $passage): ?Finding
    {
        $test = $this->type?->passage($passage)?->test;
        if (null === $test) {
            return null;
        }
        $states = array_filter($this->passages(), static fn (PassageState $state): bool => $state->passage->test === $test);
        $blocked = array_filter($states, static fn (PassageState $state): bool => $state->isBlocked);
        if ([] !== $blocked) {
            $isPart = [] !== array_filter($states, static fn (PassageState $state): bool => [] !== $state->seen);

            return Finding::observed($test, match (true) {
                'look.inlet_screen' === $test => 'clogged',
                $isPart => 'partial',
                default => 'blocked',
            });
        }

        return [] === array_filter($states, static fn (PassageState $state): bool => !$state->isProved()) ? Finding::observed($test, 'clear') : null;
    }

    /**
     * A new ledger, of a type or free.
     *
     * @param RemovalTemplate|null $order of the shop's own
     *
     * @throws ImpossibleMove
     */
    public function begun(string $type, ?RemovalTemplate $order): self
    {
        if ($this->isOpen) {
            throw ImpossibleMove::begunAlready();
        }
        if (!$this->carburetors->has($type)) {
            throw ImpossibleMove::noSuch('carburetor type', $type);
        }
        $known = $this->carburetors->types[$type] ?? null;
        if (null !== $order) {
            $known = ($known ?? new CarburetorType(Carburetors::FREE, [], []))->inOrder($order->parts);
        }

        return new self($this->carburetors, true, $known);
    }

    /** @throws ImpossibleMove when something lies there, or nothing more can be laid down */
    public function demandFree(int $place): void
    {
        if (isset($this->parts[$place])) {
            throw ImpossibleMove::noSuchPlace($place);
        }
        if (\count($this->parts) >= self::MOST_PARTS) {
            throw ImpossibleMove::tooMany(self::MOST_PARTS);
        }
    }

    /** @throws ImpossibleMove when what the part is made of must stay out of it */
    public function demandMayGoInto(Part $part, Method $method): void
    {
        $this->carburetors->cleaning->demand($part->material, $method);
    }

    /** @throws ImpossibleMove when the type has no such passage */
    public function demandPassage(string $id): PassageState
    {
        return $this->passage($id) ?? throw ImpossibleMove::noSuch('passage', $id);
    }

    /** Whether the engine runs safely without it: of the type's own parts, few; what somebody found besides them is theirs to judge. */
    public function mayBeLeftOff(Part $part): bool
    {
        return null === $part->kind || null === $this->type?->part($part->kind) || str_starts_with($part->kind, 'own-') || \in_array($part->kind, $this->carburetors->mayBeLeftOff, true);
    }

    /** @param list<string> $kinds of the type, in order */
    private function firstOfBowl(array $kinds): int
    {
        $fasteners = array_intersect($kinds, $this->carburetors->holdTheBowl);

        return [] === $fasteners ? 0 : array_key_first($fasteners);
    }

    /** A part that comes off or goes on may undo what was checked; a note does not. */
    public function withPart(Part $part): self
    {
        $isMoved = ($this->parts[$part->place] ?? null)?->isOn !== $part->isOn && !$part->isCover();
        $parts = [$part->place => $part] + $this->parts;
        ksort($parts);

        return $this->with(parts: $parts, checked: $isMoved ? [] : $this->checked, staysOn: array_values(array_diff($this->staysOn, [$part->kind])));
    }

    /**
     * @param list<string> $seen  exits something came out of
     * @param int|null     $holes counted open
     */
    public function tried(string $passage, array $seen, bool $isBlocked, ?int $holes): self
    {
        return $this->with(tried: [$passage => ['seen' => $seen, 'blocked' => $isBlocked, 'holes' => $holes]] + $this->tried);
    }

    /** @throws ImpossibleMove when there is no such point */
    public function pointOfCheck(string $id): CoverCheck
    {
        return $this->carburetors->check($id) ?? throw ImpossibleMove::noSuch('check', $id);
    }

    /**
     * A point passes with what is right, and stays open with anything else.
     *
     * @throws ImpossibleMove
     */
    public function checkedOff(string $id, ?string $outcome): self
    {
        $check = $this->pointOfCheck($id);
        if (null !== $check->test) {
            $this->demandInPlace($check->test);
        }
        if (!$check->isPassedBy($outcome)) {
            return $this->with(checked: array_values(array_diff($this->checked, [$id])));
        }
        // Checked with a part still lying there, it would have to be checked again.
        if ([] !== $this->toGoBack()) {
            throw ImpossibleMove::partsLeft(\count($this->toGoBack()));
        }

        return $this->with(checked: array_values(array_unique([...$this->checked, $id])));
    }

    /** @throws ImpossibleMove */
    public function closed(): self
    {
        if ([] !== $this->toGoBack() || [] !== $this->checksLeft()) {
            throw ImpossibleMove::notClosable(\count($this->toGoBack()), \count($this->checksLeft()));
        }

        return new self($this->carburetors, false, $this->type, $this->parts, $this->tried, $this->checked, true, $this->staysOn);
    }

    /**
     * @param array<int, Part>|null                                                         $parts
     * @param array<string, array{seen: list<string>, blocked: bool, holes: int|null}>|null $tried
     * @param list<string>|null                                                             $checked
     * @param list<string>|null                                                             $staysOn
     */
    private function with(?array $parts = null, ?array $tried = null, ?array $checked = null, ?array $staysOn = null): self
    {
        return new self($this->carburetors, $this->isOpen, $this->type, $parts ?? $this->parts, $tried ?? $this->tried, $checked ?? $this->checked, $this->wasClosed, $staysOn ?? $this->staysOn);
    }
}
