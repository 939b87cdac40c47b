<?php

declare(strict_types=1);

namespace AwakeShed\Tests\Core\Evidence;

use AwakeShed\Core\Evidence\Vocabulary;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Of some looks more than one answer holds; of others a new answer takes the place of the old. */
final class SeveralAnswersTest extends TestCase
{
    /**
     * @param list<string> $standing
     * @param list<string> $expected
     */
    #[DataProvider('taps')]
    public function testWhatStandsAfterATap(string $test, array $standing, string $tapped, array $expected): void
    {
        self::assertSame($expected, Vocabulary::shipped()->test($test)->afterTap($standing, $tapped));
    }

    /** @return iterable<string, array{string, list<string>, string, list<string>}> */
    public static function taps(): iterable
    {
        yield 'a plug like new may be wet' => ['look.plug', ['like_new'], 'gas_wet', ['like_new', 'gas_wet']];
        yield 'it is not dry and wet' => ['look.plug', ['like_new', 'dry'], 'gas_wet', ['like_new', 'gas_wet']];
        yield 'a bowl holds jelly, rust and water at once' => ['bowl.inside', ['jelly', 'rust'], 'water', ['jelly', 'rust', 'water']];
        yield 'a clean bowl is nothing else' => ['bowl.inside', ['jelly', 'rust'], 'clean', ['clean']];
        yield 'and clean no longer once something is found' => ['bowl.inside', ['clean'], 'film', ['film']];
        yield 'dry, with a film' => ['bowl.inside', ['film', 'water'], 'dry', ['film', 'dry']];
        yield 'tapped again it does not hold after all' => ['bowl.inside', ['jelly', 'rust'], 'rust', ['jelly']];
        yield 'the only answer is said again' => ['bowl.inside', ['rust'], 'rust', ['rust']];
        yield 'it surged, and then died' => ['claim.last_behaviour', ['ran_rough_surged'], 'ran_then_died', ['ran_rough_surged', 'ran_then_died']];
        yield 'it ran fine is all of it' => ['claim.last_behaviour', ['smoked'], 'ran_fine', ['ran_fine']];
        yield 'one answer where one holds' => ['look.oil_level', ['below_mark'], 'at_mark', ['at_mark']];
    }

    public function testEveryRuleIsOfTheVocabulary(): void
    {
        $several = [];
        foreach (Vocabulary::shipped()->tests as $test) {
            $several = [...$several, ...($test->takesSeveral() ? [$test->id] : [])];
            foreach ($test->excludes ?? [] as $outcome => $others) {
                self::assertContains($outcome, $test->outcomes ?? [], $test->id);
                self::assertSame([], array_diff($others, $test->outcomes ?? []), $test->id);
            }
        }
        self::assertEqualsCanonicalizing(['look.plug', 'bowl.inside', 'claim.last_behaviour', 'look.tank', 'look.air_filter', 'flow.bowl_drain', 'leak.static'], $several);
    }
}
