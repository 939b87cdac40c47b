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

    private const SAID_BY_LEDGER = ['bowl.on', 'carburetor.on', 'carburetor.checked'];

    /** Characters of a name or a note. */
    public const LONGEST = 80;

    /** What may be noted of a part. */
    public const NOTES = ['orientation', 'hole', 'turns', 'bore', 'size'];

    /**
     * @param array<int, Part>                                                         $parts   by place
     * @param array<string, array{seen: list<string>, blocked: bool, holes: int|null}> $tried   by passage
     * @param list<string>                                                             $checked since a part was last moved
     */
    private function __construct(
        private Carburetors $carburetors,
        public bool $isOpen = false,
        public ?CarburetorType $type = null,
        public array $parts = [],
        private array $tried = [],
        public array $checked = [],
        public bool $wasClosed = false,
    ) {
    }

    /** @param list<Move> $moves in the order they were done */
    public static function of(Carburetors $carburetors, array $moves): self
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
        if (MoveKind::Begin === $move->kind) {
            return $this->begun($move->said['type'] ?? '', $move->order);
        }
        // Covers may wait until the bare first run is over, and the ledger is closed for it.
        $isLateCover = MoveKind::On === $move->kind && $this->wasClosed && true === ($this->parts[$move->place ?? 0] ?? null)?->isCover();
        if (!$this->isOpen && !$isLateCover) {
            throw ImpossibleMove::notBegun();
        }

        return match ($move->kind) {
            MoveKind::Off => $this->withPart($this->takenOff($move)),
            MoveKind::Note => $this->withPart($this->noted($this->at($move), $move->said)),
            MoveKind::Condition => $this->withPart($this->at($move)->inCondition(self::word($move, 'condition', Condition::class))),
            MoveKind::Keep => $this->withPart($this->at($move)->kept(self::word($move, 'keep', PartFate::class))),
            MoveKind::Clean => $this->withPart($this->cleaned($move)),
            MoveKind::On => $this->withPart($this->putOn($this->at($move))),
            MoveKind::Through, MoveKind::Blocked, MoveKind::Holes => $this->tried($move),
            MoveKind::Check => $this->checkedOff($move->said['check'] ?? ''),
            MoveKind::Close => $this->closed(),
        };
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
        if ($this->isApart() && \in_array($act, self::SAID_BY_LEDGER, true)) {
            throw ImpossibleMove::atTheBench($act);
        }
    }

    public function nextPlace(): int
    {
        return [] === $this->parts ? 1 : max(array_keys($this->parts)) + 1;
    }

    /** @return list<PartKind> of the type, not off yet, in the order they usually come off */
    public function stillOn(): array
    {
        $off = array_map(static fn (Part $part): ?string => $part->kind, $this->parts);

        return array_values(array_filter($this->type->parts ?? [], static fn (PartKind $kind): bool => !\in_array($kind->id, $off, true)));
    }

    /** @return list<Part> what lies on the mat, the last that came off first: the order it goes back in */
    public function onMat(): array
    {
        return array_values(array_filter(array_reverse($this->parts), static fn (Part $part): bool => !$part->isOn));
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

    /** @throws ImpossibleMove */
    private function begun(string $type, ?RemovalTemplate $order): self
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

    /** @throws ImpossibleMove */
    private function takenOff(Move $move): Part
    {
        $place = $move->place ?? $this->nextPlace();
        if (isset($this->parts[$place])) {
            throw ImpossibleMove::noSuchPlace($place);
        }
        if (\count($this->parts) >= self::MOST_PARTS) {
            throw ImpossibleMove::tooMany(self::MOST_PARTS);
        }
        $kindId = $move->said['kind'] ?? '';
        $kind = '' === $kindId ? null : $this->type?->part($kindId) ?? throw ImpossibleMove::noSuch('part', $kindId);
        $name = trim($kind->name ?? $move->said['name'] ?? '');
        if (null === $kind && ('' === $name || mb_strlen($name) > self::LONGEST)) {
            throw ImpossibleMove::nameless();
        }
        $material = $kind->material ?? self::word($move, 'material', Material::class);
        $notes = array_filter(array_intersect_key($move->said, array_flip(self::NOTES)), static fn (string $note): bool => '' !== $note);
        if (\in_array('hole', $kind->asks ?? [], true) && !isset($notes['hole'])) {
            throw ImpossibleMove::unknownHole($kindId);
        }

        return $this->noted(new Part($place, null === $kind ? null : $kindId, $name, $material, stack: $kind?->stack), $notes);
    }

    /**
     * @param array<string, string> $said
     *
     * @throws ImpossibleMove
     */
    private function noted(Part $part, array $said): Part
    {
        foreach ($said as $note => $value) {
            if (!\in_array($note, self::NOTES, true) || mb_strlen($value) > self::LONGEST) {
                throw ImpossibleMove::noSuch('note', $note);
            }
            $part = $part->withNote($note, trim($value));
        }

        return $part;
    }

    /** @throws ImpossibleMove */
    private function cleaned(Move $move): Part
    {
        $part = $this->at($move);
        $method = self::word($move, 'method', Method::class);
        $this->carburetors->cleaning->demand($part->material, $method);

        return $part->cleanedBy($method);
    }

    /** @throws ImpossibleMove */
    private function putOn(Part $part): Part
    {
        if ($part->isOn) {
            throw ImpossibleMove::alreadyOn($part->place);
        }
        foreach (null === $part->stack ? [] : $this->stacks()[$part->stack] ?? [] as $below) {
            if ($below->place > $part->place && !$below->isOn) {
                throw ImpossibleMove::under($part->place, $below->place);
            }
        }

        return $part->on();
    }

    /** @throws ImpossibleMove */
    private function tried(Move $move): self
    {
        $id = $move->said['passage'] ?? '';
        $state = $this->passage($id) ?? throw ImpossibleMove::noSuch('passage', $id);
        $tried = $this->tried;
        $tried[$id] = match ($move->kind) {
            MoveKind::Through => ['seen' => array_values(array_unique([...$state->seen, self::among($move->said['exit'] ?? '', $state->passage->exits)])), 'blocked' => false, 'holes' => $state->holesOpen],
            MoveKind::Blocked => ['seen' => $state->seen, 'blocked' => true, 'holes' => $state->holesOpen],
            default => ['seen' => $state->seen, 'blocked' => false, 'holes' => self::counted($move->said['holes'] ?? '', $state->passage->holes ?? 0)],
        };
        // Blocked once and sprayed again, only what comes now counts.
        if (MoveKind::Through === $move->kind && $state->isBlocked) {
            $tried[$id]['seen'] = [$move->said['exit']];
        }

        return $this->with(tried: $tried);
    }

    /** @throws ImpossibleMove */
    private function checkedOff(string $check): self
    {
        if (null === $this->carburetors->check($check)) {
            throw ImpossibleMove::noSuch('check', $check);
        }
        // Checked with a part still lying there, it would have to be checked again.
        if ([] !== $this->toGoBack()) {
            throw ImpossibleMove::partsLeft(\count($this->toGoBack()));
        }

        return $this->with(checked: array_values(array_unique([...$this->checked, $check])));
    }

    /** @throws ImpossibleMove */
    private function closed(): self
    {
        if ([] !== $this->toGoBack() || [] !== $this->checksLeft()) {
            throw ImpossibleMove::notClosable(\count($this->toGoBack()), \count($this->checksLeft()));
        }

        return new self($this->carburetors, false, $this->type, $this->parts, $this->tried, $this->checked, true);
    }

    /** @throws ImpossibleMove */
    private function at(Move $move): Part
    {
        return $this->parts[$move->place ?? 0] ?? throw ImpossibleMove::noSuchPlace($move->place ?? 0);
    }

    /** A part that comes off or goes on may undo what was checked; a note does not. */
    private function withPart(Part $part): self
    {
        $isMoved = ($this->parts[$part->place] ?? null)?->isOn !== $part->isOn && !$part->isCover();
        $parts = [$part->place => $part] + $this->parts;
        ksort($parts);

        return $this->with(parts: $parts, checked: $isMoved ? [] : $this->checked);
    }

    /**
     * @param array<int, Part>|null                                                         $parts
     * @param array<string, array{seen: list<string>, blocked: bool, holes: int|null}>|null $tried
     * @param list<string>|null                                                             $checked
     */
    private function with(?array $parts = null, ?array $tried = null, ?array $checked = null): self
    {
        return new self($this->carburetors, $this->isOpen, $this->type, $parts ?? $this->parts, $tried ?? $this->tried, $checked ?? $this->checked, $this->wasClosed);
    }

    /**
     * @template W of \BackedEnum
     *
     * @param class-string<W> $words
     *
     * @return W
     *
     * @throws ImpossibleMove when what was said in that field is none of the words
     */
    private static function word(Move $move, string $field, string $words): \BackedEnum
    {
        $said = $move->said[$field] ?? '';

        return $words::tryFrom($said) ?? throw ImpossibleMove::noSuch($field, $said);
    }

    /**
     * @param list<string> $exits
     *
     * @throws ImpossibleMove
     */
    private static function among(string $exit, array $exits): string
    {
        return \in_array($exit, $exits, true) ? $exit : throw ImpossibleMove::noSuch('exit', $exit);
    }

    /** @throws ImpossibleMove */
    private static function counted(string $holes, int $most): int
    {
        $count = filter_var($holes, \FILTER_VALIDATE_INT, ['options' => ['min_range' => 0, 'max_range' => $most]]);

        return \is_int($count) ? $count : throw ImpossibleMove::outOfRange(0, $most);
    }
}
