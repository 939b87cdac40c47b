<?php

declare(strict_types=1);

namespace AwakeShed\Tests\Core\Progress;

use AwakeShed\Core\Evidence\CaseFile;
use AwakeShed\Core\Evidence\Done;
use AwakeShed\Core\Evidence\Finding;
use AwakeShed\Core\Evidence\MachineFacts;
use AwakeShed\Core\Evidence\MachineKind;
use AwakeShed\Core\Evidence\Vocabulary;
use AwakeShed\Core\Progress\Ask;
use AwakeShed\Core\Progress\Asks;
use AwakeShed\Core\Progress\RaisedAsk;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What is asked before an engine is started again: each by what raises it, and by what answers it. */
final class AsksTest extends TestCase
{
    /** @return iterable<string, array{list<string>, list<Ask>}> what was found ("test=outcome") and done, in order, and what is asked */
    public static function courses(): iterable
    {
        $dirty = [Ask::DirtyFeed];
        yield 'nothing was done' => [[], []];
        yield 'cleaned, and nobody looked at what feeds it' => [['bowl.cleaned'], $dirty];
        yield 'the tank is clean, and nobody looked at the line' => [['bowl.cleaned', 'look.tank=clean'], $dirty];
        yield 'the line pours, and nobody looked at the tank' => [['bowl.cleaned', 'flow.line=pours'], $dirty];
        yield 'both are clean' => [['look.tank=clean', 'flow.line=pours', 'pilot.cleaned'], []];
        yield 'flushed and renewed count as looked at' => [['carburetor.replaced', 'tank.flushed', 'line.renewed'], []];
        yield 'rust after the flushing' => [['bowl.cleaned', 'tank.flushed', 'look.tank=rust', 'flow.line=pours'], $dirty];
        yield 'flushed after the rust' => [['bowl.cleaned', 'look.tank=rust', 'tank.flushed', 'flow.line=pours'], []];
        yield 'a line that drips after it was blown back' => [['bowl.cleaned', 'look.tank=clean', 'line.blown_back', 'flow.line=weak'], $dirty];
        yield 'gas in the oil, changed once' => [['look.oil_smell=gas', 'crankcase.drained', 'crankcase.filled'], [Ask::SecondChange]];
        yield 'changed twice' => [['look.oil_smell=gas', 'crankcase.drained', 'crankcase.filled', 'crankcase.drained', 'crankcase.filled'], []];
        yield 'clean oil, changed once' => [['look.oil_smell=none', 'crankcase.drained', 'crankcase.filled'], []];
        yield 'a needle renewed and not tried' => [['needle.renewed'], [Ask::NeedleUntested]];
        yield 'tried before it was renewed' => [['needle.pressure=leaks', 'needle_and_seat.renewed'], [Ask::NeedleUntested]];
        yield 'tried since' => [['seat.renewed', 'needle.pressure=holds'], []];
        yield 'stale fuel to start on' => [['jar.smell=stale'], [Ask::StaleStart]];
    }

    /**
     * @param list<string> $course
     * @param list<Ask>    $asked
     */
    #[DataProvider('courses')]
    public function testWhatIsAsked(array $course, array $asked): void
    {
        $vocabulary = Vocabulary::shipped();
        $events = array_map(static fn (string $one): Finding|Done => str_contains($one, '=') ? Finding::observed(...explode('=', $one)) : new Done($vocabulary->act($one)), $course);
        self::assertSame($asked, array_map(static fn (RaisedAsk $one): Ask => $one->ask, Asks::shipped()->raised(new CaseFile(new MachineFacts(MachineKind::Mower), $events))));
    }
}
