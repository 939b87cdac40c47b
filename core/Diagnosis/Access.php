<?php

declare(strict_types=1);

namespace AwakeShed\Core\Diagnosis;

use AwakeShed\Core\Evidence\CaseFile;
use AwakeShed\Core\Evidence\Vocabulary;
use AwakeShed\Core\Table;

/** What a test costs from where the machine is: its own minutes, and what has to come off before (data/access.json). */
final readonly class Access
{
    /** A test that takes no time would be worth anything. */
    private const LEAST_MINUTES = 0.5;

    /** @param list<AccessPlace> $places */
    private function __construct(private Vocabulary $vocabulary, public array $places)
    {
    }

    public static function shipped(Vocabulary $vocabulary): self
    {
        /** @var array{places: list<array{id: string, open_where: array<string, string>, minutes: array<string, float|int>, parts: array<string, list<string>>, by_school: array<string, array<string, array{minutes: float|int, parts: list<string>}>>, behind: list<string>, included: list<string>}>} $data */
        $data = Table::read(__DIR__.'/data/access.json');

        return new self($vocabulary, array_map(static fn (array $one): AccessPlace => new AccessPlace($one['id'], $one['open_where'], $one['minutes'], $one['parts'], $one['by_school'], $one['behind'], $one['included']), $data['places']));
    }

    public function place(string $test): ?AccessPlace
    {
        foreach ($this->places as $place) {
            if ($place->holds($test)) {
                return $place;
            }
        }

        return null;
    }

    /** @return AccessPlace|null what is to be opened before a test, beyond its own minutes; null where nothing is */
    public function shut(string $test, CaseFile $case): ?AccessPlace
    {
        $place = $this->place($test);

        return null === $place || !\in_array($test, $place->behind, true) || $place->isOpen($case) ? null : $place;
    }

    public function isShut(string $place, CaseFile $case): bool
    {
        foreach ($this->places as $one) {
            if ($one->id === $place) {
                return !$one->isOpen($case);
            }
        }

        throw new \LogicException(\sprintf('No place is called %s.', $place));
    }

    /** @return float min of the test's own from where the machine is, without what has to be opened before */
    public function own(string $test, CaseFile $case): float
    {
        $place = $this->place($test);
        $saved = null !== $place && $place->isOpen($case) ? $place->included($test, $case) : 0.0;

        return max(self::LEAST_MINUTES, $this->vocabulary->test($test)->minutes - $saved);
    }

    /** @return float min, all in */
    public function minutes(string $test, CaseFile $case): float
    {
        return $this->own($test, $case) + ($this->shut($test, $case)?->minutes($case) ?? 0.0);
    }
}
