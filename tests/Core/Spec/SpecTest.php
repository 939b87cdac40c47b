<?php

declare(strict_types=1);

namespace AwakeShed\Tests\Core\Spec;

use AwakeShed\Core\Evidence\MachineFacts;
use AwakeShed\Core\Evidence\MachineKind;
use AwakeShed\Core\Spec\EngineClasses;
use AwakeShed\Core\Spec\FoundIn;
use AwakeShed\Core\Spec\Lookup;
use AwakeShed\Core\Spec\SourceClass;
use AwakeShed\Core\Spec\SpecFigure;
use AwakeShed\Core\Spec\SpecValue;
use AwakeShed\Tests\Core\Refuses;
use PHPUnit\Framework\TestCase;

final class SpecTest extends TestCase
{
    use Refuses;

    public function testEveryKindOfMachineHasAClassWhateverItsSize(): void
    {
        $classes = EngineClasses::shipped();
        foreach (MachineKind::cases() as $kind) {
            foreach ([null, 25.0, 160.0, 500.0] as $cc) {
                self::assertSame($kind, $classes->forEngine($kind, $cc)?->kind);
            }
        }
        self::assertNull($classes->forEngine(null, null));
        self::assertSame('four_stroke_middle', $classes->forEngine(null, 200)?->id);
    }

    public function testShippedFiguresAreMarkedAndNoneIsMeasured(): void
    {
        foreach (EngineClasses::shipped()->classes as $class) {
            self::assertLessThan($class->toCc, $class->fromCc);
            self::assertNotSame([], $class->values);
            foreach ($class->values as $name => $value) {
                self::assertSame($name, $value->figure->value);
                self::assertNotSame(SourceClass::Measured, $value->source, 'nobody measured a class');
                self::assertTrue(SourceClass::Published !== $value->source || '' !== $value->note, 'what is published names where');
            }
        }
    }

    public function testLooksOnTheMachineThenInTheBookThenAtItsClass(): void
    {
        $page = ['oil_ml' => new SpecValue(SpecFigure::Oil, 620, SourceClass::Published, 'manual'), 'lash_least_mm' => new SpecValue(SpecFigure::LashLeast, 0.08, SourceClass::Published, 'manual')];
        $lookup = Lookup::onPage(new MachineFacts(MachineKind::Mower, oilMl: 600), $page, EngineClasses::shipped());
        $oil = $lookup->find(SpecFigure::Oil);
        self::assertSame([600.0, FoundIn::Machine], [$oil?->value->amount, $oil?->in]);
        $lash = $lookup->find(SpecFigure::LashLeast);
        self::assertSame([0.08, FoundIn::Page], [$lash?->value->amount, $lash?->in]);
        self::assertSame(FoundIn::EngineClass, $lookup->find(SpecFigure::CompressionRatio)?->in);
        self::assertNull($lookup->find(SpecFigure::PumpFlow), 'a mower has no pump');
        // Whether there are two is said of the machine, and is one of its figures.
        $twin = Lookup::onPage(new MachineFacts(MachineKind::Mower, cylinders: 2), [], EngineClasses::shipped());
        self::assertSame([2.0, FoundIn::Machine, SourceClass::Measured], [$twin->find(SpecFigure::Cylinders)?->value->amount, $twin->find(SpecFigure::Cylinders)?->in, $twin->find(SpecFigure::Cylinders)?->value->source]);
        self::assertNotSame(FoundIn::Machine, $twin->find(SpecFigure::Oil)?->in);
        self::assertNotSame(FoundIn::Machine, $lookup->find(SpecFigure::Cylinders)?->in);
        self::assertContains($oil?->value->figure, array_map(static fn ($looked) => $looked->value->figure, $lookup->all()));
    }

    public function testRefusesWhatNoMachineHas(): void
    {
        self::assertRefused(
            static fn () => new SpecValue(SpecFigure::Displacement, 0, SourceClass::Measured),
            static fn () => new SpecValue(SpecFigure::Poles, 12, SourceClass::Measured),
            static fn () => new SpecValue(SpecFigure::LashMost, \NAN, SourceClass::Measured),
        );
    }
}
