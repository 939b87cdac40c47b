<?php

declare(strict_types=1);

namespace AwakeShed\App\Drawing;

use AwakeShed\App\Unit\Figures;
use AwakeShed\Core\Oil\FlushPlan;

/** Bars over a common scale from zero, with a limit across them and whiskers where the truth may lie. */
final readonly class BarDrawing implements Drawing
{
    public const WIDTH = 420;
    public const HEIGHT = 240;
    private const LEFT = 20.0;
    private const BESIDE = 72.0;
    private const TOP = 30.0;
    private const BOTTOM = 196.0;

    /**
     * @param non-empty-list<Bar> $bars
     * @param float               $full what the top of the scale stands for
     */
    private function __construct(
        /** What it shows, an id of translations/calc. */
        public string $title,
        public array $bars,
        public ?Figures $limit,
        private float $full,
        private ?float $limitAt,
    ) {
    }

    /**
     * @param non-empty-list<Bar> $bars  amounts from zero up
     * @param float|null          $limit drawn across; null for none
     * @param Figures|null        $shown what is written at it
     */
    public static function withBars(string $title, array $bars, ?float $limit = null, ?Figures $shown = null): self
    {
        $most = max(array_map(static fn (Bar $bar): float => max($bar->amount, $bar->most ?? 0.0), $bars));

        return new self($title, $bars, $shown, max(1e-9, 1.1 * max($most, $limit ?? 0.0)), $limit);
    }

    /** What is left of the gasoline after each change of the oil, with the share it is to come under. */
    public static function ofDilution(FlushPlan $plan, float $target): self
    {
        return self::withBars('dilution_after_each', array_map(
            static fn (int $change, float $share): Bar => new Bar(0 === $change ? 'before' : (string) $change, $share, Figures::share($share)),
            array_keys($plan->dilution),
            $plan->dilution,
        ), $target, Figures::share($target));
    }

    public function template(): string
    {
        return 'bars';
    }

    public function width(): float
    {
        return min(70.0, 0.6 * $this->pitch());
    }

    public function left(int $index): float
    {
        return round(self::LEFT + $index * $this->pitch() + ($this->pitch() - $this->width()) / 2, 1);
    }

    public function level(float $amount): float
    {
        return round(self::BOTTOM - (self::BOTTOM - self::TOP) * min(1.0, $amount / $this->full), 1);
    }

    public function limitLevel(): ?float
    {
        return null === $this->limitAt ? null : $this->level($this->limitAt);
    }

    private function pitch(): float
    {
        // What is written at the limit stands beside the bars, not on them.
        return (self::WIDTH - 2 * self::LEFT - (null === $this->limitAt ? 0.0 : self::BESIDE)) / \count($this->bars);
    }
}
