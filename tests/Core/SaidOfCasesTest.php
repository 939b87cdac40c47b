<?php

declare(strict_types=1);

namespace AwakeShed\Tests\Core;

use AwakeShed\Core\Carburetor\Carburetors;
use AwakeShed\Core\Carburetor\PartsLedger;
use AwakeShed\Core\Diagnosis\Access;
use AwakeShed\Core\Diagnosis\Cures;
use AwakeShed\Core\Diagnosis\FaultModel;
use AwakeShed\Core\Diagnosis\Sense;
use AwakeShed\Core\Evidence\CaseFile;
use AwakeShed\Core\Evidence\ChokeKind;
use AwakeShed\Core\Evidence\Cycle;
use AwakeShed\Core\Evidence\Done;
use AwakeShed\Core\Evidence\Finding;
use AwakeShed\Core\Evidence\MachineFacts;
use AwakeShed\Core\Evidence\MachineKind;
use AwakeShed\Core\Evidence\Vocabulary;
use AwakeShed\Core\Gate\Closures;
use AwakeShed\Core\Gate\Gatekeeper;
use AwakeShed\Core\Gate\GateWalk;
use AwakeShed\Core\Gate\HoldStates;
use AwakeShed\Core\Line\ActRooms;
use AwakeShed\Core\Line\Line;
use AwakeShed\Core\Line\Stations;
use AwakeShed\Core\Oil\OilVerdict;
use AwakeShed\Core\Progress\Asks;
use AwakeShed\Core\Progress\HandBackCheck;
use AwakeShed\Core\Progress\LookBack;
use AwakeShed\Core\Progress\Progression;
use AwakeShed\Core\Progress\ProofRun;
use AwakeShed\Core\Progress\Unproved;
use AwakeShed\Core\Proving\ExpectedSmoke;
use AwakeShed\Core\Proving\FirstRun;
use AwakeShed\Core\Proving\SurgeWatch;
use AwakeShed\Core\Proving\Watch;
use AwakeShed\Core\Repair\Contamination;
use AwakeShed\Core\Schedule\Day\Piece;
use AwakeShed\Core\Schedule\Day\PieceKinds;
use AwakeShed\Core\Schedule\Day\RemainingWork;
use AwakeShed\Core\Service\ServiceList;
use AwakeShed\Core\Stage\Act;
use AwakeShed\Core\Stage\ActEffects;
use AwakeShed\Core\Stage\StagePlan;
use AwakeShed\Core\Stage\StageState;
use AwakeShed\Core\Stage\StepState;
use AwakeShed\Tests\Core\Diagnosis\Assessing;
use AwakeShed\Tests\Kept;
use AwakeShed\Tests\Seeded;
use PHPUnit\Framework\TestCase;

/**
 * What every room of the core says of cases by chance, with steps done that nobody would do in such an order: kept in
 * tests/Core/Kept, a line a question. What a person would try is asked for one by one beside the room itself.
 */
final class SaidOfCasesTest extends TestCase
{
    public function testWhatIsSaidOfACaseByChance(): void
    {
        $lines = [];
        for ($seed = 1; $seed <= 40; ++$seed) {
            [$case, $acts] = self::byChance(new Seeded($seed));
            foreach (self::said($case, $acts) as $question => $answer) {
                $lines[] = Kept::short("$seed, $question: $answer");
            }
        }
        Kept::is(__DIR__.'/Kept/said-of-cases.txt', $lines);
    }

    /** A digest a question: that something is said otherwise shows, and of which of them. */
    public function testWhatIsSaidOfManyMoreByChance(): void
    {
        $answers = [];
        for ($seed = 41; $seed <= 160; ++$seed) {
            [$case, $acts] = self::byChance(new Seeded($seed));
            foreach (self::said($case, $acts) as $question => $answer) {
                $answers[$question] = ($answers[$question] ?? '')."$seed: $answer\n";
            }
        }
        Kept::is(__DIR__.'/Kept/said-of-many-cases.txt', array_map(static fn (string $question, string $said): string => "$question: ".substr_count($said, "\n").' answers, '.\strlen($said).' characters, '.md5($said), array_keys($answers), $answers));
    }

    /** @return array{CaseFile, list<Act>} */
    private static function byChance(Seeded $dice): array
    {
        $vocabulary = Vocabulary::shipped();
        $machine = new MachineFacts($dice->one(MachineKind::cases()), $dice->one([null, null, ...Cycle::cases()]), compressionRelease: $dice->one([null, true, false]), choke: $dice->one([null, ...ChokeKind::cases()]), electricStart: $dice->one([null, true, false]));
        $schools = [];
        foreach ($vocabulary->schools as $question => $choices) {
            if (0 === $dice->int(0, 2)) {
                $schools[$question] = $dice->one(array_values($choices));
            }
        }
        $chance = new EventsByChance($dice, $machine);
        $work = self::work();
        $steps = array_merge(...array_map(static fn ($stage): array => $stage->steps, $work->stages()));
        $events = $acts = [];
        for ($n = $dice->int(0, 34); $n > 0; --$n) {
            $test = $chance->test();
            switch ($dice->int(0, 9)) {
                case 0:
                    $events[] = $chance->done();
                    break;
                case 1:
                    $events[] = $chance->putRight();
                    break;
                case 2:
                case 3:
                    $step = $dice->one($steps);
                    if ($step->isAct()) {
                        $figures = array_map(static fn (array $bounds): float => (float) $dice->int((int) ceil($bounds[0]), (int) min(900, $bounds[1])), array_filter($step->fields ?? [], static fn (): bool => $dice->int(0, 3) > 0));
                        $acts[] = new Act($step->id, $figures, [] === $step->choices || 0 === $dice->int(0, 4) ? null : $dice->one($step->choices), \count($events));
                    }
                    break;
                case 4:
                    $events[] = Finding::observed('start.plain', $dice->one(['runs', 'nothing', 'runs_rough']))->measuring(['pulls' => $dice->int(1, 9), 'air_c' => $dice->int(-10, 25), 'stood_h' => $dice->int(0, 30)]);
                    break;
                default:
                    $events[] = $chance->finding($test);
            }
        }

        return [new CaseFile($machine, $events, $schools), $acts];
    }

    private static function work(): StagePlan
    {
        $vocabulary = Vocabulary::shipped();

        return StagePlan::shipped($vocabulary, new Gatekeeper($vocabulary, Closures::shipped()));
    }

    /**
     * @param list<Act> $acts
     *
     * @return iterable<string, string>
     */
    private static function said(CaseFile $case, array $acts): iterable
    {
        $vocabulary = Vocabulary::shipped();
        $gatekeeper = new Gatekeeper($vocabulary, Closures::shipped());
        $walk = GateWalk::shipped($vocabulary, $gatekeeper);
        $assessment = Assessing::assessor()->assess($case);
        $line = Line::shipped(FaultModel::shipped(...));
        $rooms = ActRooms::shipped($vocabulary);
        $stands = (new Progression($vocabulary, $gatekeeper, $walk))->standOf($case, $assessment);
        $unproved = new Unproved(FaultModel::shipped());

        yield 'machine' => Facts::of([$case->machine->kind, $case->machine->cycle, $case->schools]);
        yield 'stands' => Facts::of([$stands, Progression::schoolOf($case)]);
        yield 'closed' => Facts::of([$gatekeeper->closed($case), array_column($gatekeeper->closures($case), 'id'), array_column($gatekeeper->standingHolds($case), 'id'), $gatekeeper->looksOwed($case)]);
        yield 'held' => Facts::of([array_column(Closures::shipped()->holding($case), 'id'), HoldStates::folded($vocabulary, $case)]);
        yield 'first run' => Facts::of(FirstRun::isIn($case));
        yield 'proof' => Facts::of([ProofRun::left($case), ProofRun::failed($case), ProofRun::hasRun($case), ProofRun::coldStart($case), SurgeWatch::of($acts), SurgeWatch::of($acts)->verdict(), SurgeWatch::of($acts)->measured()]);
        yield 'smoke, watch' => Facts::of([ExpectedSmoke::of($case), Watch::after($case, $acts), Contamination::found($case)]);
        yield 'stations' => Facts::of((new Stations($line, $rooms))->of($case, $assessment->faults));
        yield 'things' => Facts::of(array_map(static fn (string $room): array => $rooms->things($room, $case), array_unique(array_map($rooms->roomOf(...), $vocabulary->acts))));
        $access = Access::shipped($vocabulary)->from($case);
        $sense = Sense::shipped($vocabulary);
        $opens = $made = [];
        foreach (array_keys($vocabulary->tests) as $test) {
            $place = $access->shutBefore($test);
            $opens += null === $place ? [] : [$test => "$test behind {$place->id}, ".Facts::of([$access->parts($test), $access->own($test), $access->minutes($test), $access->wayIn($place), $place->minutes($case), $place->included($test, $case)])];
            $made += $sense->has($test, $case, $access) ? [$test => $test] : [];
        }
        yield 'opened first' => implode('; ', $opens);
        yield 'makes sense' => implode(' ', $made);
        yield 'effects' => Facts::of(array_map(static fn (string $act): array => [ActEffects::shipped()->stream($act, $case), ActEffects::shipped()->wait($act)], array_keys($vocabulary->acts)));
        $stages = self::work()->states($case, $acts);
        foreach ($stages as $stage) {
            yield 'stage '.$stage->stage->id => ($stage->isNeeded ? 'called for, ' : '')."{$stage->done()} of {$stage->asked()}: ".implode('; ', array_map(static fn (StepState $state): string => $state->step->id.($state->isDone ? ' done' : '').([] === $state->first ? '' : ' after '.implode(' ', $state->first)).($state->isClosed() ? ' closed' : ''), $stage->steps));
        }
        yield 'pulls' => Facts::said(StagePlan::pulls($acts));
        yield 'told' => Facts::of(array_map(static fn (Act $act): array => array_map(static fn (Done $done): string => $done->act->id, self::work()->told($act)), $acts));
        yield 'handing back' => Facts::of([(new HandBackCheck($gatekeeper, $unproved, Asks::shipped()))->lookOver($case, $acts, PartsLedger::folded(Carburetors::shipped(), []), $assessment), HandBackCheck::cause($case, $acts)]);
        yield 'looking back' => Facts::of([LookBack::isTime($case), (new LookBack($vocabulary, $line, FaultModel::shipped()))->left($case)]);
        yield 'asks' => Facts::of(Asks::shipped()->raised($case));
        yield 'oil' => Facts::said(OilVerdict::onCase($case, $vocabulary, $gatekeeper));
        $left = (new RemainingWork(PieceKinds::shipped(), self::work(), $walk, $vocabulary, Cures::shipped()))->of($case, $acts, $stands, $assessment);
        yield 'work left' => implode(', ', array_map(static fn (Piece $piece): string => "$piece->kind $piece->minutes".($piece->isLikely ? ' likely' : ''), $left));
        $service = array_merge(...array_map(static fn (StageState $stage): array => 'service' === $stage->stage->id ? $stage->steps : [], $stages));
        $today = new \DateTimeImmutable('2026-03-01');
        yield 'service' => Facts::of(array_map(static fn ($item): array => [$item->step, $item->due, $item->last?->format('Y-m-d'), $item->next?->format('Y-m-d')], ServiceList::of($service, $case, array_map(static fn (int $n): \DateTimeImmutable => $today->modify('-'.(7 * $n).' months'), array_flip(array_map(static fn (StepState $state): string => $state->step->id, $service))), [null, 12.0, 80.0][\count($case->events) % 3], $today)->items));
    }
}
