<?php

declare(strict_types=1);

namespace AwakeShed\Core\Spec;

use AwakeShed\Core\Evidence\MachineKind;
use AwakeShed\Core\Table;

/** The engine classes that ship with the shed (data/engine-classes.json). */
final readonly class EngineClasses
{
    /** @param non-empty-list<EngineClass> $classes */
    private function __construct(public array $classes)
    {
    }

    public static function shipped(): self
    {
        /** @var array{classes: non-empty-list<array{id: string, kind: string|null, from_cc: float|int, to_cc: float|int, figures: array<string, array{0: float|int, 1: string, 2: string}>}>} $data */
        $data = Table::read(__DIR__.'/data/engine-classes.json');

        return new self(array_map(static function (array $class): EngineClass {
            $values = [];
            foreach ($class['figures'] as $figure => [$amount, $source, $note]) {
                $values[$figure] = new SpecValue(SpecFigure::from($figure), (float) $amount, SourceClass::from($source), $note);
            }

            return new EngineClass($class['id'], null === $class['kind'] ? null : MachineKind::from($class['kind']), (float) $class['from_cc'], (float) $class['to_cc'], $values);
        }, $data['classes']));
    }

    /**
     * The class of a machine; of its kind where the kind has one, of its size where it is known.
     *
     * @param float|null $cc displacement, cm³
     *
     * @return EngineClass|null null when neither kind nor size tells
     */
    public function forEngine(?MachineKind $kind, ?float $cc): ?EngineClass
    {
        $ofKind = array_filter($this->classes, static fn (EngineClass $class): bool => null !== $kind && $class->kind === $kind);
        $candidates = [] !== $ofKind ? $ofKind : array_filter($this->classes, static fn (EngineClass $class): bool => null === $class->kind);
        foreach ($candidates as $class) {
            if (null === $cc ? null !== $class->kind : $class->has($cc)) {
                return $class;
            }
        }

        return [] === $ofKind ? null : $ofKind[array_key_first($ofKind)];
    }
}
