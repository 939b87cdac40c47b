<?php

declare(strict_types=1);

namespace AwakeShed\Tests\App\Exchange;

use AwakeShed\App\Account\Role;
use AwakeShed\App\Exchange\CaseFiles;
use AwakeShed\App\Job\JobRepository;
use AwakeShed\Core\Evidence\CaseFormat;
use AwakeShed\Core\Evidence\CaseProblem;
use AwakeShed\Core\Evidence\MachineKind;
use AwakeShed\Core\Evidence\UnreadableCase;
use AwakeShed\Tests\App\ShedTestCase;
use Opis\JsonSchema\Validator;
use PHPUnit\Framework\Attributes\DataProvider;

final class ExchangeTest extends ShedTestCase
{
    private const CASE = <<<'JSON'
        {"format":"awake-shed/case","version":1,
         "machine":{"kind":"mower","cycle":"four_stroke","displacement_cc":160,"compression_ratio":8.5,"compression_release":true,
                    "feed":"gravity","choke":"auto","oil_ml":550,"spoken_for":"2027-03-15","color":"green"},
         "schools":{"needle_seat":"renew_both","old_fuel":"keep_if_clear_and_fresh"},
         "findings":[
           {"test":"claim.idle_months","outcome":26},
           {"test":"claim.tipped","outcome":"no"},
           {"test":"look.oil_level","outcome":"far_over","measured":{"drained_ml":900},"lamp":"head"},
           {"put_right":"oil.gas_in_oil"},
           {"test":"look.plug","outcome":["gas_wet","like_new"]},
           {"test":"feel.pull","outcome":"locked"}],
         "jars":{"tank":{"layers":{"height_mm":92,"total_ml":80,"lower_ml":14,"edge":"rag"},"age":{}}},
         "somebody":{"else":["s"]}}
        JSON;

    public function testACaseComesInAndGoesOutAgainWhole(): void
    {
        $this->signIn();
        $this->browser->request('POST', '/import', ['import' => ['label' => 'From another shed', 'ownerName' => 'Rafe', 'text' => self::CASE, '_token' => $this->token()]]);
        self::assertResponseRedirects();
        $job = self::service(JobRepository::class)->findOneBy([]) ?? self::fail();
        // What was found there out of our order is history; what it closes here is closed.
        self::assertSame('hold.pull', $job->getWaitsFor());
        $this->browser->request('GET', '/jobs/'.$job->getId().'/case.json');
        self::assertJsonStringEqualsJsonString(self::CASE, (string) $this->browser->getResponse()->getContent());
        $this->browser->request('GET', '/jobs/'.$job->getId().'/fuel/tank');
        $this->assertSays('To waste. It cannot be saved.');
    }

    public function testAnExportPassesTheSchemaThatIsServed(): void
    {
        $this->signIn();
        $job = $this->job(MachineKind::Generator);
        $this->browser->request('POST', '/jobs/'.$job->getId().'/fuel/tank/read/age', ['age' => ['unknown' => '1', '_token' => $this->token()]]);
        $this->browser->request('GET', '/jobs/'.$job->getId().'/case.json');
        $case = json_decode((string) $this->browser->getResponse()->getContent(), false, 64, \JSON_THROW_ON_ERROR);
        $this->browser->request('GET', '/case.schema.json');
        self::assertResponseHeaderSame('Content-Type', 'application/schema+json');
        self::assertTrue((new Validator())->validate($case, (string) file_get_contents(CaseFormat::SCHEMA))->isValid());
    }

    /** @return iterable<string, array{string, list<string>}> text, places of the problems */
    public static function badFiles(): iterable
    {
        yield 'not JSON' => ['{"format":', ['']];
        yield 'not an object' => ['[1,2]', ['']];
        yield 'another format' => ['{"format":"toaster/case","version":1,"machine":{"kind":"mower"}}', ['/format']];
        yield 'another version' => ['{"format":"awake-shed/case","version":2,"machine":{"kind":"mower"}}', ['/version']];
        yield 'no machine' => ['{"format":"awake-shed/case","version":1}', ['']];
        yield 'a kind we do not know' => ['{"format":"awake-shed/case","version":1,"machine":{"kind":"submarine"}}', ['/machine/kind']];
        yield 'an impossible number' => ['{"format":"awake-shed/case","version":1,"machine":{"kind":"mower","oil_ml":-1}}', ['/machine/oil_ml']];
        yield 'unknown words, each with its place' => ['{"format":"awake-shed/case","version":1,"machine":{"kind":"mower"},"findings":[{"test":"look.weather","outcome":"fair"},{"test":"look.oil_level","outcome":"gone"},{"put_right":"weather"}]}', ['/findings/0', '/findings/1', '/findings/2']];
        yield 'a finding of nothing' => ['{"format":"awake-shed/case","version":1,"machine":{"kind":"mower"},"findings":[{"outcome":"fair"}]}', ['/findings/0']];
        yield 'a finding and a cure at once' => ['{"format":"awake-shed/case","version":1,"machine":{"kind":"mower"},"findings":[{"test":"look.oil_level","outcome":"at_mark","put_right":"oil.low"}]}', ['/findings/0']];
        yield 'nested too deep' => [str_repeat('[', 100).str_repeat(']', 100), ['']];
    }

    /** @param list<string> $places */
    #[DataProvider('badFiles')]
    public function testABadFileIsRefusedWithThePlaceOfEveryProblem(string $json, array $places): void
    {
        try {
            self::service(CaseFiles::class)->parse($json);
            self::fail('It was read.');
        } catch (UnreadableCase $unreadable) {
            self::assertSame($places, array_map(static fn (CaseProblem $problem): string => $problem->pointer, $unreadable->problems));
        }
    }

    public function testABadFileOnThePageKeepsItsTextAndImportsNothing(): void
    {
        $this->signIn();
        $page = $this->browser->request('POST', '/import', ['import' => ['label' => 'x', 'ownerName' => 'y', 'text' => '{"format": <b>', '_token' => $this->token()]]);
        self::assertResponseStatusCodeSame(422);
        self::assertSame('{"format": <b>', $page->filter('#import_text')->text());
        $this->browser->request('POST', '/import', ['import' => ['label' => 'x', 'ownerName' => 'y', 'text' => '', '_token' => $this->token()]]);
        $this->assertSays('Choose a case file, or paste its text below.');
        self::assertSame(0, self::service(JobRepository::class)->count());
    }

    public function testAnApprenticeImportsNothing(): void
    {
        $this->signIn(Role::Apprentice);
        $this->browser->request('GET', '/import');
        self::assertResponseStatusCodeSame(403);
    }
}
