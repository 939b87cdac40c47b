<?php

declare(strict_types=1);

namespace AwakeShed\Tests\App\Words;

use AwakeShed\App\Life\LifeTopic;
use AwakeShed\App\Money\OwnersWord;
use AwakeShed\App\Sheet\SheetKind;
use AwakeShed\App\Shelf\PartCondition;
use AwakeShed\App\Wait\WaitKind;
use AwakeShed\Core\Evidence\MachineKind;
use AwakeShed\Core\Evidence\Vocabulary;
use AwakeShed\Core\Money\LineKind;
use AwakeShed\Core\Money\WorthVerdict;
use AwakeShed\Core\Progress\WaitsOn;
use AwakeShed\Core\Proving\ChokeStep;
use AwakeShed\Core\Proving\ExpectedSmoke;
use AwakeShed\Core\Proving\SurgeVerdict;
use AwakeShed\Core\Proving\Watch;
use AwakeShed\Core\Service\Due;
use AwakeShed\Core\Stage\StagePlan;
use AwakeShed\Tests\App\ShedTestCase;
use Symfony\Contracts\Translation\TranslatorInterface;

/** Every id of the vocabulary is said in words of the reader's language: none falls back on its own spelling. */
final class EverythingHasWordsTest extends ShedTestCase
{
    public function testTestsOutcomesAndFaults(): void
    {
        $translator = self::service(TranslatorInterface::class);
        $says = static fn (string $key): bool => $key !== $translator->trans($key, [], 'trade');
        $silent = [];
        foreach (Vocabulary::shipped()->tests as $test) {
            $silent = [...$silent, ...array_filter(['test.'.$test->id], static fn (string $key): bool => !$says($key))];
            foreach ($test->outcomes ?? [] as $outcome) {
                if (!$says('outcome.'.$test->id.'.'.$outcome) && !$says('outcome.'.$outcome)) {
                    $silent[] = $test->id.' '.$outcome;
                }
            }
        }
        foreach (array_keys(Vocabulary::shipped()->faults) as $fault) {
            $silent = [...$silent, ...array_filter(['fault.'.$fault], static fn (string $key): bool => !$says($key))];
        }
        self::assertSame([], $silent);
    }

    public function testStepsWaitsSchoolsAndWhatTheSheetsAndTheMoneySay(): void
    {
        $keys = [];
        foreach (self::service(StagePlan::class)->stages() as $stage) {
            $keys[] = ['steps', 'stage.'.$stage->id];
            foreach ($stage->steps as $step) {
                if (null === $step->test && null === $step->cure) {
                    $keys[] = ['steps', 'step.'.$step->id];
                }
                foreach (array_keys($step->fields ?? []) as $field) {
                    $keys[] = ['steps', 'field.'.$field];
                }
            }
        }
        foreach (Vocabulary::shipped()->schools as $question => $schools) {
            $keys[] = ['trade', 'outcome.question.'.$question];
            $keys = [...$keys, ...array_map(static fn (string $school): array => ['trade', 'outcome.school.'.$school], $schools)];
        }
        foreach ([
            ['trade', 'wait.', WaitKind::cases()], ['trade', 'waits.', WaitsOn::cases()], ['trade', 'outcome.waits_on.', WaitsOn::cases()], ['steps', 'smoke.', ExpectedSmoke::cases()], ['steps', 'surge.', SurgeVerdict::cases()], ['steps', 'choke.', ChokeStep::cases()], ['steps', 'load.', MachineKind::cases()],
            ['sheet', 'watch_', Watch::cases()], ['sheet', 'card_kind_', MachineKind::cases()], ['sheet', 'kind.', SheetKind::cases()], ['season', 'due.', Due::cases()], ['money', 'worth.', WorthVerdict::cases()], ['money', 'line.', LineKind::cases()], ['money', 'word.', OwnersWord::cases()],
            ['money', 'say.', OwnersWord::cases()], ['life', 'topic.', LifeTopic::cases()], ['shelf', 'condition.', PartCondition::cases()],
        ] as [$domain, $prefix, $cases]) {
            $keys = [...$keys, ...array_map(static fn (\BackedEnum $case): array => [$domain, $prefix.$case->value], $cases)];
        }
        $translator = self::service(TranslatorInterface::class);
        self::assertSame([], array_values(array_filter($keys, static fn (array $key): bool => $key[1] === $translator->trans($key[1], [], $key[0]))));
        self::assertGreaterThan(250, \count($keys));
    }
}
