<?php

declare(strict_types=1);

namespace AwakeShed\Tests\App\Form;

use AwakeShed\App\Account\Role;
use AwakeShed\App\Job\Job;
use AwakeShed\App\Reader\Look;
use AwakeShed\App\Reader\UnitSystem;
use AwakeShed\Tests\App\ShedTestCase;
use Symfony\Component\DomCrawler\Crawler;

/** The cards of a jar, whose fields are written once for all that are filled with the same. */
final class FormWriterTest extends ShedTestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        // One kernel, so that what a page kept is there for the next.
        $this->browser->disableReboot();
        $this->signIn();
    }

    public function testTwoJobsShareTheFieldsAndNothingElse(): void
    {
        [$one, $other] = [$this->job(), $this->job(label: 'Grebe blower')];
        $first = $this->card($one, 'layers');
        $second = $this->card($other, 'layers');

        self::assertSame(self::fields($first), self::fields($second));
        self::assertStringContainsString('/jobs/'.$other->getId().'/', (string) $second->attr('action'));
        self::assertNotSame(self::carried($first, 'request_key'), self::carried($second, 'request_key'));
        self::assertNotSame('', self::carried($second, '_token'));
        self::assertStringNotContainsString('Heronbill', $second->html());
    }

    public function testWhatIsSavedStandsInTheFieldsAtOnce(): void
    {
        $job = $this->job();
        $empty = $this->card($job, 'layers');
        self::assertSame('', self::value($empty, 'total'));
        $this->browser->submit($empty->form(['layers[total]' => '80', 'layers[height]' => '92', 'layers[lower]' => '14', 'layers[edge]' => 'sharp']));
        self::assertResponseRedirects();

        $filled = $this->card($job, 'layers');
        self::assertSame(['80', '14'], [self::value($filled, 'total'), self::value($filled, 'lower')]);
        self::assertCount(1, $filled->filter('[data-checked] input[value=sharp]'));
        self::assertNotSame(self::carried($empty, 'based_on'), self::carried($filled, 'based_on'), 'what it is filled with has another mark');
        // And the next empty one is as empty as the first.
        self::assertSame(self::fields($empty), self::fields($this->card($this->job(), 'layers')));
    }

    public function testEachReaderHasTheirUnits(): void
    {
        $job = $this->job();
        $units = fn (): string => $this->card($job, 'tank')->filter('.unit')->text();
        $this->member(Role::Technician)->prefer(UnitSystem::Metric, Look::Device);
        self::entities()->flush();
        self::assertSame('L', $units());
        $this->member(Role::Technician)->prefer(UnitSystem::Us, Look::Device);
        self::entities()->flush();
        self::assertSame('gal', $units());
    }

    public function testARefusedCardIsShownAsItWasTypedAndNotKept(): void
    {
        $job = $this->job();
        $card = $this->card($job, 'dose');
        $page = $this->browser->submit($card->form(['dose[before]' => 'a thumb', 'dose[dose]' => '5', 'dose[after]' => '']));
        self::assertResponseStatusCodeSame(422);
        $refused = $page->filter('form[name=dose]');
        self::assertSame(['a thumb', '5'], [self::value($refused, 'before'), self::value($refused, 'dose')]);
        self::assertCount(2, $refused->filter('.has-errors'), 'what cannot be read, and what is missing');
        self::assertSame(self::carried($card, 'request_key'), self::carried($refused, 'request_key'), 'sent again, it is known');
        self::assertCount(1, $page->filter('#card-dose[open]'));

        self::assertSame(self::fields($card), self::fields($this->card($job, 'dose')));
    }

    private function card(Job $job, string $name): Crawler
    {
        return $this->browser->request('GET', '/jobs/'.$job->getId().'/fuel/tank')->filter("form[name=$name]");
    }

    /** All but what it carries and where it goes. */
    private static function fields(Crawler $card): string
    {
        return implode("\n", $card->filter('.field')->each(static fn (Crawler $field): string => $field->outerHtml()));
    }

    private static function carried(Crawler $card, string $field): string
    {
        return (string) $card->filter('input[type=hidden][name="'.$card->attr('name').'['.$field.']"]')->attr('value');
    }

    private static function value(Crawler $card, string $field): string
    {
        return (string) $card->filter('input[name="'.$card->attr('name').'['.$field.']"]')->attr('value');
    }
}
