<?php

declare(strict_types=1);

namespace AwakeShed\Tests\App\Diagnosis;

use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Bundle\FrameworkBundle\Console\Application;
use Symfony\Bundle\FrameworkBundle\Test\KernelTestCase;
use Symfony\Component\Console\Tester\CommandTester;

final class AssessCommandTest extends KernelTestCase
{
    private const HEAD = '"format":"awake-shed/case","version":1,"machine":{"kind":"mower","cycle":"four_stroke","oil_ml":550}';

    public function testPrintsTheAssessmentOfTheContract(): void
    {
        $assessment = self::assess('{'.self::HEAD.',"findings":[
            {"test":"claim.idle_months","outcome":26},{"test":"claim.tipped","outcome":"no"},
            {"test":"look.oil_level","outcome":"far_over","measured":{"drained_ml":900}},{"test":"look.oil_smell","outcome":"gas"},
            {"test":"look.air_filter","outcome":"oil_soaked"},{"test":"look.carb_outside","outcome":"oil_running"},
            {"test":"feel.pull","outcome":"locked"},{"test":"look.plug","outcome":["like_new","gas_wet"]}]}');
        self::assertSame(['awake-shed/assessment', 1], [$assessment['format'], $assessment['version']]);
        self::assertCount(83, $assessment['faults']);
        $probabilities = array_column($assessment['faults'], 'probability');
        $sorted = $probabilities;
        rsort($sorted);
        self::assertSame($sorted, $probabilities);
        self::assertContains('cylinder.hydrolock_gas', \array_slice(array_column($assessment['faults'], 'id'), 0, 3));
        self::assertGreaterThanOrEqual(5, \count($assessment['next']));
        self::assertSame(['test', 'minutes', 'minutes_here', 'parts_off', 'expected_bits', 'why', 'cautions'], array_keys($assessment['next'][0]));
        $until = array_column($assessment['blocked'], 'until', 'test');
        self::assertContains('hold.gas_in_oil', $until['start.plain']);
        self::assertArrayHasKey('spark.tester', $until);
        self::assertSame([], array_uintersect(array_column($assessment['next'], 'test'), array_keys($until), static fn (mixed $one, mixed $other): int => $one <=> $other));
        self::assertSame('claim.tipped', $assessment['contradictions'][0]['claim']);
        self::assertSame(['oil.dilution', 0.3889, 'change_flush_cure'], [$assessment['verdicts'][0]['id'], $assessment['verdicts'][0]['value'], $assessment['verdicts'][0]['band']]);
    }

    public function testTheOrderOfFindingsChangesNothing(): void
    {
        $findings = ['{"test":"look.oil_level","outcome":"at_mark"}', '{"test":"start.plain","outcome":"nothing"}', '{"test":"spark.tester","outcome":"none"}', '{"test":"look.plug","outcome":["gas_wet"]}'];
        $one = self::assess('{'.self::HEAD.',"findings":['.implode(',', $findings).']}');
        $other = self::assess('{'.self::HEAD.',"findings":['.implode(',', array_reverse($findings)).']}');
        self::assertSame($one, $other);
    }

    public function testALookThatOnlyOpensOthersSaysWhatItOpens(): void
    {
        $assessment = self::assess('{'.self::HEAD.',"findings":[{"test":"claim.idle_months","outcome":60},{"test":"look.oil_level","outcome":"at_mark"},{"test":"look.air_filter","outcome":"clean"}]}');
        $why = array_column($assessment['next'], 'why', 'test');
        self::assertStringStartsWith('It opens: ', $why['prep.cylinder_oiled']);
        foreach ($why as $test => $said) {
            self::assertStringNotContainsString(': .', $said, (string) $test);
        }
    }

    public function testFuelThatWasPouredAwayIsJudgedNoMore(): void
    {
        $case = static fn (string $findings): array => array_column(self::assess('{'.self::HEAD.',"findings":['.$findings.'],"jars":{"tank":{"layers":{"height_mm":92,"total_ml":80,"lower_ml":14,"edge":"sharp"}},"bowl":{"layers":{"height_mm":92,"total_ml":80,"lower_ml":0}}}}')['verdicts'], 'id');
        self::assertSame(['fuel.tank', 'fuel.bowl'], $case('{"test":"jar.tank","outcome":"two_layers"}'));
        self::assertSame(['fuel.bowl'], $case('{"test":"jar.tank","outcome":"two_layers"},{"done":"tank.drained"}'));
    }

    public function testKnowsOfNothingAndSaysWhatToDoFirst(): void
    {
        $assessment = self::assess('{"format":"awake-shed/case","version":1,"machine":{"kind":"two_stroke_hand_tool"},"findings":[]}');
        self::assertNotSame([], $assessment['next']);
        self::assertSame([], $assessment['contradictions']);
    }

    /** @return iterable<string, array{string, string}> file, place on standard error */
    public static function bad(): iterable
    {
        yield 'no JSON' => ['{', '/: '];
        yield 'an unknown test' => ['{'.self::HEAD.',"findings":[{"test":"look.moon","outcome":"full"}]}', '/findings/0'];
        yield 'an unknown outcome' => ['{'.self::HEAD.',"findings":[{"test":"feel.pull","outcome":"normal"},{"test":"look.plug","outcome":"green"}]}', '/findings/1'];
        yield 'a negative volume' => ['{'.self::HEAD.',"findings":[{"test":"look.oil_level","outcome":"far_over","measured":{"drained_ml":-3}}]}', '/findings/0'];
    }

    #[DataProvider('bad')]
    public function testABadFileIsTwoWithItsPlaceAndNothingElse(string $json, string $place): void
    {
        $tester = self::tester();
        self::assertSame(2, $tester->execute(['file' => self::file($json)], ['capture_stderr_separately' => true]));
        self::assertSame('', $tester->getDisplay());
        self::assertSame(0, strpos($tester->getErrorOutput(), $place), $tester->getErrorOutput());
    }

    public function testAMissingFileIsSaid(): void
    {
        $tester = self::tester();
        self::assertSame(2, $tester->execute(['file' => '/no/such/file'], ['capture_stderr_separately' => true]));
        self::assertStringContainsString('no such file', $tester->getErrorOutput());
    }

    /**
     * @return array{
     *     format: string, version: int, faults: list<array{id: string, probability: float}>,
     *     next: list<array{test: string, minutes: float, expected_bits: float, why: string, cautions: list<string>}>, blocked: list<array{test: string, until: list<string>, why: string}>,
     *     contradictions: list<array{claim: string}>, verdicts: list<array{id: string, value: float, band: string}>
     * }
     */
    private static function assess(string $json): array
    {
        $tester = self::tester();
        self::assertSame(0, $tester->execute(['file' => self::file($json)]), $tester->getDisplay());
        /** @var array{format: string, version: int, faults: list<array{id: string, probability: float}>, next: list<array{test: string, minutes: float, expected_bits: float, why: string, cautions: list<string>}>, blocked: list<array{test: string, until: list<string>, why: string}>, contradictions: list<array{claim: string}>, verdicts: list<array{id: string, value: float, band: string}>} $assessment */
        $assessment = json_decode($tester->getDisplay(), true, 16, \JSON_THROW_ON_ERROR);

        return $assessment;
    }

    private static function file(string $json): string
    {
        $file = (string) tempnam(sys_get_temp_dir(), 'case');
        file_put_contents($file, $json);

        return $file;
    }

    private static function tester(): CommandTester
    {
        return new CommandTester((new Application(self::bootKernel()))->find('shed:assess'));
    }
}
