<?php

declare(strict_types=1);

namespace AwakeShed\Core\Cylinder;

use AwakeShed\Core\Running\StandardAtmosphere;
use AwakeShed\Core\Units\ImpossibleAmount;
use AwakeShed\Core\Units\Interval;
use AwakeShed\Core\Units\Length;
use AwakeShed\Core\Units\LengthUnit;
use AwakeShed\Core\Units\Pressure;
use AwakeShed\Core\Units\PressureUnit;

/** A compression gauge read at the bench and judged as at sea level (bands: common practice; the spec book comes first). */
final readonly class Compression
{
    private const NONE_BELOW = 15.0;
    private const WITH_RELEASE_FROM = 40.0;
    private const WITHOUT_RELEASE_FROM = 90.0;
    private const TWO_STROKE_MARGINAL_FROM = 90.0;
    private const TWO_STROKE_GOOD_FROM = 110.0;

    /** A wet reading so much above the dry one has come up. */
    private const RISE = 1.10;

    private function __construct(
        /** What the gauge would show at sea level. */
        public Pressure $atSeaLevel,
        private float $dryPsi,
        private Release $release,
        /** Half-width of what it would show at sea level. */
        public Pressure $halfWidth,
    ) {
    }

    /**
     * @param Pressure $gauge    0 to 400 psi
     * @param Length   $altitude of the bench, −500 to 5000 m
     * @param Pressure $error    half-width of the gauge, 0 to 20 psi
     *
     * @throws ImpossibleAmount when one is outside its interval
     */
    public static function read(Pressure $gauge, Length $altitude, Release $release, Pressure $error): self
    {
        self::bounds()->demand($gauge);
        (new Interval(0.0, 20.0, PressureUnit::Psi))->demand($error);
        $scale = 1 / StandardAtmosphere::pressureShare($altitude->in(LengthUnit::Metre));

        return new self($gauge->times($scale), $gauge->inPsi(), $release, $error->times($scale));
    }

    public function verdict(): CompressionVerdict
    {
        return $this->judged($this->atSeaLevel->inPsi());
    }

    /** The worst it may be within the gauge's error. */
    public function worst(): CompressionVerdict
    {
        return $this->judged($this->atSeaLevel->minus($this->halfWidth)->inPsi());
    }

    /** The best it may be. */
    public function best(): CompressionVerdict
    {
        return $this->judged($this->atSeaLevel->plus($this->halfWidth)->inPsi());
    }

    private function judged(float $psi): CompressionVerdict
    {
        return match (true) {
            $psi < self::NONE_BELOW => CompressionVerdict::None,
            Release::TwoStroke === $this->release => match (true) {
                $psi >= self::TWO_STROKE_GOOD_FROM => CompressionVerdict::Good,
                $psi >= self::TWO_STROKE_MARGINAL_FROM => CompressionVerdict::Marginal,
                default => CompressionVerdict::Low,
            },
            $psi >= self::WITHOUT_RELEASE_FROM => CompressionVerdict::Good,
            $psi < self::WITH_RELEASE_FROM || Release::NotFitted === $this->release => CompressionVerdict::Low,
            Release::Unknown === $this->release => CompressionVerdict::DependsOnRelease,
            default => CompressionVerdict::Good,
        };
    }

    /** Where it may be lower than the trade's band and still be well, a leak-down test is the better judge. */
    public function gaugeCanMislead(): bool
    {
        return \in_array($this->release, [Release::Fitted, Release::Unknown], true);
    }

    /**
     * @param Pressure $wet the same gauge after 5 to 15 mL of oil through the plug hole, 0 to 400 psi
     *
     * @return WetTest|null null when the dry reading was not low: there is nothing to explain
     *
     * @throws ImpossibleAmount outside that
     */
    public function wet(Pressure $wet): ?WetTest
    {
        self::bounds()->demand($wet);
        if (\in_array($this->verdict(), [CompressionVerdict::Good, CompressionVerdict::DependsOnRelease], true)) {
            return null;
        }

        return $wet->inPsi() >= self::RISE * $this->dryPsi && $wet->inPsi() >= self::NONE_BELOW ? WetTest::Rings : WetTest::ValvesOrGasket;
    }

    private static function bounds(): Interval
    {
        return new Interval(0.0, 400.0, PressureUnit::Psi);
    }
}
