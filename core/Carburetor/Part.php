<?php

declare(strict_types=1);

namespace AwakeShed\Core\Carburetor;

/** A part that came off, at its numbered place on the mat, with all that is needed to put it back. */
final readonly class Part
{
    private const COVERS = ['filter_base', 'filter_gasket'];

    /**
     * @param int                   $place   counted from 1 in the order of removal
     * @param string|null           $kind    the template's word for it; null for a part of one's own naming
     * @param string                $name    as it was written, empty where the kind says it
     * @param array<string, string> $notes   orientation, hole, turns, bore, size: as written
     * @param list<string>          $cleaned methods, in order
     * @param string|null           $stack   among whose gaskets its order counts
     * @param string|null           $leftOff why it stays off
     */
    public function __construct(
        public int $place,
        public ?string $kind,
        public string $name,
        public Material $material,
        public array $notes = [],
        public ?Condition $condition = null,
        public ?PartFate $keep = null,
        public bool $isOn = false,
        public array $cleaned = [],
        public ?string $stack = null,
        public ?string $leftOff = null,
    ) {
    }

    /** What is to become of it: as decided, else as its condition advises. */
    public function fate(): ?PartFate
    {
        return $this->keep ?? $this->condition?->advises();
    }

    /** A cover: what is behind it is checked, and run bare for a moment, before it goes on. */
    public function isCover(): bool
    {
        return \in_array($this->kind, self::COVERS, true);
    }

    /** Whether it waits to go back. */
    public function liesOnTheMat(): bool
    {
        return !$this->isOn && null === $this->leftOff;
    }

    /**
     * @param array<string, string> $said
     *
     * @throws ImpossibleMove when nothing of that kind is noted, or at such length
     */
    public function noted(array $said): self
    {
        foreach ($said as $note => $value) {
            if (!\in_array($note, PartsLedger::NOTES, true) || mb_strlen($value) > PartsLedger::LONGEST) {
                throw ImpossibleMove::noSuch('note', $note);
            }
        }

        return $this->changed(notes: array_map(trim(...), $said) + $this->notes);
    }

    public function inCondition(Condition $condition): self
    {
        return $this->changed(condition: $condition);
    }

    public function kept(PartFate $keep): self
    {
        return $this->changed(keep: $keep);
    }

    public function on(): self
    {
        return $this->changed(isOn: true);
    }

    /** Left off, and why. */
    public function withoutIt(string $reason): self
    {
        return $this->changed(leftOff: $reason);
    }

    public function cleanedBy(Method $method): self
    {
        return $this->changed(cleaned: [...$this->cleaned, $method->value]);
    }

    /**
     * @param array<string, string>|null $notes
     * @param list<string>|null          $cleaned
     */
    private function changed(?array $notes = null, ?Condition $condition = null, ?PartFate $keep = null, ?bool $isOn = null, ?array $cleaned = null, ?string $leftOff = null): self
    {
        return new self($this->place, $this->kind, $this->name, $this->material, $notes ?? $this->notes, $condition ?? $this->condition, $keep ?? $this->keep, $isOn ?? $this->isOn, $cleaned ?? $this->cleaned, $this->stack, true === $isOn ? null : $leftOff ?? $this->leftOff);
    }
}
