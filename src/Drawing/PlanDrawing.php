<?php

declare(strict_types=1);

namespace AwakeShed\App\Drawing;

/** The bench day as a time chart: a lane for each pair of hands and each thing that is shared, waits below, the hours above. */
final readonly class PlanDrawing implements Drawing
{
    public const WIDTH = 1100.0;
    public const NAMES = 150.0;
    private const LANE = 46.0;
    private const HEAD = 30.0;
    private const BAR = 38.0;

    /** Bars narrower than so many units bear no words. */
    private const WORDS_FROM = 20.0;
    private const UNITS_A_LETTER = 7.5;

    /**
     * @param list<array{id: string, name: string, bars: list<array{id: string, words: string, more: string, machine: string, from: int, to: int, tone: string}>}> $lanes minutes of the day
     * @param int                                                                                                                                                  $first minute of the day at which it begins
     * @param int                                                                                                                                                  $last  and ends
     * @param int|null                                                                                                                                             $now   null where it is another day
     */
    public function __construct(public string $title, public array $lanes, public int $first, public int $last, public ?int $now)
    {
    }

    public function template(): string
    {
        return 'plan';
    }

    public function height(): float
    {
        return self::HEAD + self::LANE * \count($this->lanes) + 4;
    }

    public function laneTop(int $lane): float
    {
        return self::HEAD + self::LANE * $lane;
    }

    public function x(int $minute): float
    {
        $share = ($minute - $this->first) / max(1, $this->last - $this->first);

        return round(self::NAMES + (self::WIDTH - self::NAMES) * min(1.0, max(0.0, $share)), 1);
    }

    /**
     * @param list<array{id: string, words: string, more: string, machine: string, from: int, to: int, tone: string}> $bars of a lane
     *
     * @return list<array{id: string, title: string, from: int, tone: string, x: float, top: float, width: float, height: float, lines: list<array{float, string}>}> where each lies, from the top of its lane, and what it bears
     */
    public function placed(array $bars): array
    {
        return array_map(function (array $bar): array {
            $x = $this->x($bar['from']);
            $width = max(4.0, round($this->x($bar['to']) - $x, 1));
            $isThin = 'wait' === $bar['tone'];

            return [
                'id' => $bar['id'],
                'title' => $bar['words'].' '.$bar['machine'].': '.$bar['more'],
                'from' => $bar['from'],
                'tone' => $bar['tone'],
                'x' => $x,
                'top' => $isThin ? 12.0 : 4.0,
                'width' => $width,
                'height' => $isThin ? 22.0 : self::BAR,
                'lines' => $isThin
                    ? [[28.0, self::fitted($width, $bar['words'].' '.$bar['more'])]]
                    : [[20.0, self::fitted($width, $bar['words'])], [36.0, self::fitted($width, $bar['more'])]],
            ];
        }, $bars);
    }

    /** As much of a bar's words as there is room for. */
    private static function fitted(float $width, string $words): string
    {
        $room = (int) floor(($width - 5) / self::UNITS_A_LETTER);

        return $width < self::WORDS_FROM ? '' : (mb_strlen($words) <= $room ? $words : mb_substr($words, 0, max(1, $room - 1)).'…');
    }

    /** @return list<int> full hours, as minutes of the day */
    public function hours(): array
    {
        return range((int) ceil($this->first / 60) * 60, intdiv($this->last, 60) * 60, 60);
    }
}
