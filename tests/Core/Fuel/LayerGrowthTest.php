<?php

declare(strict_types=1);

namespace AwakeShed\Tests\Core\Fuel;

use AwakeShed\Core\Fuel\ImpossibleGrowth;
use AwakeShed\Core\Fuel\LayerGrowth;
use AwakeShed\Core\Fuel\LayerGrowthOutcome;
use AwakeShed\Core\Units\Volume;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class LayerGrowthTest extends TestCase
{
    /** @return iterable<string, array{float, float, float, float, LayerGrowthOutcome}> dose, before, after, growth in mL */
    public static function doses(): iterable
    {
        yield 'free water takes the dose' => [10, 15, 25, 10.0, LayerGrowthOutcome::GrewByDose];
        yield 'two readings err by half a millilitre each' => [10, 15, 26, 11.0, LayerGrowthOutcome::GrewByDose];
        yield 'ethanol comes down' => [10, 15, 28, 13.0, LayerGrowthOutcome::GrewByMore];
        yield 'a little less than the dose: the mixture contracts' => [10, 15, 24.2, 9.2, LayerGrowthOutcome::GrewByDose];
        yield 'the fuel took it up' => [1, 0, 0.2, 0.2, LayerGrowthOutcome::NoLayer];
    }

    #[DataProvider('doses')]
    public function testTellsFreeWaterFromASeparatedBlend(float $dose, float $before, float $after, float $grew, LayerGrowthOutcome $outcome): void
    {
        $growth = LayerGrowth::read(Volume::millilitres($dose), Volume::millilitres($before), Volume::millilitres($after));
        self::assertSame($outcome, $growth->outcome);
        self::assertEqualsWithDelta($grew, $growth->growth()->inMillilitres(), 1e-9);
    }

    public function testALayerDoesNotShrinkUnderWater(): void
    {
        $this->expectException(ImpossibleGrowth::class);
        LayerGrowth::read(Volume::millilitres(10), Volume::millilitres(15), Volume::millilitres(12));
    }
}
