<?php

declare(strict_types=1);

namespace AwakeShed\Tests\App\FuelTest;

use AwakeShed\App\Account\Role;
use AwakeShed\App\Evidence\Entry;
use AwakeShed\App\FuelTest\ShiftInput;
use AwakeShed\App\Job\Job;
use AwakeShed\App\Reader\Look;
use AwakeShed\App\Reader\UnitSystem;
use AwakeShed\App\Wait\WaitRepository;
use AwakeShed\App\Waste\WasteRepository;
use AwakeShed\Core\Evidence\Finding;
use AwakeShed\Core\Fuel\JarReading;
use AwakeShed\Core\Fuel\JarSample;
use AwakeShed\Tests\App\ShedTestCase;
use Symfony\Component\Clock\Test\ClockSensitiveTrait;
use Symfony\Component\DomCrawler\Crawler;

final class JarPageTest extends ShedTestCase
{
    use ClockSensitiveTrait;

    public function testAJarIsReadCardByCardToAVerdict(): void
    {
        $this->signIn();
        $job = $this->job();
        $this->read($job, 'layers', ['total' => '80', 'height' => '92', 'lower' => '14', 'edge' => 'sharp']);
        $this->assertSays('To waste. It cannot be saved.');
        $this->assertSays('A measured dose of water tells which.');
        $this->read($job, 'dose', ['before' => '14', 'dose' => '10', 'after' => '27']);
        $this->assertSays('the blend has separated');
        $this->read($job, 'look', ['clarity' => 'clear', 'colour' => 'amber', 'specks' => ['none'], 'smell' => 'stale']);
        $jar = $this->record($job)->jar(JarSample::Tank);
        self::assertSame(14.0, round($jar?->layers?->lower->inMillilitres() ?? 0, 6));
        self::assertSame([], $jar?->look->specks);
        self::assertSame(['two_layers'], $this->record($job)->case()->standing('jar.tank')?->outcomes);
        self::assertSame(['stale'], $this->record($job)->case()->standing('jar.smell')?->outcomes);
        // One reading growing, not three observations: only the last counts, the rest is history.
        self::assertCount(1, $this->record($job)->counting());
        self::assertCount(3, $this->record($job)->entries);
    }

    public function testEthanolNaiveAndCorrectedWithItsDoubt(): void
    {
        $this->signIn();
        $job = $this->job();
        $this->read($job, 'shift', ['fuel' => '90', 'water' => '10', 'aqueous' => '18,3', 'at' => '68 °F', 'readingError' => '0.5']);
        $this->assertSays('10 ± 0.6 % ethanol: E10.');
        $this->assertSays('Naive, growth over fuel: 9.22 %. Corrected for the contraction of ethanol and water: 9.96 %.');
        $this->assertSays('this reading cannot tell on which side');
        self::assertSame('18,3 mL', $this->record($job)->jarEntry(JarSample::Tank)?->jarRead()?->asTyped['aqueous']);
        self::assertSame('68 °F', $this->record($job)->jarEntry(JarSample::Tank)->jarRead()->asTyped['at']);
    }

    public function testAShiftOfWhichAFigureIsMissingIsNone(): void
    {
        $this->signIn();
        $job = $this->job();
        $whole = ['fuel' => '90', 'water' => '10', 'aqueous' => '18,3', 'at' => '68 °F', 'readingError' => '0.5'];
        $input = ShiftInput::fromReading(JarReading::fromArray(['shift' => ['fuel_ml' => 90.0, 'water_ml' => 10.0, 'aqueous_ml' => 18.3, 'celsius' => 18.0, 'error_ml' => 0.5]]));
        self::assertNotNull($input->appliedTo(JarReading::fromArray([]))->shift);
        foreach (['fuel', 'water', 'aqueous', 'at'] as $missing) {
            $this->read($job, 'shift', [$missing => ''] + $whole, refused: true);
            self::assertNull($this->record($job)->jarEntry(JarSample::Tank), $missing);
            $without = clone $input;
            $without->{$missing} = null;
            self::assertNull($without->appliedTo(JarReading::fromArray([]))->shift, $missing);
        }
    }

    public function testImpossibleReadingsAreRefusedWithTheReasonAndKept(): void
    {
        $this->signIn();
        $job = $this->job();
        foreach ([
            ['shift', ['fuel' => '90', 'water' => '10', 'aqueous' => '8', 'at' => '68', 'readingError' => '0.5'], 'Water does not vanish', 'aqueous'],
            ['shift', ['fuel' => '90', 'water' => '10', 'aqueous' => '101', 'at' => '68', 'readingError' => '0.5'], 'more than the 100 mL poured in all', 'aqueous'],
            ['shift', ['fuel' => '90', 'water' => '10', 'aqueous' => '18', 'at' => '-20', 'readingError' => '0.5'], 'cannot be: allowed is 0 to 40 °C', 'at'],
            ['layers', ['total' => '80', 'height' => '90', 'lower' => '81'], 'cannot be: allowed is 0 to 80 mL', 'lower'],
            ['layers', ['total' => '', 'height' => 'ninety', 'lower' => ''], '“ninety” is not a number.', 'height'],
            ['dose', ['before' => '14', 'dose' => '10', 'after' => '5'], 'One of the two is misread.', 'after'],
            ['tank', ['volume' => '0', 'now' => '50', 'tonight' => '30'], 'cannot be', 'volume'],
        ] as [$part, $fields, $sentence, $kept]) {
            $this->read($job, $part, $fields, refused: true);
            $this->assertSays($sentence);
            self::assertSame($fields[$kept] ?? null, $this->browser->getCrawler()->filter('#'.$part.'_'.$kept)->attr('value'), $part);
        }
        self::assertSame([], $this->record($job)->entries);
    }

    public function testAnUnusualJarIsAskedAboutOnce(): void
    {
        $this->signIn();
        $job = $this->job();
        $this->read($job, 'layers', ['total' => '900', 'height' => '100', 'lower' => ''], refused: true);
        $this->assertSays('900 mL is unusual');
        $this->read($job, 'layers', ['total' => '900', 'height' => '100', 'lower' => '', 'it_is_so' => '1']);
        self::assertCount(1, $this->record($job)->entries);
    }

    public function testTwoPeopleAtOneJar(): void
    {
        $job = $this->job();
        $this->signIn();
        $this->read($job, 'layers', ['total' => '80', 'height' => '90', 'lower' => '0']);
        $mine = (string) $this->record($job)->jarEntry(JarSample::Tank)?->id;
        $this->signIn(Role::Apprentice);
        $this->read($job, 'layers', ['total' => '80', 'height' => '90', 'lower' => '12']);
        // A card the other did not touch merges; the one they did is shown to me, with mine kept.
        $this->signIn();
        $this->read($job, 'age', ['age' => '30', 'based_on' => $mine]);
        $page = $this->read($job, 'layers', ['total' => '80', 'height' => '90', 'lower' => '3', 'based_on' => $mine], refused: true);
        $this->assertSays('Apprentice Tester saved other readings here while you were typing.');
        self::assertSame('3', $page->filter('#layers_lower')->attr('value'));
        $this->browser->submit($page->filter('#card-layers')->selectButton('Save')->form());
        $jar = $this->record($job)->jar(JarSample::Tank);
        self::assertEqualsWithDelta(3.0, $jar?->layers?->lower->inMillilitres(), 1e-6);
        self::assertSame(30.0, $jar?->age?->months);
    }

    public function testASettlingJarIsSeenFromEveryPageUntilSomebodyComesBack(): void
    {
        self::mockTime(new \DateTimeImmutable('2026-11-23 10:00:00 UTC'));
        $this->signIn();
        $job = $this->job();
        $page = $this->browser->request('GET', '/jobs/'.$job->getId().'/fuel/tank');
        $this->browser->followRedirects();
        $this->browser->submit($page->selectButton('Start the wait')->form(['settle[height]' => '100']));
        $this->assertSays('The jar is settling.');
        $wait = self::service(WaitRepository::class)->underWay()[0];
        // A hundred millimetres want a good fifteen minutes.
        self::assertEqualsWithDelta(15.3 * 60, $wait->getReadyAt()->getTimestamp() - $wait->getStartedAt()->getTimestamp(), 30);
        $page = $this->browser->request('GET', '/waste');
        self::assertCount(1, $page->filter('#waiting .wait:not(.is-over)'));
        self::mockTime(new \DateTimeImmutable('2026-11-23 10:16:00 UTC'));
        $page = $this->browser->request('GET', '/');
        self::assertCount(1, $page->filter('#waiting .wait.is-over'));
        $page = $this->browser->request('GET', '/jobs/'.$job->getId().'/fuel/tank');
        $page = $this->press($page, 'I have looked at it');
        self::assertCount(0, $page->filter('#waiting .wait'));
    }

    /** What the owner says of the fuel decides how much water it holds, until the jar says it. */
    public function testFuelHoldsAsMuchWaterAsItsKindDoes(): void
    {
        $this->signIn();
        $said = [];
        foreach (['ethanol_free', 'e10', 'e15'] as $kind) {
            $job = $this->job();
            $this->found($job, Finding::observed('claim.fuel_kind', $kind));
            $this->read($job, 'tank', ['volume' => '3785.41 mL', 'now' => '60', 'tonight' => '32']);
            preg_match('/It separates at ([\d.]+) mL/', strip_tags((string) $this->browser->getResponse()->getContent()), $found);
            $said[$kind] = (float) ($found[1] ?? 0);
        }
        // Gasoline alone takes next to none; at a tenth of ethanol half a percent (published curves, as in docs/numbers.md).
        self::assertLessThan(1.0, $said['ethanol_free']);
        self::assertEqualsWithDelta(18.7, $said['e10'], 0.1);
        self::assertGreaterThan(18.7, $said['e15']);
    }

    public function testTheTankHoldsLessWaterTonight(): void
    {
        $this->signIn();
        $job = $this->job();
        $this->read($job, 'tank', ['volume' => '1 gal', 'now' => '60', 'tonight' => '32']);
        $this->assertSays('It separates at 18.7 mL of water as it is now, and at 14.8 mL at tonight’s low.');
        $this->assertSays('assumed, as most pumps sell it');
    }

    public function testTheOtherSchoolIsChosenPerJobByATechnician(): void
    {
        $this->signIn();
        $job = $this->job();
        $this->read($job, 'layers', ['total' => '80', 'height' => '90', 'lower' => '0']);
        $this->read($job, 'look', ['clarity' => 'clear', 'colour' => 'straw', 'specks' => ['none'], 'smell' => 'fresh']);
        $this->read($job, 'age', ['age' => '14']);
        $this->assertSays('For washing parts only, not for the engine.');
        $this->browser->followRedirects();
        $this->press($this->browser->getCrawler(), 'Rather: keep it if known, clear and fresh');
        $this->assertSays('It may be used.');
    }

    public function testAFreshJarStartsEmptyAndTheOldOneStaysInTheHistory(): void
    {
        $this->signIn();
        $job = $this->job();
        $this->read($job, 'look', ['smell' => 'varnish']);
        $this->browser->followRedirects();
        $this->press($this->browser->getCrawler(), 'Draw a fresh jar');
        $this->assertSays('Not decided yet.');
        self::assertTrue($this->record($job)->jar(JarSample::Tank)?->isBlank());
        $this->browser->request('GET', '/jobs/'.$job->getId().'/history');
        $this->assertSays('Smell of the fuel: Varnish');
        self::assertSelectorNotExists('.entry.is-struck', 'nobody has taken back what the old one said');
        self::assertCount(2, array_filter($this->record($job)->counting(), static fn (Entry $entry): bool => $entry->isOfJar(JarSample::Tank)), 'two jars, and no correction of the one');
    }

    public function testAJarReadingIsUndoneWhereItWasMade(): void
    {
        $this->signIn();
        $job = $this->job();
        $this->read($job, 'look', ['smell' => 'stale']);
        $this->read($job, 'look', ['smell' => 'varnish']);
        $this->press($this->browser->getCrawler(), 'Undo');
        self::assertResponseRedirects('/jobs/'.$job->getId().'/fuel/tank');
        self::assertSame('stale', $this->record($job)->jar(JarSample::Tank)?->look->smell?->value);
    }

    public function testWasteIsWrittenDownByCanAndTakenBack(): void
    {
        $this->signIn();
        $job = $this->job();
        $page = $this->browser->request('GET', '/jobs/'.$job->getId().'/waste');
        $this->browser->followRedirects();
        $page = $this->browser->submit($page->selectButton('Write it down')->form(['waste[stream]' => 'gasoline_water', 'waste[volume]' => '1,5 L']));
        $totals = self::service(WasteRepository::class)->totals();
        self::assertEqualsWithDelta(1500.0, $totals['gasoline_water']->inMillilitres(), 1e-6);
        $this->browser->request('GET', '/waste');
        $this->assertSays('1,500 mL');
        $this->press($page, 'Undo');
        self::assertSame(0.0, self::service(WasteRepository::class)->totals()['gasoline_water']->inMillilitres());
    }

    public function testReadsInTheUnitsOfThePerson(): void
    {
        $this->member(Role::Technician)->prefer(UnitSystem::Us, Look::Sunlight);
        self::entities()->flush();
        $this->signIn();
        $job = $this->job();
        $this->read($job, 'layers', ['total' => '80', 'height' => '4', 'lower' => '']);
        self::assertEqualsWithDelta(101.6, $this->record($job)->jar(JarSample::Tank)?->layers?->height->inMillimetres(), 1e-6);
        self::assertSelectorExists('html[data-look="sunlight"]');
    }

    public function testTheDrawingCanBeTakenAway(): void
    {
        $this->signIn();
        $job = $this->job();
        $this->browser->request('GET', '/jobs/'.$job->getId().'/fuel/tank/jar.svg');
        self::assertResponseStatusCodeSame(404);
        $this->read($job, 'layers', ['total' => '80', 'height' => '100', 'lower' => '20']);
        $this->browser->request('GET', '/jobs/'.$job->getId().'/fuel/tank/jar.svg');
        self::assertResponseHeaderSame('Content-Type', 'image/svg+xml');
        $svg = new \SimpleXMLElement((string) $this->browser->getResponse()->getContent());
        $svg->registerXPathNamespace('s', 'http://www.w3.org/2000/svg');
        $height = static fn (string $layer): float => (float) ($svg->xpath("//s:rect[@data-layer='$layer']")[0]['height'] ?? 0);
        // To scale: twenty of eighty below, so the layer above is three times as high.
        self::assertEqualsWithDelta(3.0, $height('upper') / $height('lower'), 0.01);
    }

    /** @param array<string, mixed> $fields */
    private function read(Job $job, string $part, array $fields, bool $refused = false): Crawler
    {
        $address = '/jobs/'.$job->getId().'/fuel/tank';
        $fields += ['_token' => $this->token(), 'based_on' => (string) $this->record($job)->jarEntry(JarSample::Tank)?->id];
        $page = $this->browser->request('POST', $address.'/read/'.$part, [$part => $fields]);
        if ($refused) {
            self::assertResponseStatusCodeSame(422);

            return $page;
        }
        self::assertResponseRedirects();

        return $this->browser->request('GET', $address);
    }
}
