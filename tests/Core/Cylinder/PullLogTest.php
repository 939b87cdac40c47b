<?php

declare(strict_types=1);

namespace AwakeShed\Tests\Core\Cylinder;

use AwakeShed\Core\Cylinder\PullLog;
use AwakeShed\Core\Units\Volume;
use AwakeShed\Tests\Core\Refuses;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class PullLogTest extends TestCase
{
    use Refuses;

    /** @return iterable<string, array{list<float>, bool}> mL by pull, dry */
    public static function logs(): iterable
    {
        yield 'nobody has pulled' => [[], false];
        yield 'two pulls are too few, dry or not' => [[0, 0], false];
        yield 'three, the last of them dry' => [[9, 3, 0], true];
        yield 'a few drops are nothing' => [[9, 3, 0.5], true];
        yield 'still coming' => [[9, 3, 1, 1], false];
        yield 'it came again' => [[9, 0, 0, 2], false];
    }

    /** @param list<float> $pulls */
    #[DataProvider('logs')]
    public function testGoesOnUntilNothingComes(array $pulls, bool $isDry): void
    {
        $log = PullLog::fromPulls(array_map(Volume::millilitres(...), $pulls));
        self::assertSame($isDry, $log->isDry());
        self::assertSame(\count($pulls), $log->count());
        self::assertEqualsWithDelta(array_sum($pulls), $log->thrown()->inMillilitres(), 1e-9);
    }

    public function testRefusesWhatNoCylinderHolds(): void
    {
        self::assertRefused(
            static fn () => PullLog::fromPulls([Volume::millilitres(5), Volume::millilitres(-1)]),
            static fn () => PullLog::fromPulls([Volume::millilitres(501)]),
        );
    }
}
