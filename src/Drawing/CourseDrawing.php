<?php

declare(strict_types=1);

namespace AwakeShed\App\Drawing;

/** How belief in a few faults moved, step by step: a line each, told apart by its number, its dash and its mark. */
final readonly class CourseDrawing implements Drawing
{
    public const WIDTH = 720;
    public const HEIGHT = 330;
    public const LEFT = 46;
    public const RIGHT = 690;
    public const TOP = 12;
    public const BOTTOM = 272;

    /** The numbers at the ends of the lines are moved apart so far. */
    private const MARK_ROOM = 22;

    /** So many faults are drawn: those that were ever believed most. */
    private const LINES = 5;

    /** A fault that was never believed so far is not drawn. */
    private const DRAWN_FROM = 0.15;

    /** @param list<array{fault: string, values: list<float>, path: string, dash: string, markY: float}> $lines the one believed most at the end first */
    private function __construct(public array $lines, public int $steps)
    {
    }

    /** @param list<array<string, float>> $course by step, belief by fault; the first as things stood before */
    public static function ofBeliefs(array $course): self
    {
        $peaks = [];
        foreach ($course as $beliefs) {
            foreach ($beliefs as $fault => $belief) {
                $peaks[$fault] = max($peaks[$fault] ?? 0.0, $belief);
            }
        }
        arsort($peaks);
        $drawn = array_keys(\array_slice(array_filter($peaks, static fn (float $peak): bool => $peak >= self::DRAWN_FROM), 0, self::LINES));
        $last = $course[array_key_last($course) ?? 0] ?? [];
        usort($drawn, static fn (string $one, string $other): int => $last[$other] <=> $last[$one]);
        $dashes = ['', '10 4', '3 4', '12 4 3 4', '6 6'];
        $lines = [];
        $above = -\INF;
        foreach ($drawn as $number => $fault) {
            $values = array_map(static fn (array $beliefs): float => $beliefs[$fault] ?? 0.0, $course);
            $above = max($above + self::MARK_ROOM, self::level($last[$fault]));
            $lines[] = ['fault' => $fault, 'values' => $values, 'path' => self::path($values), 'dash' => $dashes[$number], 'markY' => $above];
        }

        return new self($lines, \count($course));
    }

    /** Where a belief of 0 to 1 stands in the drawing. */
    public static function level(float $belief): float
    {
        return self::BOTTOM - $belief * (self::BOTTOM - self::TOP);
    }

    public function template(): string
    {
        return 'course';
    }

    /** @param list<float> $values */
    private static function path(array $values): string
    {
        $points = [];
        foreach ($values as $step => $belief) {
            $points[] = \sprintf('%.1f %.1f', self::at($step, \count($values)), self::level($belief));
        }

        return 'M'.implode('L', $points);
    }

    private static function at(int $step, int $steps): float
    {
        return self::LEFT + (self::RIGHT - self::LEFT) * ($steps < 2 ? 0.5 : $step / ($steps - 1));
    }
}
