<?php

declare(strict_types=1);

namespace AwakeShed\Tests\Core\Evidence;

use AwakeShed\Core\Evidence\Cycle;
use AwakeShed\Core\Evidence\Finding;
use AwakeShed\Core\Evidence\MachineFacts;
use AwakeShed\Core\Evidence\MachineKind;
use AwakeShed\Core\Evidence\TestPattern;
use AwakeShed\Core\Evidence\UnknownWord;
use AwakeShed\Core\Evidence\Vocabulary;
use AwakeShed\Core\Units\ImpossibleAmount;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** The tables are data that people edit; whatever they name must exist. */
final class VocabularyTest extends TestCase
{
    public function testIsTheWholeOpenVocabulary(): void
    {
        $vocabulary = Vocabulary::shipped();
        // Version 1 as published: ids may grow, never be dropped.
        self::assertCount(114, $vocabulary->tests);
        self::assertCount(83, $vocabulary->faults);
        self::assertCount(17, array_filter($vocabulary->holds, static fn ($hold): bool => str_starts_with($hold->id, 'hold.')));
        self::assertCount(95, $vocabulary->acts);
    }

    public function testEveryRuleNamesTestsOutcomesAndFaultsThatExist(): void
    {
        $vocabulary = Vocabulary::shipped();
        foreach ($vocabulary->tests as $test) {
            array_map($vocabulary->test(...), $test->after);
        }
        foreach ($vocabulary->holds as $hold) {
            foreach ($hold->whenAny as $test => $outcomes) {
                self::assertSame([], array_diff($outcomes, $vocabulary->test($test)->outcomes ?? []), $hold->id);
            }
            foreach ($hold->blocks as $pattern) {
                $hit = array_filter(array_keys($vocabulary->tests), static fn (string $id): bool => $hold->blocks($id));
                self::assertNotSame([], $hit, $hold->id.' blocks '.$pattern);
            }
            array_map($vocabulary->checkFault(...), $hold->untilPutRightAny);
            self::assertTrue([] !== $hold->untilPutRightAny || null !== $hold->untilNewFinding, $hold->id.' must be releasable');
        }
        foreach ($vocabulary->holds as $hold) {
            foreach ($hold->waysOut as $way) {
                self::assertTrue(isset($vocabulary->acts[$way]) || isset($vocabulary->tests[$way]), "$hold->id leads to $way");
            }
        }
        foreach ($vocabulary->acts as $act) {
            array_map($vocabulary->test(...), $act->voids);
            array_map($vocabulary->checkFault(...), $act->putsRight);
            array_map($vocabulary->check(...), $act->shows);
        }
        foreach ($vocabulary->prerequisites as $rule) {
            self::assertContains($rule->outcome, $vocabulary->test($rule->test)->outcomes ?? []);
            self::assertTrue($vocabulary->test($rule->claim)->takesNumber());
        }
    }

    public function testNamesItsSourceClass(): void
    {
        foreach (['Evidence/data/house-rules.json', 'Gate/data/walk.json', 'Line/data/bearings.json', 'Fuel/data/water-tolerance.json', 'Jet/data/number-drills.json', 'Gate/data/closures.json', 'Line/data/act-rooms.json', 'Carburetor/data/part-acts.json'] as $file) {
            $data = json_decode((string) file_get_contents(\dirname(__DIR__, 3).'/core/'.$file), true, 16, \JSON_THROW_ON_ERROR);
            self::assertIsArray($data);
            self::assertMatchesRegularExpression('/published|common practice|from memory|invented/', \is_string($data['source_class'] ?? null) ? $data['source_class'] : '', $file);
        }
    }

    /** @return iterable<string, array{Finding, string}> */
    public static function badFindings(): iterable
    {
        yield 'no such test' => [Finding::observed('look.weather', 'fair'), '"look.weather" is not a test of the vocabulary.'];
        yield 'no such outcome' => [Finding::observed('look.controls', 'lost'), '"lost" is not an outcome of look.controls; it has free, stuck_or_stretched.'];
        yield 'one of two outcomes unknown' => [Finding::observed('look.controls', 'free', 'gone'), '"gone" is not an outcome of look.controls; it has free, stuck_or_stretched.'];
        yield 'a number for words' => [Finding::number('look.controls', 3), 'look.controls takes one of free, stuck_or_stretched.'];
        yield 'words for a number' => [Finding::observed('claim.idle_months', 'many'), 'claim.idle_months takes a number.'];
        yield 'negative months' => [Finding::number('claim.idle_months', -1), '-1 months, allowed 0 to 1200 months.'];
        yield 'more than all ethanol' => [Finding::number('jar.ethanol_percent', 101), '101 %, allowed 0 to 100 %.'];
        yield 'no number at all' => [Finding::number('jar.ethanol_percent', \NAN), 'NAN %, allowed 0 to 100 %.'];
    }

    #[DataProvider('badFindings')]
    public function testRefusesFindingsThatMeanNothing(Finding $finding, string $refusal): void
    {
        try {
            Vocabulary::shipped()->check($finding);
            self::fail('It was taken.');
        } catch (UnknownWord|ImpossibleAmount $refused) {
            self::assertSame($refusal, $refused->getMessage());
        }
    }

    public function testAsksNoMachineForWhatItCannotHave(): void
    {
        $vocabulary = Vocabulary::shipped();
        $trimmer = new MachineFacts(MachineKind::TwoStrokeHandTool);
        self::assertSame(Cycle::TwoStroke, $trimmer->cycle);
        self::assertFalse($vocabulary->applies('look.oil_level', $trimmer));
        self::assertFalse($vocabulary->applies('look.blade', new MachineFacts(MachineKind::Generator)));
        self::assertFalse($vocabulary->applies('gate.water_supply', new MachineFacts(MachineKind::Mower)));
        self::assertTrue($vocabulary->applies('gate.water_supply', new MachineFacts(MachineKind::PressureWasher)));
        self::assertTrue($vocabulary->applies('look.oil_level', new MachineFacts(MachineKind::Mower)));
        // An old two-stroke mower has no crankcase oil either.
        self::assertFalse($vocabulary->applies('look.oil_level', new MachineFacts(MachineKind::Mower, Cycle::TwoStroke)));
    }

    public function testRefusesAbsurdMachines(): void
    {
        foreach ([
            static fn (): MachineFacts => new MachineFacts(MachineKind::Mower, displacementCc: -5.0),
            static fn (): MachineFacts => new MachineFacts(MachineKind::Mower, compressionRatio: 0.5),
            static fn (): MachineFacts => new MachineFacts(MachineKind::Mower, oilMl: \NAN),
            static fn (): MachineFacts => new MachineFacts(MachineKind::Mower, governedRpm: 1e9),
        ] as $absurd) {
            try {
                $absurd();
                self::fail('It was taken.');
            } catch (ImpossibleAmount $refusal) {
                self::assertSame('amount.out_of_range', $refusal->reason());
            }
        }
    }

    public function testAPatternMeansWhatBeginsLikeItAndNothingElse(): void
    {
        self::assertTrue(TestPattern::matchesAny(['jar.tank', 'start.*'], 'start.plain'));
        self::assertTrue(TestPattern::matchesAny(['jar.tank', 'start.*'], 'jar.tank'));
        self::assertFalse(TestPattern::matchesAny(['jar.tank', 'start.*'], 'starter.mended'));
        self::assertFalse(TestPattern::matchesAny(['jar.tank', 'start.*'], 'jar.tanks'));
        self::assertFalse(TestPattern::matchesAny([], 'jar.tank'));
    }
}
