<?php

declare(strict_types=1);

namespace AwakeShed\Core\Sight;

use AwakeShed\Core\Units\ImpossibleAmount;

/** A dipstick on a photo: where the oil ends between the marks. */
final readonly class PhotoStick
{
    /** So far over the upper mark, as a share of the way between the marks, nobody spilled it in (common practice). */
    private const FAR_OVER_FROM = 1.5;

    private function __construct(
        /** 0 at the lower mark, 1 at the upper. */
        public float $share,
        public float $halfWidth,
    ) {
    }

    /**
     * @param float $error half-width of a point, 0 to 100 px
     *
     * @throws UnreadablePhoto  when the marks are one point
     * @throws ImpossibleAmount when the error is outside its interval, or the oil ends ten times the marks away
     */
    public static function read(Point $lowMark, Point $fullMark, Point $oil, float $error): self
    {
        ImpossibleAmount::unlessBetween($error, 0.0, 100.0, 'px');
        [$share, $half] = Axis::along($lowMark, $lowMark, $fullMark)->share($oil, $fullMark, $error);
        ImpossibleAmount::unlessBetween($share, -10.0, 10.0, '×');

        return new self($share, $half);
    }

    /** @return string|null outcome of the vocabulary's test `look.oil_level`; null where the photo cannot tell */
    public function outcome(): ?string
    {
        [$low, $high] = [self::outcomeAt($this->share - $this->halfWidth), self::outcomeAt($this->share + $this->halfWidth)];

        return $low === $high ? $low : null;
    }

    private static function outcomeAt(float $share): string
    {
        return match (true) {
            $share < 0.0 => 'below_mark',
            $share <= 1.0 => 'at_mark',
            $share < self::FAR_OVER_FROM => 'over_mark',
            default => 'far_over',
        };
    }
}
