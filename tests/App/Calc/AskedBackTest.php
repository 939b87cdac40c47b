<?php

declare(strict_types=1);

namespace AwakeShed\Tests\App\Calc;

use AwakeShed\Tests\App\ShedTestCase;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\TestWith;

/** A number that may be two, or was meant in another unit, is asked back with taps, and never guessed. */
final class AskedBackTest extends ShedTestCase
{
    /** @return iterable<string, array{string, string, list<string>}> page and query; the field; what is offered */
    public static function asked(): iterable
    {
        yield 'feet with a comma' => ['/bench/compression?gauge_psi=80&altitude_m=5%2C280', 'altitude_m', ['5280', '5.28']];
        yield 'fuel for a premix' => ['/bench/fuel-in-oil?mark_ml=600&drained_ml=1%2C250', 'drained_ml', ['1250', '1.25']];
        yield 'kilopascals' => ['/bench/compression?gauge_psi=620', 'gauge_psi', ['620 kPa']];
        yield 'a gap in inches that was millimeters' => ['/bench/plug-gap?measured_mm=0.080+in', 'measured_mm', ['0.8 mm']];
        yield 'a gap in inches, typed into millimeters' => ['/bench/valve-lash?measured_mm=.006+mm', 'measured_mm', ['0.006 in']];
    }

    /** @param list<string> $offered */
    #[DataProvider('asked')]
    public function testAsksBackOnThePage(string $address, string $field, array $offered): void
    {
        $this->signIn();
        $page = $this->browser->request('GET', $address);
        $found = $page->filter(".readings button[name=\"$field\"]")->each(static fn ($button): string => (string) $button->attr('value'));
        foreach ($offered as $reading) {
            self::assertContains($reading, $found);
        }
        self::assertResponseStatusCodeSame(422);
    }

    /** @param list<string> $offered */
    #[TestWith(['/bench/hydrolock?displacement_cc=12&compression_ratio=8.5&liquid_ml=10', 'displacement_cc', ['12 cu in']])]
    #[TestWith(['/bench/water-tolerance?tank_ml=90&celsius=15', 'tank_ml', ['90 fl oz']])]
    public function testNobodyIsAskedForAnEngineOrATankInSpoons(string $address, string $field, array $offered): void
    {
        $this->signIn();
        $page = $this->browser->request('GET', $address);
        self::assertSame($offered, $page->filter(".readings button[name=\"$field\"]")->each(static fn ($button): string => (string) $button->attr('value')));
    }

    public function testATapOnAReadingAnswers(): void
    {
        $this->signIn();
        // As a browser sends it: the field as it stands, and the button's own behind it.
        $page = $this->browser->request('GET', '/bench/fuel-in-oil?mark_ml=600&drained_ml=1%2C250&drained_ml=1250&error_ml=10');
        self::assertResponseIsSuccessful();
        self::assertSelectorExists('[data-verdict="change_flush_cure"]');
        self::assertSame('1250', $page->filter('#drained_ml')->attr('value'));
    }

    public function testThousandsThatAreTheOnlyPossibleReadingAreRead(): void
    {
        $this->signIn();
        $this->browser->request('GET', '/bench/blade-tip?blade_mm=21+in&rpm=3%2C600');
        self::assertSelectorExists('[data-verdict="over"]');
        $this->browser->request('GET', '/bench/premix?fuel_ml=15%2C000+mL&parts_to_one=50');
        self::assertSelectorTextContains('h2', '300 mL');
    }

    public function testAnActsFigureIsAskedBackWithWhatWasEntered(): void
    {
        $this->signIn();
        $job = $this->job();
        $page = $this->post('/jobs/'.$job->getId().'/deeds', ['act' => 'crankcase.drained', 'ml' => '1,250', 'back' => 'job']);
        self::assertResponseStatusCodeSame(422);
        self::assertSelectorExists('[data-error="which"]');
        self::assertSame([], $this->record($job)->entries);
        $this->browser->submit($page->filter('button[name="ml"][value="1250"]')->form());
        self::assertResponseRedirects();
        self::assertSame(1250.0, $this->record($job)->case()->events[0]->measured['ml'] ?? null);
    }
}
