<?php

declare(strict_types=1);

namespace AwakeShed\Tests\Core\Diagnosis;

use AwakeShed\Core\Diagnosis\InformationGain;
use AwakeShed\Core\Diagnosis\TestModel;
use PHPUnit\Framework\TestCase;

/** Against textbook values of entropy and mutual information (C. E. Shannon 1948; any table of h(p)). */
final class InformationGainTest extends TestCase
{
    public function testEntropiesOfTheTextbook(): void
    {
        self::assertEqualsWithDelta(1.0, InformationGain::entropy([0.5, 1.0]), 1e-12);
        self::assertEqualsWithDelta(0.468996, InformationGain::entropy([0.1, 1.0]), 1e-6);
        self::assertEqualsWithDelta(1.75, InformationGain::entropy([0.5, 0.75, 0.875, 1.0]), 1e-12);
        self::assertSame(0.0, InformationGain::entropy([1.0, 1.0]));
    }

    public function testAPerfectTestTellsAllAndABlindOneNothing(): void
    {
        $perfect = TestModel::fromOdds(['fine' => 1.0, 'bad' => 0.0], ['a' => ['bad' => 1.0]]);
        self::assertEqualsWithDelta(0.468996, (new InformationGain($perfect, ['a' => 0.1]))->bits(), 1e-6);
        $blind = TestModel::fromOdds(['fine' => 0.9, 'bad' => 0.1], ['a' => ['bad' => 0.0]]);
        self::assertEqualsWithDelta(0.0, (new InformationGain($blind, ['a' => 0.1]))->bits(), 1e-12);
    }

    public function testTheBinarySymmetricChannel(): void
    {
        // Half have it, one in ten misreads either way: 1 − h(0.1) = 0.531004 bits. With noisy-max the fault must show
        // bad in 0.9 in all: 0.1 by itself and 8/9 of the rest.
        $channel = TestModel::fromOdds(['fine' => 0.9, 'bad' => 0.1], ['a' => ['bad' => 8 / 9]]);
        self::assertEqualsWithDelta(0.531004, (new InformationGain($channel, ['a' => 0.5]))->bits(), 1e-6);
    }

    public function testWhatMattersLessCountsLess(): void
    {
        $model = TestModel::fromOdds(['fine' => 0.9, 'bad' => 0.1], ['a' => ['bad' => 0.8], 'b' => ['bad' => 0.8]]);
        $all = new InformationGain($model, ['a' => 0.3, 'b' => 0.3]);
        $some = new InformationGain($model, ['a' => 0.3, 'b' => 0.3], ['b' => 0.1]);
        self::assertLessThan($all->bits(), $some->bits());
        self::assertSame('a', array_key_first($some->byFault));
        self::assertEqualsWithDelta(0.1 * $all->byFault['b'], $some->byFault['b'], 1e-12);
    }
}
