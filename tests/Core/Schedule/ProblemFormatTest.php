<?php

declare(strict_types=1);

namespace AwakeShed\Tests\Core\Schedule;

use AwakeShed\Core\Schedule\PlanFormat;
use AwakeShed\Core\Schedule\Planner;
use AwakeShed\Core\Schedule\PlanProblem;
use AwakeShed\Core\Schedule\ProblemFormat;
use AwakeShed\Core\Schedule\UnreadablePlanProblem;
use AwakeShed\Tests\Kept;
use Opis\JsonSchema\Validator;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class ProblemFormatTest extends TestCase
{
    private const EXAMPLE = <<<'JSON'
        {"format":"awake-shed/plan-problem","version":1,"objective":"weighted_tardiness","seed":1,"budget_ms":2000,
         "resources":[
           {"id":"tamsin","kind":"person","capacity":1,"open":[[0,240],[300,540]]},
           {"id":"wim","kind":"person","capacity":1},
           {"id":"lift","capacity":1},
           {"id":"bath","capacity":3,"batch":true,"cycle_minutes":10},
           {"id":"run_pad","capacity":1,"open":[[60,480]]}],
         "jobs":[{"id":"j8","due":480,"weight":2,"release":0}],
         "operations":[
           {"id":"j8.strip","job":"j8","minutes":25,"uses":{"tamsin":1,"lift":1}},
           {"id":"j8.bath","job":"j8","minutes":10,"uses":{"bath":1},"after":["j8.strip"],"batch_key":"hot detergent","at_most_after":null},
           {"id":"j8.refit","job":"j8","minutes":30,"uses":{"one_of":[["tamsin"],["wim"]]},"after":["j8.bath"]},
           {"id":"j8.run","job":"j8","minutes":12,"uses":{"run_pad":1,"tamsin":1},"after":["j8.refit"],"pinned":null,"splits":false}]}
        JSON;

    public function testTheExampleOfTheFormatIsPlannedAsItSays(): void
    {
        $plan = PlanFormat::write(Planner::plan(ProblemFormat::parse(self::EXAMPLE)), 640);

        self::assertSame([
            'format' => 'awake-shed/plan', 'version' => 1, 'objective' => 'weighted_tardiness', 'value' => 0, 'makespan' => 77, 'lower_bound' => 0, 'proved_best' => true,
            'operations' => [
                ['id' => 'j8.strip', 'start' => 0, 'end' => 25, 'uses' => ['tamsin', 'lift']],
                ['id' => 'j8.bath', 'start' => 25, 'end' => 35, 'uses' => ['bath']],
                ['id' => 'j8.refit', 'start' => 35, 'end' => 65, 'uses' => ['tamsin']],
                ['id' => 'j8.run', 'start' => 65, 'end' => 77, 'uses' => ['run_pad', 'tamsin']],
            ],
            'jobs' => [['id' => 'j8', 'ends' => 77, 'late' => 0]], 'unplanned' => [], 'spent_ms' => 640,
        ], $plan);
    }

    /** Each value of the example, replaced by whatever else JSON knows, and left out: what is said of it, and where. */
    public function testEveryValueThatIsAnotherIsSaidToBeWhere(): void
    {
        $lines = [];
        foreach (self::places(json_decode(self::EXAMPLE)) as $place) {
            foreach (['nothing' => 'unset', 'null' => 'null', 'a word' => '"x"', 'no word' => '""', 'less' => '-1', 'part' => '1.5', 'much' => '99999999', 'yes' => 'true', 'a list' => '[[0, 0]]', 'a thing' => '{"x~/y": 1}'] as $name => $instead) {
                $document = json_decode(self::EXAMPLE);
                self::replace($document, $place, $instead);
                try {
                    ProblemFormat::parse(json_encode($document, \JSON_THROW_ON_ERROR));
                    $said = 'taken';
                } catch (UnreadablePlanProblem $refusal) {
                    $said = implode('; ', array_map(static fn (PlanProblem $one): string => "$one->pointer $one->message", $refusal->problems));
                }
                $lines[] = Kept::short('/'.implode('/', $place)." is $name: $said");
            }
        }
        foreach (['', '{', '[]', '7', 'null'] as $json) {
            try {
                ProblemFormat::parse($json);
                self::fail('It was read.');
            } catch (UnreadablePlanProblem $refusal) {
                $lines[] = "$json: ".implode('; ', array_map(static fn (PlanProblem $one): string => "$one->pointer $one->message", $refusal->problems));
            }
        }
        Kept::is(__DIR__.'/../Kept/plan-problems-refused.txt', $lines);
    }

    /** @return list<non-empty-list<string|int>> the way to each value, the whole left out */
    private static function places(mixed $of): array
    {
        $places = [];
        foreach ($of instanceof \stdClass ? get_object_vars($of) : (\is_array($of) ? $of : []) as $key => $value) {
            $places = [...$places, [$key], ...array_map(static fn (array $place): array => [$key, ...$place], self::places($value))];
        }

        return $places;
    }

    /** @param non-empty-list<string|int> $place */
    private static function replace(mixed &$in, array $place, string $instead): void
    {
        $key = array_shift($place);
        if ($in instanceof \stdClass) {
            $values = get_object_vars($in);
        } else {
            $values = \is_array($in) ? $in : [];
        }
        if ([] !== $place) {
            self::replace($values[$key], $place, $instead);
        } elseif ('unset' === $instead) {
            unset($values[$key]);
        } else {
            $values[$key] = json_decode($instead);
        }
        $in = $in instanceof \stdClass ? (object) $values : array_values($values);
    }

    public function testWhatIsWrittenReadsTheSameAndFitsTheSchema(): void
    {
        foreach (range(1, 20) as $seed) {
            $problem = Problems::madeUp($seed, 3);
            $json = json_encode(ProblemFormat::write($problem), \JSON_THROW_ON_ERROR);

            self::assertEquals($problem, ProblemFormat::parse($json));
            self::assertTrue((new Validator())->validate(json_decode($json), (string) file_get_contents(ProblemFormat::SCHEMA))->isValid(), $json);
        }
    }

    /** @return iterable<string, array{string, string, list<string>}> what is replaced, by what, where it complains */
    public static function wrong(): iterable
    {
        yield 'no JSON' => ['{"format"', '{format', ['']];
        yield 'another format' => ['awake-shed/plan-problem', 'awake-shed/plan', ['/format']];
        yield 'another version' => ['"version":1', '"version":2', ['/version']];
        yield 'no such objective' => ['"weighted_tardiness"', '"fun"', ['/objective']];
        yield 'an unknown key' => ['"seed":1', '"sead":1', ['/sead']];
        yield 'no capacity' => ['"id":"lift","capacity":1', '"id":"lift","capacity":0', ['/resources/2/capacity']];
        yield 'more than a million of it' => ['"id":"lift","capacity":1', '"id":"lift","capacity":1000001', ['/resources/2/capacity']];
        yield 'heavier than a million' => ['"weight":2', '"weight":1000001', ['/jobs/0/weight']];
        yield 'a half minute' => ['"minutes":25', '"minutes":25.5', ['/operations/0/minutes']];
        yield 'no minutes' => ['"minutes":25', '"minutes":0', ['/operations/0/minutes']];
        yield 'closes before it opens' => ['[60,480]', '[480,60]', ['/resources/4/open/0']];
        yield 'later than minutes add up' => ['"due":480', '"due":10000000001', ['/jobs/0/due']];
        yield 'a third minute' => ['[60,480]', '[60,480,500]', ['/resources/4/open/0']];
        yield 'twice one name' => ['"id":"wim"', '"id":"tamsin"', ['/resources/1/id', '/operations/2/uses/one_of/1/0']];
        yield 'no such resource' => ['"lift":1}', '"crane":1}', ['/operations/0/uses/crane']];
        yield 'more than there is' => ['"bath":1}', '"bath":4}', ['/operations/1/uses/bath']];
        yield 'another length than the cycle' => ['"minutes":10', '"minutes":11', ['/operations/1/minutes']];
        yield 'no such job' => ['"job":"j8","minutes":30', '"job":"j9","minutes":30', ['/operations/2/job']];
        yield 'waits for nothing that is there' => ['"after":["j8.strip"]', '"after":["j8.strap"]', ['/operations/1/after/0']];
        yield 'bounded wait for nothing' => ['"after":["j8.bath"]', '"at_most_after":5', ['/operations/2/at_most_after']];
        yield 'no alternative' => ['[["tamsin"],["wim"]]', '[]', ['/operations/2/uses/one_of']];
        yield 'an empty alternative' => ['[["tamsin"],["wim"]]', '[[],["wim"]]', ['/operations/2/uses/one_of/0']];
        yield 'a bath as alternative' => ['[["tamsin"],["wim"]]', '[["bath"],["wim"]]', ['/operations/2/uses/one_of/0/0']];
        yield 'used anyway' => ['"run_pad":1,"tamsin":1', '"tamsin":1,"one_of":[["tamsin"]]', ['/operations/3/uses/one_of/0/0']];
        yield 'a name that is a word' => ['"id":"lift"', '"id":"one_of"', ['/resources/2/id', '/operations/0/uses/lift']];
        yield 'a list that is none' => ['"after":["j8.strip"]', '"after":{"first":"j8.strip"}', ['/operations/1/after']];
        yield 'a job without work' => ['"jobs":[', '"jobs":[{"id":"idle"},', ['/jobs/0']];
        yield 'two things at once' => ['"version":1,"objective":"weighted_tardiness"', '"version":"1","objective":7', ['/version', '/objective']];
    }

    /** @param list<string> $pointers */
    #[DataProvider('wrong')]
    public function testSaysWhereItIsWrong(string $what, string $by, array $pointers): void
    {
        self::assertStringContainsString($what, self::EXAMPLE);
        try {
            ProblemFormat::parse(str_replace($what, $by, self::EXAMPLE));
            self::fail('It was read.');
        } catch (UnreadablePlanProblem $unreadable) {
            self::assertSame($pointers, array_values(array_unique(array_map(static fn (PlanProblem $one): string => $one->pointer, $unreadable->problems))));
        }
    }

    public function testSaysWhatIsExpectedInstead(): void
    {
        try {
            ProblemFormat::parse(str_replace(['"due":480', '"id":"lift","capacity":1'], ['"due":"noon"', '"id":"lift","capacity":0'], self::EXAMPLE));
            self::fail('It was read.');
        } catch (UnreadablePlanProblem $unreadable) {
            self::assertSame(['/resources/2/capacity' => 'A whole number from 1 to 1000000 is expected.', '/jobs/0/due' => 'A whole number is expected.'], array_column(array_map(static fn (PlanProblem $one): array => [$one->pointer, $one->message], $unreadable->problems), 1, 0));
        }
    }

    public function testAMillionIsRead(): void
    {
        $problem = ProblemFormat::parse(str_replace(['"weight":2', '"id":"lift","capacity":1'], ['"weight":1000000', '"id":"lift","capacity":1000000'], self::EXAMPLE));

        self::assertSame([1_000_000, 1_000_000], [$problem->jobs[0]->weight, array_column($problem->resources, 'capacity', 'id')['lift']]);
    }

    public function testWhatIsAbsentHasItsDefault(): void
    {
        $problem = ProblemFormat::parse('{"format":"awake-shed/plan-problem","version":1,"objective":"makespan","seed":null,"resources":[{"id":"r","open":null}],"jobs":[{"id":"j","due":null}],"operations":[{"id":"o","job":"j","minutes":25.0,"uses":[],"after":[]}]}');

        self::assertSame([1, 2000, 1, 0, null, 25], [$problem->seed, $problem->budget, $problem->jobs[0]->weight, $problem->jobs[0]->release, $problem->jobs[0]->due, $problem->operations[0]->minutes]);
        self::assertNull($problem->resources[0]->openings->stretches);
    }
}
