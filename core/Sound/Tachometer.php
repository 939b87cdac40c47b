<?php

declare(strict_types=1);

namespace AwakeShed\Core\Sound;

use AwakeShed\Core\Trace\Series;
use AwakeShed\Core\Trace\Statistics;
use AwakeShed\Core\Units\ShaftSpeed;
use AwakeShed\Core\Units\SpeedUnit;

/**
 * Engine speed by its sound. Where two readings fit, it does not choose: it says both, and takes a hint of what the speed
 * is near.
 */
final readonly class Tachometer
{
    /** How far the lines of a comb stand out, on the average, natural logarithm of power; in noise alone chance reaches about 0.7. */
    private const HEARD_FROM = 1.02;

    /** An octave so strong, as a share of the beat's own strength, may be the beat. */
    private const LOWER_FITS_FROM = 0.8;
    private const UPPER_FITS_FROM = 0.45;

    /** Another machine so loud, as a share, may be the one that is meant. */
    private const RIVAL_FROM = 0.15;

    /** The track's own roughness, as a share. */
    private const OWN = 0.03;

    /** Of the recording the close track must tell so much. */
    private const TRACKED_FROM = 0.5;

    /** A reading so near a hint is the one it means; readings an octave apart are twice that apart. */
    private const NEAR = 0.30;

    /** What the whole is good to: the sound's rate, jitter from stroke to stroke, and the track's own steps (from the synthesised engines of the tests). */
    private const ERROR = 0.01;

    /** No engine of the trade turns slower or faster, rpm. */
    private const POSSIBLE = [600.0, 15_000.0];

    /** What it hunts between: a beat in fifty at either end may be misheard. */
    private const HUNTS_BETWEEN = [0.02, 0.98];

    /** Two readings nearer to one another than this share are one. */
    private const ONE_READING = 0.05;

    /**
     * @param list<HeardSpeed> $readings   what it may be, the likeliest first; one where it is told, none where no engine is heard
     * @param float            $confidence 0 to 1, how far its beat stands out of everything else
     */
    private function __construct(public TachometerVerdict $verdict, public array $readings, public float $confidence)
    {
    }

    /** @param ShaftSpeed|null $near what it should turn at, or was said to; only chooses among readings that fit */
    public static function hear(Sound $sound, Firing $firing, ?ShaftSpeed $near = null): self
    {
        $beat = Beat::of($sound);
        $track = BeatTrack::of($sound, $beat, $beat->hums);
        $mean = $track->mean();
        if ($beat->strength < self::HEARD_FROM || null === $mean || $track->share() < self::TRACKED_FROM) {
            return new self(TachometerVerdict::NothingHeard, [], 0.0);
        }
        $factors = [1.0];
        foreach ($beat->octaves as $name => $strength) {
            [$factor, $from] = match ($name) {
                'half' => [0.5, self::LOWER_FITS_FROM],
                'third' => [1 / 3, self::LOWER_FITS_FROM],
                'twice' => [2.0, self::UPPER_FITS_FROM],
                default => [3.0, self::UPPER_FITS_FROM],
            };
            if ($strength >= $from * $beat->strength) {
                $factors[] = $factor;
            }
        }
        $readings = self::readings($mean, $factors, $firing, $track);
        $rival = Statistics::median($beat->rivals);
        $isRivalled = $beat->loudness >= self::RIVAL_FROM && !self::isOwnHunt($rival, $track);
        if ($isRivalled) {
            $readings = [...$readings, ...self::readings($rival, [1.0], $firing, null)];
        }
        $meant = null === $near ? [] : array_values(array_filter($readings, static fn (HeardSpeed $reading): bool => abs($reading->speed->in(SpeedUnit::Rpm) / $near->in(SpeedUnit::Rpm) - 1) <= self::NEAR));
        if (1 === \count($meant)) {
            $readings = $meant;
        }

        return new self(
            match (true) {
                [] === $readings => TachometerVerdict::NothingHeard,
                1 === \count($readings) && $readings[0]->speeds->count() > 0 => TachometerVerdict::Told,
                $isRivalled => TachometerVerdict::TwoMachines,
                default => TachometerVerdict::TwoReadings,
            },
            $readings,
            min(1.0, max(0.0, ($beat->strength - self::HEARD_FROM) / self::HEARD_FROM)),
        );
    }

    /** An engine that hunts is at two beats within a second; that is no second machine. */
    private static function isOwnHunt(float $rival, BeatTrack $track): bool
    {
        $slowest = Statistics::quantile($track->beats, self::HUNTS_BETWEEN[0]);
        $quickest = Statistics::quantile($track->beats, self::HUNTS_BETWEEN[1]);

        return $rival >= $slowest * (1 - self::OWN) && $rival <= $quickest * (1 + self::OWN);
    }

    /** @return float half-width of a reading, as a share of it */
    public function error(): float
    {
        return self::ERROR;
    }

    /**
     * @param list<float>    $factors of the beat that may be the beat
     * @param BeatTrack|null $track   null for a machine that was not followed
     *
     * @return list<HeardSpeed>
     */
    private static function readings(float $beat, array $factors, Firing $firing, ?BeatTrack $track): array
    {
        $readings = [];
        foreach ($factors as $factor) {
            foreach ($firing->turns() as $turns) {
                $rpm = 60 * $beat * $factor * $turns;
                $isNew = [] === array_filter($readings, static fn (HeardSpeed $reading): bool => abs($reading->speed->in(SpeedUnit::Rpm) / $rpm - 1) < self::ONE_READING);
                if ($isNew && $rpm >= self::POSSIBLE[0] && $rpm <= self::POSSIBLE[1]) {
                    $readings[] = new HeardSpeed(
                        ShaftSpeed::of($rpm, SpeedUnit::Rpm),
                        Series::fromSamples($track->times ?? [], array_map(static fn (float $one): float => SpeedUnit::Rpm->toSi(60 * $factor * $turns * $one), $track->beats ?? [])),
                    );
                }
            }
        }

        return $readings;
    }
}
