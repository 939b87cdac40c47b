<?php

declare(strict_types=1);

namespace AwakeShed\Tests\Core\Stage;

use AwakeShed\Core\Evidence\Done;
use AwakeShed\Core\Evidence\Vocabulary;
use AwakeShed\Core\Stage\ActEffects;
use AwakeShed\Core\Stage\ImpossibleAct;
use PHPUnit\Framework\TestCase;

final class ActEffectsTest extends TestCase
{
    public function testAFigureIsTakenToBothEndsOfItsIntervalAndNoFurther(): void
    {
        foreach (['ml' => [1, 100_000], 'minutes' => [1, 600], 'times' => [1, 20], 'pulls' => [1, 50], 'turns' => [0, 10], 'mm' => [0, 5], 'rpm' => [500, 15_000]] as $figure => [$least, $most]) {
            self::assertSame([(float) $least, (float) $most], ActEffects::shipped()->bounds($figure));
            self::assertSame(['taken', 'taken', 'act.out_of_range', 'act.out_of_range'], array_map(static fn (float $value): string => self::becomes($figure, $value), [(float) $least, (float) $most, $least - 0.01, $most + 0.01]), $figure);
        }
        self::assertNull(ActEffects::shipped()->bounds('furlongs'));
    }

    public function testWhatIsNoNumberOrNoFigureIsRefused(): void
    {
        self::assertSame('taken', self::becomes('ml', '700'));
        self::assertSame('act.out_of_range', self::becomes('ml', 'much'));
        self::assertSame('act.out_of_range', self::becomes('ml', [700]));
        self::assertSame('act.figure_missing', self::becomes('furlongs', 3));
    }

    public function testAnActThatHasNoEffectsHasNone(): void
    {
        $effects = ActEffects::shipped();
        self::assertSame([null, [], false, null], [$effects->wait('paint.dried'), $effects->ends('paint.dried'), $effects->takesOil('paint.dried'), $effects->gated('paint.dried')]);
        self::assertSame([['kind' => 'drain_oil', 'minutes' => 15], ['burn_off'], false], [$effects->wait('crankcase.drained'), $effects->ends('crankcase.drained'), $effects->takesOil('crankcase.drained')]);
        self::assertTrue($effects->takesOil('crankcase.filled'));
    }

    private static function becomes(string $figure, mixed $value): string
    {
        try {
            ActEffects::shipped()->check(new Done(Vocabulary::shipped()->act('crankcase.drained'), [$figure => $value]));
        } catch (ImpossibleAct $refusal) {
            return $refusal->reason();
        }

        return 'taken';
    }
}
