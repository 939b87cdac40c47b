<?php

declare(strict_types=1);

namespace AwakeShed\Tests\Core\Diagnosis;

use AwakeShed\Core\Diagnosis\FaultModel;
use AwakeShed\Core\Evidence\CaseFile;
use AwakeShed\Core\Evidence\ChokeKind;
use AwakeShed\Core\Evidence\Cycle;
use AwakeShed\Core\Evidence\Feed;
use AwakeShed\Core\Evidence\Finding;
use AwakeShed\Core\Evidence\MachineFacts;
use AwakeShed\Core\Evidence\MachineKind;
use AwakeShed\Core\Evidence\PutRight;
use AwakeShed\Core\Evidence\Vocabulary;
use AwakeShed\Tests\Kept;
use AwakeShed\Tests\Seeded;
use PHPUnit\Framework\TestCase;

/**
 * What machines as they come may have before any test, and how likely: kept in tests/Core/Kept, by machine which faults it
 * cannot have at all, and what those it may have come to together.
 */
final class MachinesByChanceTest extends TestCase
{
    public function testWhatAMachineMayHave(): void
    {
        $model = FaultModel::shipped();
        $vocabulary = Vocabulary::shipped();
        $lines = [];
        for ($seed = 1; $seed <= 120; ++$seed) {
            $dice = new Seeded($seed);
            $machine = new MachineFacts($dice->one(MachineKind::cases()), $dice->one([null, ...Cycle::cases()]), feed: $dice->one([null, ...Feed::cases()]), choke: $dice->one([null, ...ChokeKind::cases()]), electricStart: $dice->one([null, true, false]));
            $events = [];
            if ($dice->int(0, 2) > 0) {
                $events[] = Finding::number('claim.idle_months', $dice->one([0, 2, 6, 11, 12, 30, 72]));
            }
            foreach (['claim.fuel_kind', 'claim.layup'] as $claim) {
                if ($dice->int(0, 2) > 0) {
                    $events[] = Finding::observed($claim, $dice->one($vocabulary->test($claim)->outcomes ?? []));
                }
            }
            if (0 === $dice->int(0, 2)) {
                $events[] = new PutRight($dice->one(array_keys($vocabulary->faults)));
            }
            $network = $model->network(new CaseFile($machine, $events));
            $said = implode(' ', [$machine->kind->value, $machine->cycle->value, $machine->usualFeed()->value, $machine->choke->value ?? 'any', match ($machine->electricStart) {
                null => 'perhaps', true => 'starter', false => 'by hand',
            }]);
            $lines[] = "$seed, $said: not ".implode(' ', array_diff($model->faults(), array_keys($network->priors)));
            $lines[] = "$seed, priors: ".Kept::summed(array_values($network->priors)).'; brings '.Kept::summed(array_merge([], ...array_map(array_values(...), array_values($network->brings)))).'; seen '.implode(' ', array_keys($network->seen));
        }
        Kept::is(__DIR__.'/../Kept/machines-by-chance.txt', $lines);
    }
}
