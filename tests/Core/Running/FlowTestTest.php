<?php

declare(strict_types=1);

namespace AwakeShed\Tests\Core\Running;

use AwakeShed\Core\Running\FlowTest;
use AwakeShed\Core\Running\FlowTestVerdict;
use AwakeShed\Core\Running\FuelNeed;
use AwakeShed\Core\Units\Duration;
use AwakeShed\Core\Units\FlowUnit;
use AwakeShed\Core\Units\ShaftSpeed;
use AwakeShed\Core\Units\SpeedUnit;
use AwakeShed\Core\Units\Volume;
use AwakeShed\Tests\Core\Refuses;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class FlowTestTest extends TestCase
{
    use Refuses;

    /** @return iterable<string, array{non-empty-list<float>, float|null, FlowTestVerdict}> mL in 30 s by cup; an engine of 22 mL/min */
    public static function cups(): iterable
    {
        yield 'a clean line pours' => [[90, 88, 87], null, FlowTestVerdict::Pours];
        yield 'twice the need is scant' => [[23, 23, 22], null, FlowTestVerdict::Scant];
        yield 'less than the need starves' => [[9, 9, 8], null, FlowTestVerdict::Starves];
        yield 'nothing comes' => [[0, 0, 0], null, FlowTestVerdict::None];
        yield 'fades, cap not tried' => [[90, 60, 30], null, FlowTestVerdict::Fades];
        yield 'fades and recovers' => [[90, 60, 30], 88, FlowTestVerdict::Vent];
        yield 'fades all the same' => [[90, 60, 30], 32, FlowTestVerdict::FadesCapOrNot];
        yield 'a third less is not quite a fade' => [[90, 80, 64], null, FlowTestVerdict::Pours];
        yield 'one cup says what it can' => [[90], null, FlowTestVerdict::Pours];
    }

    /** @param non-empty-list<float> $cups */
    #[DataProvider('cups')]
    public function testJudgesTheCups(array $cups, ?float $capOpen, FlowTestVerdict $verdict): void
    {
        $need = FuelNeed::atSpeed(Volume::millilitres(160), ShaftSpeed::of(3000, SpeedUnit::Rpm));
        self::assertSame($verdict, self::test($cups, $capOpen)->verdict($need));
    }

    public function testCountsByTheMinute(): void
    {
        $test = self::test([45, 30], null);
        self::assertEqualsWithDelta(60, $test->settled()->in(FlowUnit::MillilitrePerMinute), 1e-9);
        self::assertEqualsWithDelta(1 / 3, $test->fade(), 1e-9);
        self::assertNull($test->recovers());
    }

    public function testRefusesAnInstant(): void
    {
        self::assertRefused(
            static fn () => FlowTest::fromCups([Volume::millilitres(5)], Duration::seconds(0)),
            static fn () => FlowTest::fromCups([Volume::millilitres(-5)], Duration::seconds(30)),
        );
    }

    /** @param non-empty-list<float> $cups */
    private static function test(array $cups, ?float $capOpen): FlowTest
    {
        return FlowTest::fromCups(array_map(Volume::millilitres(...), $cups), Duration::seconds(30), null === $capOpen ? null : Volume::millilitres($capOpen));
    }
}
