<?php

declare(strict_types=1);

namespace AwakeShed\Core\Progress;

use AwakeShed\Core\Carburetor\PartFate;
use AwakeShed\Core\Carburetor\PartsLedger;
use AwakeShed\Core\Evidence\CaseFile;
use AwakeShed\Core\Evidence\MachineState;
use AwakeShed\Core\Table;

/** What a machine's state asks of whoever goes on with it (data/asks.json; common practice). */
final readonly class Asks
{
    private const CLEANED = ['bowl.cleaned', 'main_jet.cleaned', 'pickup.cleaned', 'emulsion.cleaned', 'pilot.cleaned', 'passages.cleared', 'carburetor.replaced'];
    private const LINE_CLEAN = ['line.blown_back', 'line.flushed', 'line.renewed'];
    private const STALE = ['jar.smell' => ['stale', 'varnish'], 'jar.tank' => ['dark_or_sediment', 'two_layers']];
    private const GAS_IN_OIL = ['look.oil_smell' => ['gas', 'residue_expected'], 'look.oil_body' => ['thin']];

    /**
     * @param array<string, list<string>> $before  by ask, the tests before which it is said
     * @param array<string, list<string>> $answers by ask, the looks and acts that answer it
     */
    private function __construct(private array $before, private array $answers)
    {
    }

    public static function shipped(): self
    {
        /** @var array{asks: array<string, array{before: list<string>, answers: list<string>}>} $data */
        $data = Table::read(__DIR__.'/data/asks.json');

        return new self(array_map(static fn (array $ask): array => $ask['before'], $data['asks']), array_map(static fn (array $ask): array => $ask['answers'], $data['asks']));
    }

    /** @return list<string> looks and acts that answer it */
    public function answers(Ask $ask): array
    {
        return $this->answers[$ask->value];
    }

    /**
     * @param list<RaisedAsk> $raised
     *
     * @return list<RaisedAsk> those that are said before a test
     */
    public function before(string $test, array $raised): array
    {
        return array_values(array_filter($raised, fn (RaisedAsk $one): bool => \in_array($test, $this->before[$one->ask->value], true)));
    }

    /** @return list<RaisedAsk> */
    public function raised(CaseFile $case): array
    {
        $since = [
            Ask::DirtyFeed->value => self::isTankClean($case) && self::isLineClean($case) ? MachineState::NEVER : $case->state->last(...self::CLEANED),
            Ask::StaleStart->value => max([MachineState::NEVER, ...array_map(static fn (string $test, array $outcomes): int => $case->says([$test => $outcomes]) ? $case->foundAt($test) : MachineState::NEVER, array_keys(self::STALE), self::STALE)]),
            Ask::NeedleUntested->value => self::laterThan($case->state->last('needle.renewed', 'needle_and_seat.renewed', 'seat.renewed'), $case->foundAt('needle.pressure')),
            Ask::SecondChange->value => $case->everSaid(self::GAS_IN_OIL) && 1 === $case->state->count('crankcase.filled') ? $case->state->last('crankcase.filled') : MachineState::NEVER,
        ];
        $since = array_filter($since, static fn (int $place): bool => MachineState::NEVER !== $place);

        return array_map(static fn (string $ask, int $place): RaisedAsk => new RaisedAsk(Ask::from($ask), $place), array_keys($since), $since);
    }

    /** @return list<RaisedAsk> what was gone past at the carburetor bench */
    public function atTheBench(PartsLedger $ledger): array
    {
        $asks = [];
        foreach ($ledger->parts as $part) {
            if ($part->isOn && PartFate::Clean === $part->fate() && [] === $part->cleaned) {
                $asks[Ask::PartUncleaned->value] = new RaisedAsk(Ask::PartUncleaned, MachineState::NEVER);
            }
            if (\in_array('turns', $ledger->type?->part($part->kind ?? '')->asks ?? [], true) && !isset($part->notes['turns'])) {
                $asks[Ask::TurnsUnwritten->value] = new RaisedAsk(Ask::TurnsUnwritten, MachineState::NEVER);
            }
        }

        return array_values($asks);
    }

    private static function laterThan(int $place, int $other): int
    {
        return $place > $other ? $place : MachineState::NEVER;
    }

    private static function isTankClean(CaseFile $case): bool
    {
        return $case->says(['look.tank' => ['clean']]) || $case->state->last('tank.flushed', 'tank.dried') > $case->foundAt('look.tank');
    }

    private static function isLineClean(CaseFile $case): bool
    {
        return $case->says(['flow.line' => ['pours']]) || $case->state->last(...self::LINE_CLEAN) > $case->foundAt('flow.line');
    }
}
