<?php

declare(strict_types=1);

namespace AwakeShed\Tests\Core\Carburetor;

use AwakeShed\Core\Carburetor\Bench;
use AwakeShed\Core\Carburetor\Benches;
use AwakeShed\Core\Carburetor\Move;
use AwakeShed\Core\Carburetor\MoveKind;
use AwakeShed\Core\Evidence\Done;
use AwakeShed\Core\Evidence\Vocabulary;
use PHPUnit\Framework\TestCase;

/** What handling a part means to the machine: by what it is, what is open while it is off. */
final class BenchActsTest extends TestCase
{
    public function testTheFirstPartOfAGroupOpensItAndTheLastClosesIt(): void
    {
        self::assertSame(
            [
                [],
                // The filter is a cover of its own, the rest of the outside is the carburetor, what hangs below it the bowl.
                ['air_filter.out'],
                [],
                ['bowl.off'],
                [],
                [],
                ['bowl.on'],
                [],
                ['air_filter.in'],
            ],
            $this->told(
                MoveKind::Begin->move(said: ['type' => 'bowl_brass']),
                self::off('filter_base'),
                self::off('breather_hose'),
                self::off('bowl_bolt'),
                self::off('bowl'),
                MoveKind::On->move(4),
                MoveKind::On->move(3),
                MoveKind::On->move(2),
                MoveKind::On->move(1),
            ),
        );
    }

    public function testWhateverIsInNoGroupOpensTheCarburetor(): void
    {
        self::assertSame([[], ['carburetor.off'], ['carburetor.on']], $this->told(MoveKind::Begin->move(said: ['type' => 'bowl_brass']), MoveKind::Off->move(said: ['kind' => 'governor_spring', 'hole' => 'outer']), MoveKind::On->move(1)));
    }

    public function testAPassageIsClearedThatWasBlockedAndComesThrough(): void
    {
        $say = static fn (MoveKind $kind, string $passage, string $exit): Move => $kind->move(said: ['passage' => $passage, 'exit' => $exit]);

        self::assertSame(
            [[], [], [], ['main_jet.cleaned'], [], [], ['pilot.cleaned']],
            $this->told(
                MoveKind::Begin->move(said: ['type' => 'bowl_brass']),
                // Never blocked: nothing was cleared.
                $say(MoveKind::Through, 'main', 'nozzle'),
                $say(MoveKind::Blocked, 'main', ''),
                $say(MoveKind::Through, 'main', 'nozzle'),
                $say(MoveKind::Blocked, 'pilot', ''),
                $say(MoveKind::Blocked, 'inlet', ''),
                $say(MoveKind::Through, 'pilot', 'idle_port'),
            ),
        );
    }

    private static function off(string $kind): Move
    {
        return MoveKind::Off->move(said: ['kind' => $kind]);
    }

    /** @return list<list<string>> acts of each move */
    private function told(Move ...$moves): array
    {
        return array_map(static fn (array $acts): array => array_map(static fn (Done $done): string => $done->act->id, $acts), array_values(Benches::shipped(Vocabulary::shipped())->actsAt(Bench::Carburetor)->told(array_values($moves))));
    }
}
