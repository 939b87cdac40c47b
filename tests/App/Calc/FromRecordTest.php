<?php

declare(strict_types=1);

namespace AwakeShed\Tests\App\Calc;

use AwakeShed\App\Job\Job;
use AwakeShed\Core\Evidence\Done;
use AwakeShed\Core\Evidence\Finding;
use AwakeShed\Core\Evidence\Vocabulary;
use AwakeShed\Tests\App\ShedTestCase;
use PHPUnit\Framework\Attributes\DataProvider;

/** What a job's record says already is not asked again by its calculations. */
final class FromRecordTest extends ShedTestCase
{
    public function testAPittedCastingDecidesBetweenTheWays(): void
    {
        $this->signIn();
        $job = $this->job();
        $this->found($job, Finding::observed('bowl.inside', 'sediment'));
        $this->browser->request('GET', '/jobs/'.$job->getId().'/bench/repair');
        self::assertSelectorTextContains('[data-known]', 'in the bowl');
        self::assertSelectorExists('input[name="contamination"][value="sediment"][checked]');
        $this->found($job, Finding::observed('body.metal', 'pitted'));
        $this->browser->request('GET', '/jobs/'.$job->getId().'/bench/repair');
        self::assertSelectorExists('[data-verdict="pitted"]');
        self::assertSelectorTextContains('.verdict h2', 'a new carburetor costs least');
        // One off another machine is a way once there is one.
        $page = $this->browser->request('GET', '/jobs/'.$job->getId().'/bench/repair?contamination=pitted&donor_parts=5');
        self::assertNotSame('', $page->filter('[data-figure="donor_cost"]')->attr('data-plain'));
    }

    public function testWhatWasMeasuredOfFuelAndOilFillsTheirCalculations(): void
    {
        $this->signIn();
        $asked = fn (Job $job, string $calculation, string $field): ?string => $this->browser->request('GET', '/jobs/'.$job->getId()."/bench/$calculation")->filter("#$field")->attr('value');
        $job = $this->job();
        self::assertSame('', (string) $asked($job, 'flush-plan', 'dilution'));
        $this->found($job, Finding::number('jar.ethanol_percent', 9.5), Finding::observed('look.oil_level', 'far_over')->measuring(['drained_ml' => 870, 'dilution' => 0.38]));
        self::assertSame(['9.5', '870', '38'], [$asked($job, 'water-tolerance', 'ethanol'), $asked($job, 'fuel-in-oil', 'drained_ml'), $asked($job, 'flush-plan', 'dilution')]);
        // Drained since, that counts; what the level said of the oil it had is what is flushed out.
        $this->found($this->again($job), new Done(self::service(Vocabulary::class)->act('crankcase.drained'), ['ml' => 900]));
        self::assertSame(['900', '38'], [$asked($job, 'fuel-in-oil', 'drained_ml'), $asked($job, 'flush-plan', 'dilution')]);
        // The published table ends at fifteen.
        foreach (['15' => '15', '15.1' => '10'] as $said => $filled) {
            $other = $this->job();
            $this->found($other, Finding::number('jar.ethanol_percent', (float) $said));
            self::assertSame($filled, $asked($other, 'water-tolerance', 'ethanol'), $said.' %');
        }
    }

    public function testWhatAPhotoSaysOfAJarGoesIntoItsFields(): void
    {
        $this->signIn();
        $page = $this->browser->request('GET', '/jobs/'.$this->job()->getId().'/bench/jar-photo?'.http_build_query(['bottom' => '500, 900', 'interface' => '500, 780', 'surface' => '500, 300', 'total_ml' => '100']));
        parse_str((string) parse_url((string) $page->filter('#calc-answer a.button')->attr('href'), \PHP_URL_QUERY), $said);
        self::assertSame(['100', '20'], [$said['total_ml'] ?? null, $said['lower_ml'] ?? null]);
    }

    public function testANeedleThatHeldIsTickedBeforeAJetIsOpened(): void
    {
        $this->signIn();
        $job = $this->job();
        $this->found($job, Finding::observed('needle.pressure', 'holds'), Finding::observed('intake.gasket', 'sound'));
        $page = $this->browser->request('GET', '/jobs/'.$job->getId().'/bench/jet-enlarging');
        self::assertSame(['gaskets_tight', 'needle_tested'], $page->filter('input[name="done[]"][checked]')->each(static fn ($box): string => (string) $box->attr('value')));
    }

    /** @return iterable<string, array{list<Finding>, list<string>}> findings, and what of it need not be ticked */
    public static function provedBeforeDrilling(): iterable
    {
        [$bowl, $main, $pilot] = [Finding::observed('bowl.inside', 'clean'), Finding::observed('jet.main', 'clear'), Finding::observed('jet.pilot', 'clear')];
        yield 'all three are clean' => [[$bowl, $main, $pilot], ['everything_cleaned']];
        yield 'the pilot jet was not looked at' => [[$bowl, $main], []];
        yield 'the main jet was not looked at' => [[$bowl, $pilot], []];
        yield 'the bowl is not clean' => [[Finding::observed('bowl.inside', 'sediment'), $main, $pilot], []];
        yield 'a jet is blocked' => [[$bowl, $main, Finding::observed('jet.pilot', 'blocked')], []];
        yield 'a gasket that leaks, a needle that does' => [[Finding::observed('intake.gasket', 'leaks_on_spray'), Finding::observed('needle.pressure', 'leaks')], []];
    }

    /**
     * @param list<Finding> $findings
     * @param list<string>  $ticked
     */
    #[DataProvider('provedBeforeDrilling')]
    public function testOnlyWhatIsProvedIsTickedBeforeAJetIsOpened(array $findings, array $ticked): void
    {
        $this->signIn();
        $job = $this->job();
        $this->found($job, ...$findings);
        $page = $this->browser->request('GET', '/jobs/'.$job->getId().'/bench/jet-enlarging');
        self::assertSame($ticked, $page->filter('input[name="done[]"][checked]')->each(static fn ($box): string => (string) $box->attr('value')));
    }

    public function testADrainingFillsTheArithmeticOfIt(): void
    {
        $this->signIn();
        $job = $this->job();
        $this->found($job, new Done(self::service(Vocabulary::class)->act('crankcase.drained'), ['ml' => 840.0]));
        $page = $this->browser->request('GET', '/jobs/'.$job->getId().'/bench/fuel-in-oil');
        self::assertSame('840', $page->filter('#drained_ml')->attr('value'));
    }

    public function testAQuoteIsSharperWithEveryFinding(): void
    {
        $this->signIn();
        $job = $this->pastGates($this->job());
        $width = function () use ($job): float {
            $page = $this->browser->request('GET', '/jobs/'.$job->getId().'/bench/quote?wage_per_hour=60&base_hours=0.75&owner_cap=120');
            self::assertSelectorExists('[data-verdict="worth_it"], [data-verdict="ask"], [data-verdict="not_worth_it"]');

            return (float) $page->filter('[data-figure="quote_most"]')->attr('data-plain') - (float) $page->filter('[data-figure="quote_least"]')->attr('data-plain');
        };
        $atIntake = $width();
        self::assertGreaterThan(20, $atIntake);
        $this->found($job, Finding::observed('compression.gauge', 'good'), Finding::observed('spark.tester', 'strong'), Finding::observed('flow.line', 'pours'), Finding::observed('needle.pressure', 'holds'), Finding::observed('look.plug', 'dry'), Finding::observed('jet.pilot', 'clear'));
        self::assertLessThan($atIntake, $width());
        // What the owner will spend is asked once.
        $address = '/jobs/'.$job->getId().'/bench/quote';
        $this->post($address, ['wage_per_hour' => '55', 'base_hours' => '0.75', 'owner_cap' => '120']);
        self::assertResponseRedirects();
        $page = $this->browser->request('GET', $address);
        self::assertSame('120', $page->filter('#owner_cap')->attr('value'));
        self::assertSame('55', $page->filter('#wage_per_hour')->attr('value'));
        self::assertSelectorTextContains('[data-known]', 'the owner will spend up to');
    }

    public function testBeforeAndAfterStandAsAPair(): void
    {
        $this->signIn();
        $job = $this->job();
        $address = '/jobs/'.$job->getId().'/bench/needle-gauge';
        foreach ([['7.5', '6.4', '4.0'], ['7.6', '6.5', '6.4']] as [$lifts, $seats, $after]) {
            $this->post($address, ['lifts_psi' => $lifts, 'seats_psi' => $seats, 'after_minute_psi' => $after]);
            self::assertResponseRedirects('/jobs/'.$job->getId());
        }
        $this->browser->request('GET', $address);
        self::assertSelectorTextContains('[data-pair]', 'loses a minute 2.4 psi');
        self::assertSelectorTextContains('[data-pair]', 'loses a minute 0.1 psi');
    }
}
