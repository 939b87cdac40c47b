<?php

declare(strict_types=1);

namespace AwakeShed\Tests\Core\Units;

use AwakeShed\Core\StatedRefusal;
use AwakeShed\Core\Units\DecimalText;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class DecimalTextTest extends TestCase
{
    #[TestWith(['3,600', 100.0, 5000.0, 3600.0], 'only the thousands are possible')]
    #[TestWith(['3,600', 0.0, 10.0, 3.6], 'only the fraction is')]
    #[TestWith(['3,600', 3.6, 3599.0, 3.6], 'to the ends of the interval')]
    #[TestWith(['3,600', 4.0, 3600.0, 3600.0], 'to its other end')]
    #[TestWith(['3,600', 0.0, 5000.0, 'amount.ambiguous'], 'both are')]
    #[TestWith(['3,600', 10.0, 20.0, 'amount.out_of_range'], 'neither is')]
    #[TestWith(['7', 0.0, 5.0, 'amount.out_of_range'], 'one reading, out of it')]
    #[TestWith(['0000000000000000000000000004.5', 0.0, 5.0, 4.5], 'as long as a number may be')]
    #[TestWith(['00000000000000000000000000004.5', 0.0, 5.0, 'amount.not_a_number'], 'longer than that')]
    #[TestWith(['-12', -40.0, 5.0, -12.0], 'below nothing')]
    #[TestWith(['−12,5', -40.0, 5.0, -12.5], 'with the sign that is printed')]
    #[TestWith(['+4', -40.0, 5.0, 4.0], 'with the other sign')]
    #[TestWith(['- 1/2', -40.0, 5.0, -0.5], 'half a one below')]
    #[TestWith(['-3,600', -5000.0, -100.0, -3600.0], 'thousands below')]
    #[TestWith(['seven', 0.0, 5.0, 'amount.not_a_number'], 'no number')]
    public function testAFigureIsReadWithinItsBounds(string $text, float $least, float $most, float|string $becomes): void
    {
        try {
            self::assertSame($becomes, DecimalText::within($text, $least, $most, 'h'));
        } catch (StatedRefusal $refusal) {
            self::assertSame($becomes, $refusal->reason());
        }
    }

    public function testWithoutBoundsTheReadingsAreTwo(): void
    {
        self::assertSame(12.5, DecimalText::parse('12,5'));
        $this->expectExceptionMessage('"3,600" may be 3600 or 3.6.');
        DecimalText::parse('3,600');
    }
}
