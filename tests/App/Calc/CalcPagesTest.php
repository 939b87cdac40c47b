<?php

declare(strict_types=1);

namespace AwakeShed\Tests\App\Calc;

use AwakeShed\App\Account\Role;
use AwakeShed\App\Calc\Calculation;
use AwakeShed\App\Calc\Calculations;
use AwakeShed\App\Calc\Given;
use AwakeShed\App\Calc\Input\SeriesInput;
use AwakeShed\App\Evidence\Content\Observed;
use AwakeShed\App\Evidence\Content\WorkedOut;
use AwakeShed\App\Evidence\Entry;
use AwakeShed\App\Once\RequestKey;
use AwakeShed\App\Reader\UnitSystem;
use AwakeShed\Core\Evidence\Finding;
use AwakeShed\Core\Evidence\MachineFacts;
use AwakeShed\Core\Evidence\MachineKind;
use AwakeShed\Core\Evidence\Vocabulary;
use AwakeShed\Tests\App\ShedTestCase;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Bundle\FrameworkBundle\Console\Application;
use Symfony\Component\Console\Tester\CommandTester;
use Symfony\Component\DomCrawler\Crawler;

final class CalcPagesTest extends ShedTestCase
{
    private const HYDROLOCK = '?displacement_cc=160&compression_ratio=8.5&liquid_ml=10&drops_per_minute=6&drop_ml=0.025';

    public function testEveryCalculationHasItsWordsAndItsPage(): void
    {
        $this->signIn();
        foreach (self::service(Calculations::class)->all() as $calculation) {
            $hasSeries = [] !== array_filter($calculation->inputs(), static fn ($input): bool => $input instanceof SeriesInput);
            $this->browser->request('GET', '/bench/'.$calculation->name());
            self::assertResponseStatusCodeSame($hasSeries ? 404 : 200);
            $this->assertSaysNoKeys($calculation);
        }
        $this->browser->request('GET', '/bench');
        self::assertSelectorCount(\count(self::service(Calculations::class)->all()), '.bench-list a');
    }

    public function testThePageSaysWhatTheCommandLineSays(): void
    {
        $this->signIn();
        foreach (CalcCommandTest::worked() as [$name, $inputs]) {
            // What is no field cannot be typed.
            if (isset($inputs['csv']) || isset($inputs['faults'])) {
                continue;
            }
            $this->inMetric();
            $page = $this->browser->request('GET', '/bench/'.$name.'?'.http_build_query(self::asMetric($name, $inputs)));
            self::assertResponseIsSuccessful($name);
            $tester = new CommandTester((new Application(self::$kernel ?? self::fail()))->find('shed:calc'));
            $tester->execute(['name' => $name, '--in' => json_encode($inputs, \JSON_THROW_ON_ERROR)]);
            $result = json_decode($tester->getDisplay(), true, 16, \JSON_THROW_ON_ERROR);
            self::assertIsArray($result);
            self::assertIsArray($result['out']);
            self::assertSame($result['out']['verdict'], $page->filter('[data-verdict]')->attr('data-verdict'), $name);
            foreach ($result['out'] as $key => $value) {
                if (is_numeric($value)) {
                    $shown = (float) $page->filter("[data-figure=\"$key\"]")->attr('data-plain');
                    self::assertEqualsWithDelta($value, $shown, 1e-6 * abs((float) $value) + 1e-9, "$name, $key");
                }
            }
            $this->assertSaysNoKeys(self::service(Calculations::class)->named($name) ?? self::fail());
        }
    }

    public function testOpensWithTheVerdictInASentenceAndFoldsTheWorkingsAway(): void
    {
        $this->signIn();
        $page = $this->browser->request('GET', '/bench/hydrolock'.self::HYDROLOCK);
        self::assertSelectorTextContains('.verdict h2', '10 mL of liquid in 21.3 mL of room. It does not lock');
        self::assertNull($page->filter('details.workings')->attr('open'));
        self::assertSelectorTextContains('details.workings', 'Clearance volume');
        self::assertSelectorTextContains('details.workings', 'common practice');
        self::assertSelectorTextContains('.caution', 'Never force a locked engine');
        self::assertSelectorExists('svg.cylinder-drawing');
    }

    public function testAnEditThatShowsNoFaultLeavesTheFieldsAlone(): void
    {
        $this->signIn();
        $page = $this->browser->request('GET', '/bench/hydrolock'.self::HYDROLOCK);
        self::assertSame(['Fields' => 'stand'], json_decode((string) $page->filter('.calc-form')->attr('hx-headers'), true));
        $whole = $page->filter('#calc-answer')->html();
        $edit = $this->browser->request('GET', '/bench/hydrolock'.self::HYDROLOCK, server: ['HTTP_FIELDS' => 'stand']);
        self::assertResponseIsSuccessful();
        self::assertSame($whole, $edit->filter('#calc-answer')->html());
        self::assertSame(['calc-answer', 'calc-figure', 'calc-from', 'calc-workings'], $edit->filter('body > div')->each(static fn (Crawler $part): ?string => $part->attr('id')));
        self::assertSelectorTextContains('#calc-workings[hx-swap-oob]', 'Clearance volume');
        self::assertSelectorExists('#calc-figure[hx-swap-oob] svg');
        self::assertSelectorNotExists('#main, form, nav');
        self::assertResponseHeaderSame('HX-Reselect', '#calc-answer');
        self::assertResponseHeaderSame('HX-Retarget', '#calc-answer');
        self::assertStringContainsString('Fields', (string) $this->browser->getResponse()->headers->get('Vary'));
        // Impossible together is an answer as well: the fault is no field's.
        $this->browser->request('GET', '/bench/water-shift?fuel_ml=90&water_ml=10&aqueous_ml=5&celsius=20+C&error_ml=0.5', server: ['HTTP_FIELDS' => 'stand']);
        self::assertResponseStatusCodeSame(422);
        self::assertSelectorTextContains('#calc-answer .error', 'Water does not vanish');
        self::assertSelectorNotExists('#main');
    }

    public function testFieldsThatShowAFaultOrShowedOneAreWrittenAnew(): void
    {
        $this->signIn();
        foreach (['?displacement_cc=-5', '?displacement_cc=160&compression_ratio=8.5&liquid_ml=much', '?displacement_cc=9000&compression_ratio=8.5&liquid_ml=10', '?displacement_cc=9000&compression_ratio=8.5&liquid_ml=10&it_is_so=1', ''] as $query) {
            $page = $this->browser->request('GET', '/bench/hydrolock'.$query, server: ['HTTP_FIELDS' => 'stand']);
            self::assertFalse($this->browser->getResponse()->headers->has('HX-Retarget'), $query);
            self::assertSelectorExists('#main .calc-form', $query);
            self::assertSame('' === $query ? '{"Fields": "stand"}' : '{"Fields": "anew"}', $page->filter('.calc-form')->attr('hx-headers'), $query);
        }
    }

    public function testBadInputIsRefusedInWordsAndKept(): void
    {
        $this->signIn();
        $page = $this->browser->request('GET', '/bench/hydrolock?displacement_cc=-5&compression_ratio=8.5&liquid_ml=much&drops_per_minute=6&drop_ml=0.025');
        self::assertResponseStatusCodeSame(422);
        $this->assertSays('-5 cm³ cannot be');
        $this->assertSays('“much” is not a number');
        self::assertSame('-5', $page->filter('#displacement_cc')->attr('value'));
        self::assertSame('much', $page->filter('#liquid_ml')->attr('value'));
        $this->browser->request('GET', '/bench/water-shift?fuel_ml=90&water_ml=10&aqueous_ml=5&celsius=20+C&error_ml=0.5');
        self::assertResponseStatusCodeSame(422);
        $this->assertSays('Water does not vanish');
        foreach (['?displacement_cc[]=5', '?displacement_cc[a][b]=5&liquid_ml[]=1', '?drop_ml=%FF', '?nonsense=1'] as $query) {
            $this->browser->request('GET', '/bench/hydrolock'.$query);
            self::assertLessThan(500, $this->browser->getResponse()->getStatusCode(), $query);
        }
        $this->browser->request('GET', '/bench/horoscope');
        self::assertResponseStatusCodeSame(404);
    }

    /** @return iterable<string, array{string, string, string, string}> page, query, field, what is said under it */
    public static function refused(): iterable
    {
        yield 'a choice there is none of' => ['repair', 'contamination=honey&wage_per_hour=60', 'contamination', 'The selected choice is invalid.'];
        yield 'ticks of which one is none' => ['jet-enlarging', 'done[]=soaked&done[]=prayed', 'done', 'The selected choice is invalid.'];
        yield 'a point that is not set' => ['blade-photo', 'one_deck=10,20', 'one_tip', 'This is needed for the answer.'];
        yield 'a point that is none' => ['jar-photo', 'bottom=left', 'bottom', 'Tap the place on the photo, or type two numbers, from the left and from the top.'];
        yield 'a point off any photo' => ['jar-photo', 'bottom=99999,3', 'bottom', 'No photo is so large.'];
        yield 'an amount that is needed' => ['hydrolock', 'liquid_ml=10', 'displacement_cc', 'This is needed for the answer.'];
        yield 'an amount that cannot be' => ['hydrolock', 'displacement_cc=-5', 'displacement_cc', '-5 cm³ cannot be'];
        yield 'an amount nobody would measure' => ['hydrolock', 'displacement_cc=1900', 'displacement_cc', 'is unusual'];
    }

    #[DataProvider('refused')]
    public function testEachKindOfFieldSaysWhatIsWrongWithIt(string $name, string $query, string $field, string $said): void
    {
        $this->signIn();
        $page = $this->browser->request('GET', '/bench/'.$name.'?'.$query);
        self::assertResponseStatusCodeSame(422);
        $under = $page->filter('#'.$field.'_said .error');
        self::assertCount(1, $under);
        self::assertStringContainsString($said, $under->text());
    }

    public function testADecimalCommaAndAnotherUnitAreTaken(): void
    {
        $this->signIn();
        $this->browser->request('GET', '/bench/valve-lash?measured_mm=6+thou&spec_least_mm=0,1&spec_most_mm=0,2');
        self::assertSelectorTextContains('.verdict h2', 'In range, 0.1 to 0.2 mm (3.9 to 7.9 thou) by the spec book.');
        $this->browser->request('GET', '/bench/pull-log?thrown_ml=8;+4,5;+0+mL&liquid=gas');
        self::assertSelectorTextContains('.verdict h2', 'Dry after 3 pulls and 12.5 mL');
        $this->browser->request('GET', '/bench/jet?bore_mm=0.70&wires_mm=0.3+0.6+0.45');
        self::assertSelectorTextContains('.verdict h2', 'Take your 0.6 mm wire');
    }

    public function testAJobFillsInWhatIsKnownOfItsMachine(): void
    {
        $this->signIn();
        $job = $this->job();
        $job->getMachine()->describe('Known', new MachineFacts(MachineKind::Mower, displacementCc: 208, compressionRatio: 8.0), 'Cabin 4', '');
        self::entities()->flush();
        $page = $this->browser->request('GET', '/jobs/'.$job->getId().'/bench/hydrolock');
        self::assertSame('208', $page->filter('#displacement_cc')->attr('value'));
        self::assertSame('8', $page->filter('#compression_ratio')->attr('value'));
        self::assertSelectorTextContains('.verdict h2', '29.7 mL of room');
        $this->assertSays('Looked up: displacement (the machine');
        // What it does not say itself is taken from its class, and marked so.
        $this->browser->request('GET', '/jobs/'.$job->getId().'/bench/fuel-need');
        $this->assertSays('speed (its class, typical, common practice)');
    }

    public function testTheJobsSchoolIsTheOneThatIsFollowed(): void
    {
        $this->signIn();
        $job = $this->job();
        $address = '/jobs/'.$job->getId().'/bench/jet-enlarging';
        self::assertNotNull($this->browser->request('GET', $address)->filter('input[name=school][value=never]')->attr('checked'));
        $job->follow('jet_drilling', 'next_size_up');
        self::entities()->flush();
        self::assertNotNull($this->browser->request('GET', $address)->filter('input[name=school][value=next_size_up]')->attr('checked'));
        // And the machine's own build, where it is known.
        $trimmer = $this->job(MachineKind::TwoStrokeHandTool);
        self::assertNotNull($this->browser->request('GET', '/jobs/'.$trimmer->getId().'/bench/compression')->filter('input[name=release][value=two_stroke]')->attr('checked'));
    }

    public function testAnAnswerGoesIntoTheRecordWithWhatItWasWorkedOutFrom(): void
    {
        $this->signIn();
        $job = $this->job();
        $page = $this->browser->request('GET', '/jobs/'.$job->getId().'/bench/fuel-in-oil?mark_ml=550&drained_ml=900&left_ml=0&error_ml=10&oil_cst_40=93&oil_cst_100=10.8&start_celsius=32');
        self::assertSelectorTextContains('.calc-save', 'Oil level: ');
        $this->press($page, 'Put it into the record');
        self::assertResponseRedirects('/jobs/'.$job->getId());
        $entry = $this->record($this->again($job))->entries[0];
        self::assertEquals([Finding::observed('look.oil_level', 'far_over')->measuring(['drained_ml' => 900, 'dilution' => 0.3889])], $entry->events());
        self::assertSame('fuel-in-oil', self::workedOut($entry)?->calculation);
        self::assertEqualsWithDelta(900.0, self::workedOut($entry)->in['drained_ml'], 1e-9);
        $this->browser->request('GET', '/jobs/'.$job->getId().'/history');
        $this->assertSays('Gas in the oil, by what drained: 38.9 % gas in the oil');
    }

    public function testWhatHasNoWordInTheVocabularyIsRecordedAllTheSame(): void
    {
        $this->signIn();
        $job = $this->job();
        $this->press($this->browser->request('GET', '/jobs/'.$job->getId().'/bench/hydrolock'.self::HYDROLOCK), 'Put it into the record');
        self::assertResponseRedirects();
        $this->browser->followRedirect();
        $this->assertSays('Liquid in the cylinder: 10 mL of liquid in 21.3 mL of room');
        $entry = $this->record($this->again($job))->entries[0];
        self::assertSame([], $entry->events());
    }

    public function testTicksAndChoicesSurviveTheWayIntoTheRecord(): void
    {
        $this->signIn();
        $job = $this->job();
        $page = $this->browser->request('GET', '/jobs/'.$job->getId().'/bench/jet-enlarging?bore_mm=0.70&to_mm=0.75&school=next_size_up&done[]=everything_cleaned&done[]=gaskets_tight&done[]=needle_tested&air_to_fuel=14.7');
        self::assertSelectorTextContains('.verdict h2', 'Allowed by this shop’s practice');
        $this->press($page, 'Put it into the record');
        $worked = self::workedOut($this->record($this->again($job))->entries[0]);
        self::assertSame(['everything_cleaned', 'gaskets_tight', 'needle_tested'], $worked?->in['done']);
        self::assertSame('next_size_up', $worked->in['school']);
    }

    public function testATestThatIsClosedIsNotRecordedByTheBackDoor(): void
    {
        $this->signIn();
        $job = $this->job();
        $this->found($job, Finding::observed('look.oil_level', 'far_over'));
        // Said before the act, with the way to open it; and nothing to press.
        $this->browser->request('GET', '/jobs/'.$job->getId().'/bench/compression?gauge_psi=100&release=not_fitted');
        self::assertSelectorTextContains('[data-closed]', 'Compression is closed for now');
        self::assertSelectorNotExists('.calc-save');
        $this->post('/jobs/'.$job->getId().'/bench/compression', ['gauge_psi' => '100', 'release' => 'not_fitted']);
        self::assertGreaterThanOrEqual(400, $this->browser->getResponse()->getStatusCode());
        self::assertCount(1, $this->record($this->again($job))->entries);
    }

    public function testTwoTapsAreOneEntryAndOthersStaysTheirs(): void
    {
        $this->signIn(Role::Apprentice);
        $job = $this->job();
        $fields = ['displacement_cc' => '160', 'compression_ratio' => '8.5', 'liquid_ml' => '5', 'drops_per_minute' => '6', 'drop_ml' => '0.025'];
        $key = RequestKey::fresh()->value;
        $this->post('/jobs/'.$job->getId().'/bench/hydrolock', $fields, $key);
        $this->post('/jobs/'.$job->getId().'/bench/hydrolock', $fields, $key);
        self::assertCount(1, $this->record($this->again($job))->entries);
        $this->browser->request('POST', '/jobs/'.$job->getId().'/bench/hydrolock', $fields);
        self::assertGreaterThanOrEqual(400, $this->browser->getResponse()->getStatusCode(), 'without a token');
        self::assertCount(1, $this->record($this->again($job))->entries);
    }

    /** Every finding a calculation can make is in the vocabulary's words. */
    public function testFindingsAreTheVocabularys(): void
    {
        $vocabulary = Vocabulary::shipped();
        $found = 0;
        foreach (CalcCommandTest::worked() as [$name, $inputs]) {
            $calculation = self::service(Calculations::class)->named($name) ?? self::fail();
            foreach ($calculation->run(Given::read($calculation, $inputs))->findings as $finding) {
                $vocabulary->check($finding);
                ++$found;
            }
        }
        self::assertGreaterThan(8, $found);
    }

    private function inMetric(): void
    {
        $member = $this->member(Role::Technician);
        $member->prefer(UnitSystem::Metric, $member->getLook());
        self::entities()->flush();
    }

    /**
     * The command line's units typed behind the numbers, so that the page reads the same.
     *
     * @param array<string, mixed> $inputs
     *
     * @return array<string, mixed>
     */
    private static function asMetric(string $name, array $inputs): array
    {
        $units = ['ml_per_mm' => 'mL', '_mm' => 'mm', '_ml' => 'mL', '_cc' => 'cc', '_psi' => 'psi', 'psi' => 'psi', '_m' => 'm', '_kohm' => 'kohm', 'gal_per_min' => 'gpm', 'seconds' => 's', 'celsius' => 'C', 'rpm' => 'rpm', 'drop_um' => 'um', 'dilution' => 'whole', 'left_share' => 'whole'];
        $typed = [];
        foreach ($inputs as $input => $value) {
            $unit = '';
            foreach ($units as $ending => $symbol) {
                if (str_ends_with($input, $ending)) {
                    $unit = ' '.$symbol;
                    break;
                }
            }
            $typed[$input] = \is_array($value) ? implode('; ', array_filter($value, is_numeric(...))) : (is_numeric($value) ? $value.$unit : $value);
        }

        return $typed;
    }

    private function assertSaysNoKeys(Calculation $calculation): void
    {
        $html = (string) $this->browser->getResponse()->getContent();
        self::assertDoesNotMatchRegularExpression('/>\s*(title|about|formula|source|input|help|figure|label|verdict|caution)\.[a-z0-9_.-]+\s*</', $html, $calculation->name().' has a word missing');
    }

    private static function workedOut(Entry $entry): ?WorkedOut
    {
        $content = $entry->content();

        return $content instanceof Observed ? $content->worked : null;
    }
}
