<?php

declare(strict_types=1);

namespace AwakeShed\Tests\App\Words;

use AwakeShed\Core\Evidence\Vocabulary;
use AwakeShed\Tests\App\ShedTestCase;
use Symfony\Contracts\Translation\TranslatorInterface;

/** Every id of the vocabulary is said in words of the reader's language: none falls back on its own spelling. */
final class EverythingHasWordsTest extends ShedTestCase
{
    public function testTestsOutcomesAndFaults(): void
    {
        $translator = self::service(TranslatorInterface::class);
        $says = static fn (string $key): bool => $key !== $translator->trans($key, [], 'trade');
        $silent = [];
        foreach (Vocabulary::shipped()->tests as $test) {
            $silent = [...$silent, ...array_filter(['test.'.$test->id], static fn (string $key): bool => !$says($key))];
            foreach ($test->outcomes ?? [] as $outcome) {
                if (!$says('outcome.'.$test->id.'.'.$outcome) && !$says('outcome.'.$outcome)) {
                    $silent[] = $test->id.' '.$outcome;
                }
            }
        }
        foreach (array_keys(Vocabulary::shipped()->faults) as $fault) {
            $silent = [...$silent, ...array_filter(['fault.'.$fault], static fn (string $key): bool => !$says($key))];
        }
        self::assertSame([], $silent);
    }
}
