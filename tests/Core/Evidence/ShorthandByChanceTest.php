<?php

declare(strict_types=1);

namespace AwakeShed\Tests\Core\Evidence;

use AwakeShed\Core\Evidence\Done;
use AwakeShed\Core\Evidence\Finding;
use AwakeShed\Core\Evidence\Shorthand;
use AwakeShed\Core\Evidence\TradeWords;
use AwakeShed\Core\Evidence\Vocabulary;
use AwakeShed\Tests\Kept;
use AwakeShed\Tests\Seeded;
use PHPUnit\Framework\TestCase;

/**
 * What lines nobody would write are taken for, kept in tests/Core/Kept: two, three or four words of the vocabulary and of the
 * trade, cut anywhere, with a number now and then. The order is what is held: a score a little off offers the same things
 * in another one.
 */
final class ShorthandByChanceTest extends TestCase
{
    public function testWhatALineByChanceIsTakenFor(): void
    {
        $shorthand = new Shorthand(self::lexicon(), TradeWords::shipped());
        $lines = [];
        for ($seed = 1; $seed <= 300; ++$seed) {
            $line = self::line(new Seeded($seed));
            $plain = $shorthand->plain($line);
            $lines[] = "$line: ".implode(', ', array_map(self::said(...), 0 === $seed % 5 ? $shorthand->readings($line) : $shorthand->readings($line, 1 + $seed % 9))).'; plainly '.(null === $plain ? 'nothing' : self::said($plain));
        }
        Kept::is(__DIR__.'/../Kept/shorthand-by-chance.txt', $lines);
    }

    /** @return list<array{test: string, outcome: string|null, testWords: list<string>, outcomeWords: list<string>, act?: \AwakeShed\Core\Evidence\ActDefinition}> by the words of its ids */
    private static function lexicon(): array
    {
        $lexicon = [];
        $vocabulary = Vocabulary::shipped();
        foreach ($vocabulary->tests as $test) {
            foreach ($test->outcomes ?? [null] as $outcome) {
                $lexicon[] = ['test' => $test->id, 'outcome' => $outcome, 'testWords' => Shorthand::words($test->id), 'outcomeWords' => Shorthand::words($outcome ?? '')];
            }
        }
        foreach ($vocabulary->acts as $act) {
            $lexicon[] = ['test' => $act->id, 'outcome' => null, 'testWords' => Shorthand::words($act->id), 'outcomeWords' => [], 'act' => $act];
        }

        return $lexicon;
    }

    private static function line(Seeded $dice): string
    {
        $entry = $dice->one(self::lexicon());
        $words = $dice->one([$entry['testWords'], [...$entry['testWords'], ...$entry['outcomeWords']], [...$entry['testWords'], ...$entry['outcomeWords'], ...$dice->one(self::lexicon())['testWords']], explode(' ', $dice->one(['will not idle', 'wont start on gas', 'starts then dies', 'bowl dry', 'rich smoke', 'water in the tank', 'seized solid', 'no spark']))]);
        $typed = [];
        for ($n = min(\count($words), $dice->int(1, 4)); $n > 0; --$n) {
            $word = $dice->one($words);
            $typed[] = mb_substr($word, 0, $dice->int(2, max(2, mb_strlen($word))));
        }
        if (0 === $dice->int(0, 5)) {
            $typed[] = $dice->one(['3', '26', '3,600', '0.5', '-4', '1,5']);
        }

        return implode($dice->one([' ', ' ', ', ', ': ']), $typed);
    }

    private static function said(Finding|Done $meant): string
    {
        return $meant instanceof Done ? "({$meant->act->id})" : $meant->test.' '.($meant->number ?? implode(' ', $meant->outcomes));
    }
}
