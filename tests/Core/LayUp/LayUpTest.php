<?php

declare(strict_types=1);

namespace AwakeShed\Tests\Core\LayUp;

use AwakeShed\Core\Evidence\CaseFile;
use AwakeShed\Core\Evidence\MachineFacts;
use AwakeShed\Core\Evidence\MachineKind;
use AwakeShed\Core\Evidence\Vocabulary;
use AwakeShed\Core\Gate\Closures;
use AwakeShed\Core\Gate\Gatekeeper;
use AwakeShed\Core\LayUp\LayUpPlan;
use AwakeShed\Core\LayUp\LayUpStep;
use AwakeShed\Core\LayUp\Season;
use AwakeShed\Core\LayUp\Setting;
use AwakeShed\Core\Stage\StagePlan;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class LayUpTest extends TestCase
{
    public function testFullAndStabilizedIsReckonedFromTheTank(): void
    {
        $steps = self::plan(new MachineFacts(MachineKind::Generator, oilMl: 600, tankMl: 10_000), ['layup' => 'full_and_stabilised']);
        self::assertSame(['layup.clean', 'layup.oil', 'layup.tap_shut', 'layup.fill', 'layup.stabilizer', 'layup.run_through', 'layup.winter_plate', 'layup.cover', 'layup.label'], array_values(array_filter(array_keys($steps), static fn (string $step): bool => 'layup.battery' !== $step)));
        self::assertEqualsWithDelta(9500.0, $steps['layup.fill']->amount?->inMillilitres() ?? 0.0, 1e-6);
        // An ounce (29.574 mL) for 2.5 US gallons (9463.5 mL), NIST SP 811: 9.5 L want 29.69 mL.
        self::assertEqualsWithDelta(29.69, $steps['layup.stabilizer']->amount?->inMillilitres() ?? 0.0, 0.01);
        self::assertSame(10, $steps['layup.run_through']->minutes);
        self::assertEqualsWithDelta(600.0, $steps['layup.oil']->amount?->inMillilitres() ?? 0.0, 1e-6);
        self::assertNull(self::plan(new MachineFacts(MachineKind::Generator), ['layup' => 'full_and_stabilised'])['layup.stabilizer']->amount, 'nobody knows its tank');
    }

    public function testASchoolAndAKindChooseTheSteps(): void
    {
        self::assertArrayHasKey('layup.run_dry', self::plan(new MachineFacts(MachineKind::Mower), []), 'run dry where nothing is said');
        self::assertArrayNotHasKey('layup.fill', self::plan(new MachineFacts(MachineKind::Mower), []));
        $tool = self::plan(new MachineFacts(MachineKind::TwoStrokeHandTool), []);
        self::assertArrayHasKey('layup.oil_in_tank', $tool, 'oil in the tank is usual for a hand tool');
        self::assertArrayNotHasKey('layup.run_dry', $tool);
        self::assertArrayHasKey('layup.run_dry', self::plan(new MachineFacts(MachineKind::TwoStrokeHandTool), ['layup' => 'run_dry']));
        self::assertArrayHasKey('layup.pump_guard', self::plan(new MachineFacts(MachineKind::PressureWasher), []));
    }

    /** @return iterable<string, array{MachineKind, string, string, string}> kind, today, laid up, woken */
    public static function years(): iterable
    {
        yield 'a mower in spring' => [MachineKind::Mower, '2026-04-02', '2026-10-25', '2027-03-10'];
        yield 'a mower on the day itself' => [MachineKind::Mower, '2026-10-25', '2027-10-25', '2028-03-10'];
        yield 'a snowblower in November' => [MachineKind::Snowblower, '2026-11-26', '2027-04-15', '2027-10-05'];
        yield 'a generator in November' => [MachineKind::Generator, '2026-11-26', '2026-11-30', '2027-04-01'];
        yield 'a generator in June' => [MachineKind::InverterGenerator, '2026-06-01', '2026-11-30', '2027-04-01'];
    }

    #[DataProvider('years')]
    public function testEachIsLaidUpAfterItsSeasonAndWokenBeforeTheNext(MachineKind $kind, string $today, string $layUp, string $wake): void
    {
        $season = Season::of($kind);
        $day = $season->layUpAfter(new \DateTimeImmutable($today));
        self::assertSame([$layUp, $wake], [$day->format('Y-m-d'), $season->wakeAfter($day)->format('Y-m-d')]);
    }

    public function testWhatGoesHomeInTheOffSeasonStandsAnyway(): void
    {
        $off = static fn (MachineKind $kind, string $day): bool => Season::of($kind)->isOff(new \DateTimeImmutable($day));
        self::assertTrue($off(MachineKind::Mower, '2026-11-26'));
        self::assertFalse($off(MachineKind::Mower, '2026-06-01'));
        self::assertTrue($off(MachineKind::Snowblower, '2026-06-01'));
        self::assertFalse($off(MachineKind::Snowblower, '2026-11-26'));
        self::assertFalse($off(MachineKind::Generator, '2026-11-26'));
    }

    public function testWhatIsSetForWinterAndWhen(): void
    {
        $of = static fn (MachineKind $kind, string $today = '2026-11-26'): array => array_map(static fn (Setting $setting): string => $setting->what.' '.$setting->side.' '.$setting->from->format('Y-m-d'), Setting::nextOf(new MachineFacts($kind), new \DateTimeImmutable($today)));
        self::assertSame(['oil summer 2027-04-15', 'plate summer 2027-04-15', 'oil winter 2027-10-15', 'plate winter 2027-10-15'], $of(MachineKind::Generator));
        self::assertSame(['plate summer 2027-04-15', 'plate winter 2027-10-15'], $of(MachineKind::Snowblower));
        self::assertSame(['plate winter 2026-10-15', 'plate summer 2027-04-15'], $of(MachineKind::Snowblower, '2026-10-14'));
        self::assertSame(['plate summer 2027-04-15', 'plate winter 2027-10-15'], $of(MachineKind::Snowblower, '2026-10-15'), 'on the day itself it is done, and next in a year');
        self::assertSame([], $of(MachineKind::Mower), 'it stands in winter');
    }

    /**
     * @param array<string, string> $schools
     *
     * @return array<string, LayUpStep> by step
     */
    private static function plan(MachineFacts $machine, array $schools): array
    {
        $plan = StagePlan::shipped(Vocabulary::shipped(), new Gatekeeper(Vocabulary::shipped(), Closures::shipped()));
        $steps = LayUpPlan::of($plan->stateOfStage('layup', new CaseFile($machine, [], $schools), [])->steps, $machine)->steps;

        return array_combine(array_map(static fn (LayUpStep $step): string => $step->step, $steps), $steps);
    }
}
