<?php

declare(strict_types=1);

namespace AwakeShed\Tests\App\Spec;

use AwakeShed\App\Account\Role;
use AwakeShed\App\Once\RequestKey;
use AwakeShed\App\Spec\SpecBookFile;
use AwakeShed\App\Spec\SpecPage;
use AwakeShed\App\Spec\SpecPageRepository;
use AwakeShed\App\Spec\UnreadableSpecs;
use AwakeShed\Core\Evidence\MachineKind;
use AwakeShed\Core\Spec\SourceClass;
use AwakeShed\Core\Spec\SpecFigure;
use AwakeShed\Core\Spec\SpecValue;
use AwakeShed\Tests\App\ShedTestCase;
use Opis\JsonSchema\Validator;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\HttpFoundation\File\UploadedFile;

final class SpecBookTest extends ShedTestCase
{
    private const CSV = "page,kind,figure,amount,source,note\nHeronbill 160,mower,oil_ml,\"600\",published,manual p. 12\nHeronbill 160,,lash_least_mm,0.08,published,\nReedmace 208,snowblower,displacement_cc,208,measured,\n";

    public function testWhatIsWrittenOnceIsLookedUpFromThenOn(): void
    {
        $this->signIn();
        $job = $this->job();
        $page = $this->browser->request('GET', '/spec/new');
        $form = $page->filter('main')->selectButton('Save')->form();
        $form['spec_page[name]'] = 'Heronbill 160';
        $form['spec_page[rows][oil_ml][amount]'] = '0,6 l';
        $form['spec_page[rows][oil_ml][source]'] = 'published';
        $form['spec_page[rows][oil_ml][note]'] = 'plate under the filler';
        $this->browser->submit($form);
        self::assertResponseRedirects('/spec');
        $book = self::service(SpecPageRepository::class)->named('Heronbill 160') ?? self::fail();
        self::assertSame(600.0, $book->values()['oil_ml']->amount);
        $this->post('/jobs/'.$job->getId().'/spec', ['page' => (string) $book->getId()]);
        $this->browser->followRedirect();
        self::assertSelectorTextContains('tr[data-spec="oil_ml"]', 'Published, plate under the filler');
        self::assertSelectorTextContains('tr[data-spec="lash_least_mm"]', 'its class, typical');
        $calc = $this->browser->request('GET', '/jobs/'.$job->getId().'/bench/fuel-in-oil');
        self::assertSame('600', $calc->filter('#mark_ml')->attr('value'));
    }

    public function testReadsInACsvAndGivesBackTheSame(): void
    {
        $this->signIn();
        $this->import(self::CSV);
        self::assertResponseRedirects('/spec');
        $pages = self::service(SpecPageRepository::class)->byName();
        self::assertSame(['Heronbill 160', 'Reedmace 208'], array_map(static fn (SpecPage $page): string => $page->getName(), $pages));
        self::assertEquals(new SpecValue(SpecFigure::Oil, 600, SourceClass::Published, 'manual p. 12'), $pages[0]->values()['oil_ml']);
        foreach (['csv', 'json'] as $format) {
            $this->browser->request('GET', '/spec.'.$format);
            $read = self::service(SpecBookFile::class)->parse((string) $this->browser->getResponse()->getContent());
            self::assertEquals($pages[0]->values(), $read['Heronbill 160']['values']);
            self::assertEquals($pages[1]->getKind(), $read['Reedmace 208']['kind']);
        }
        // Read in again, nothing doubles and figures the file is silent about stay.
        $this->import("page,figure,amount\nheronbill 160,tank_ml,900\n");
        $again = self::service(SpecPageRepository::class)->byName();
        self::assertCount(2, $again);
        self::assertSame(['oil_ml', 'tank_ml', 'lash_least_mm'], array_keys($again[0]->values()));
        // What the database takes for one name is one page, within a file as well.
        $this->import("page,figure,amount\nCafé,oil_ml,500\nCAFE,tank_ml,900\n");
        self::assertResponseRedirects('/spec');
        self::assertSame(['oil_ml', 'tank_ml'], array_keys((self::service(SpecPageRepository::class)->named('cafe') ?? self::fail())->values()));
    }

    public function testOneBadRowAndNothingIsReadInButEveryRowIsNamed(): void
    {
        $this->signIn();
        $this->import("page,kind,figure,amount,source\nGood,mower,oil_ml,600,published\nBad,lorry,oil_ml,600,published\nBad,mower,oil_pints,1,published\nBad,mower,oil_ml,-3,published\nBad,mower,oil_ml,much,published\n,mower,oil_ml,600,published\nBad,mower,oil_ml,600,gossip\n");
        self::assertResponseStatusCodeSame(422);
        self::assertSame([], self::service(SpecPageRepository::class)->byName());
        foreach (['3 “lorry” is not known here', '4 “oil_pints” is not known here', '5 -3 mL cannot be', '6 “much” is not a number', '7 A page has a name', '8 “gossip” is not known here'] as $said) {
            $this->assertSays($said);
        }
    }

    /** @return iterable<string, array{string, string}> text, place of the first problem */
    public static function broken(): iterable
    {
        yield 'no columns' => ["a,b\n1,2\n", '1'];
        yield 'not JSON' => ['{"format":', ''];
        yield 'another format' => ['{"format":"awake-shed/case","version":1,"pages":[]}', ''];
        yield 'a page without figures' => ['{"format":"awake-shed/spec-book","version":1,"pages":[{"page":"x"}]}', '/pages/0'];
        yield 'a figure of a page' => ['{"format":"awake-shed/spec-book","version":1,"pages":[{"page":"x","figures":[{"figure":"oil_ml","amount":600},{"figure":"oil_ml","amount":9e9}]}]}', '/pages/0/figures/1'];
        yield 'nonsense in the place of a figure' => ['{"format":"awake-shed/spec-book","version":1,"pages":[{"page":"x","figures":[7]}]}', '/pages/0/figures/0'];
    }

    #[DataProvider('broken')]
    public function testProblemsNameTheirPlace(string $text, string $place): void
    {
        try {
            self::service(SpecBookFile::class)->parse($text);
            self::fail('It was read.');
        } catch (UnreadableSpecs $unreadable) {
            self::assertSame($place, $unreadable->problems[0]->place);
        }
    }

    public function testTheExportPassesTheSchemaThatIsServedAndTheSchemaKnowsEveryWord(): void
    {
        $this->signIn();
        $this->import(self::CSV);
        $this->browser->request('GET', '/spec-book.schema.json');
        self::assertResponseHeaderSame('Content-Type', 'application/schema+json');
        $schema = (string) file_get_contents(SpecBookFile::SCHEMA);
        $this->browser->request('GET', '/spec.json');
        $book = (string) $this->browser->getResponse()->getContent();
        self::assertTrue((new Validator())->validate(json_decode($book), $schema)->isValid());
        self::assertFalse((new Validator())->validate(json_decode(str_replace('oil_ml', 'oil_pints', $book)), $schema)->isValid());
        foreach ([SpecFigure::cases(), SourceClass::cases(), MachineKind::cases()] as $words) {
            foreach ($words as $word) {
                self::assertStringContainsString('"'.$word->value.'"', $schema);
            }
        }
    }

    public function testACellThatBeginsLikeAFormulaIsMadeHarmless(): void
    {
        $page = new SpecPage('=cmd()', null);
        $page->write([new SpecValue(SpecFigure::Oil, 600, SourceClass::Measured, '+1')]);
        self::assertStringContainsString("'=cmd(),,oil_ml,600,measured,'+1", self::service(SpecBookFile::class)->csv([$page]));
    }

    public function testASlipIsAskedBackAndKept(): void
    {
        $this->signIn();
        $page = $this->browser->request('GET', '/spec/new');
        $form = $page->filter('main')->selectButton('Save')->form();
        $form['spec_page[name]'] = 'Slips';
        $form['spec_page[rows][lash_least_mm][amount]'] = '0.3 mm';
        $form['spec_page[rows][lash_most_mm][amount]'] = '0.2 mm';
        $this->browser->submit($form);
        self::assertResponseStatusCodeSame(422);
        $this->assertSays('This is less than the least above it.');
        self::assertSelectorExists('input[value="0.3 mm"]');
    }

    public function testTwoPeopleAtOnePageDoNotOverwriteEachOther(): void
    {
        $this->signIn();
        $page = new SpecPage('Shared', null);
        self::entities()->persist($page);
        self::entities()->flush();
        $form = $this->browser->request('GET', '/spec/'.$page->getId())->filter('main')->selectButton('Save')->form();
        $form['spec_page[rows][oil_ml][amount]'] = '600 mL';
        $this->browser->submit($form);
        self::assertResponseRedirects();
        $form['spec_page[rows][oil_ml][amount]'] = '700 mL';
        $form['spec_page[request_key]'] = RequestKey::fresh()->value;
        $this->browser->submit($form);
        self::assertResponseStatusCodeSame(422);
        $this->assertSays('Somebody saved this while you were typing');
        self::entities()->clear();
        self::assertSame(600.0, (self::service(SpecPageRepository::class)->named('Shared') ?? self::fail())->values()['oil_ml']->amount);
    }

    public function testANameThatIsTakenIsSaidAndNothingTypedIsLost(): void
    {
        $this->signIn();
        self::entities()->persist(new SpecPage('Taken', null));
        self::entities()->flush();
        $form = $this->browser->request('GET', '/spec/new')->filter('main')->selectButton('Save')->form();
        $form['spec_page[name]'] = ' taken';
        $form['spec_page[rows][oil_ml][amount]'] = '600 mL';
        $this->browser->submit($form);
        self::assertResponseStatusCodeSame(422);
        $this->assertSays('There is a page of this name.');
        self::assertSelectorExists('input[value="600 mL"]');
    }

    public function testAnApprenticeReadsAndDoesNotWrite(): void
    {
        $this->signIn(Role::Apprentice);
        $this->browser->request('GET', '/spec');
        self::assertResponseIsSuccessful();
        $this->browser->request('GET', '/spec/new');
        self::assertResponseStatusCodeSame(403);
        $this->import(self::CSV);
        self::assertResponseStatusCodeSame(403);
    }

    private function import(string $text): void
    {
        $path = (string) tempnam(sys_get_temp_dir(), 'spec');
        file_put_contents($path, $text);
        $token = $this->token();
        $this->browser->request('POST', '/spec/import', ['_token' => $token, 'request_key' => RequestKey::fresh()->value], ['file' => new UploadedFile($path, 'book.csv', test: true)]);
    }
}
