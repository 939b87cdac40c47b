<?php

declare(strict_types=1);

namespace AwakeShed\Tests\Core\Evidence;

use AwakeShed\Core\Evidence\Done;
use AwakeShed\Core\Evidence\Finding;
use AwakeShed\Core\Evidence\Shorthand;
use AwakeShed\Core\Evidence\TradeWords;
use AwakeShed\Core\Evidence\Vocabulary;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class ShorthandTest extends TestCase
{
    /** @return iterable<string, array{string, Finding|Done|null}> */
    public static function lines(): iterable
    {
        yield 'an act' => ['cra dra', new Done(Vocabulary::shipped()->act('crankcase.drained'))];
        yield 'beginnings of two words' => ['pil bl', Finding::observed('jet.pilot', 'blocked')];
        yield 'in any order' => ['bl pil', Finding::observed('jet.pilot', 'blocked')];
        yield 'with a colon and capitals' => ['Pilot: BLOCKED', Finding::observed('jet.pilot', 'blocked')];
        yield 'one word where nothing else has it' => ['partial pil', Finding::observed('jet.pilot', 'partial')];
        yield 'a number' => ['stood 26', Finding::number('claim.idle_months', 26)];
        yield 'a number first' => ['26.5 stood', Finding::number('claim.idle_months', 26.5)];
        yield 'the ids themselves' => ['jet.main blocked', Finding::observed('jet.main', 'blocked')];
        yield 'the ids themselves and a word more' => ['jet.main blocked clear', null];
        yield 'the id of what takes a number' => ['claim.idle_months 26', Finding::number('claim.idle_months', 26)];
        yield 'the id of what takes a number, and a word' => ['claim.idle_months long', null];
        yield 'the id of an act and a number' => ['crankcase.drained 5', null];
        yield 'two things it may mean' => ['jet bl', null];
        yield 'a number where a word belongs' => ['pil 3', null];
        yield 'a word where a number belongs' => ['stood long', null];
        yield 'nothing begins so' => ['zzz', null];
        yield 'no word at all' => ['12', null];
    }

    #[DataProvider('lines')]
    public function testReadsWhatAnOldHandWrites(string $line, Finding|Done|null $meant): void
    {
        self::assertEquals($meant, self::shorthand()->plain($line));
    }

    #[TestWith(['pil plugged', 'jet.pilot', 'blocked'])]
    #[TestWith(['slow blocked', 'jet.pilot', 'blocked'])]
    #[TestWith(['clogged slow', 'jet.pilot', 'blocked'])]
    public function testAWordOfTheTradeStandsForThoseOfTheVocabulary(string $line, string $test, string $outcome): void
    {
        self::assertEquals(Finding::observed($test, $outcome), self::shorthand(TradeWords::shipped())->plain($line));
        self::assertNull(self::shorthand()->plain($line), 'whoever knows no trade does not know it');
    }

    public function testOffersAllThatItMayMeanTheLikeliestFirst(): void
    {
        self::assertEquals(['jet.pilot', 'jet.main'], array_column(self::shorthand()->readings('jet bl'), 'test'));
        // Of two words that begin so, the one of which more is written.
        self::assertEquals([['jet.main', ['part']], ['jet.main', ['partial']]], array_map(static fn (Finding|Done $one): array => $one instanceof Finding ? [$one->test, $one->outcomes] : [], (new Shorthand([
            ['test' => 'jet.main', 'outcome' => 'partial', 'testWords' => ['main'], 'outcomeWords' => ['partial']],
            ['test' => 'jet.main', 'outcome' => 'part', 'testWords' => ['main'], 'outcomeWords' => ['part']],
        ], TradeWords::none()))->readings('main par')));
        self::assertSame([], self::shorthand()->readings('zzz'));
        self::assertCount(1, self::shorthand()->readings('jet', 1));
    }

    public function testALineHoldsSeveralFindings(): void
    {
        self::assertSame(['plug dry', 'pil bl'], Shorthand::split(' plug dry ;; pil bl;'));
        self::assertSame([], Shorthand::split(' ; '));
    }

    private static function shorthand(?TradeWords $trade = null): Shorthand
    {
        return new Shorthand([
            ['test' => 'jet.pilot', 'outcome' => 'clear', 'testWords' => ['pilot', 'jet'], 'outcomeWords' => ['clear']],
            ['test' => 'jet.pilot', 'outcome' => 'partial', 'testWords' => ['pilot', 'jet'], 'outcomeWords' => ['partial']],
            ['test' => 'jet.pilot', 'outcome' => 'blocked', 'testWords' => ['pilot', 'jet'], 'outcomeWords' => ['blocked']],
            ['test' => 'jet.main', 'outcome' => 'blocked', 'testWords' => ['main', 'jet'], 'outcomeWords' => ['blocked']],
            ['test' => 'oil.volume_ml', 'outcome' => null, 'testWords' => ['oil', 'out'], 'outcomeWords' => []],
            ['test' => 'claim.idle_months', 'outcome' => null, 'testWords' => ['stood', 'idle', 'months'], 'outcomeWords' => []],
            ['test' => 'crankcase.drained', 'outcome' => null, 'testWords' => ['crankcase', 'drained'], 'outcomeWords' => [], 'act' => Vocabulary::shipped()->act('crankcase.drained')],
        ], $trade ?? TradeWords::none());
    }
}
