<?php

declare(strict_types=1);

namespace AwakeShed\Core\Fuel;

use AwakeShed\Core\Evidence\Finding;
use AwakeShed\Core\Units\Length;
use AwakeShed\Core\Units\Temperature;
use AwakeShed\Core\Units\Volume;

/**
 * All that has been read of one jar so far; null where it has not been read.
 *
 * Goes to and from plain arrays in mL, mm, °C and months, the form in which it is stored and exported.
 *
 * @phpstan-type JarArray array{
 *     layers?: array{height_mm: float|int, total_ml: float|int, lower_ml: float|int, edge?: string},
 *     look?: array{clarity?: string, colour?: string, specks?: list<string>, smell?: string},
 *     age?: array{months?: float|int},
 *     shift?: array{fuel_ml: float|int, water_ml: float|int, aqueous_ml: float|int, celsius: float|int, error_ml?: float|int},
 *     dose?: array{dose_ml: float|int, before_ml: float|int, after_ml: float|int},
 *     tank?: array{volume_ml: float|int, now_celsius: float|int, tonight_celsius: float|int}
 * }
 */
final readonly class JarReading
{
    public function __construct(
        public ?JarLayers $layers = null,
        public JarLook $look = new JarLook(),
        public ?FuelAge $age = null,
        public ?WaterShift $shift = null,
        public ?LayerGrowth $growth = null,
        public ?TankFuel $tank = null,
    ) {
    }

    /**
     * @param JarArray $array
     *
     * @throws \AwakeShed\Core\Refusal when a reading in it is impossible
     * @throws \ValueError             when a word in it is none of ours
     */
    public static function fromArray(array $array): self
    {
        $layers = $array['layers'] ?? null;
        $look = $array['look'] ?? [];
        $shift = $array['shift'] ?? null;
        $dose = $array['dose'] ?? null;
        $tank = $array['tank'] ?? null;

        return new self(
            null === $layers ? null : JarLayers::read(
                Length::millimetres($layers['height_mm']),
                Volume::millilitres($layers['total_ml']),
                Volume::millilitres($layers['lower_ml']),
                isset($layers['edge']) ? LayerEdge::from($layers['edge']) : null,
            ),
            new JarLook(
                isset($look['clarity']) ? Clarity::from($look['clarity']) : null,
                isset($look['colour']) ? FuelColour::from($look['colour']) : null,
                isset($look['specks']) ? array_map(Specks::from(...), $look['specks']) : null,
                isset($look['smell']) ? FuelSmell::from($look['smell']) : null,
            ),
            match (true) {
                !isset($array['age']) => null,
                isset($array['age']['months']) => FuelAge::months($array['age']['months']),
                default => FuelAge::unknown(),
            },
            null === $shift ? null : WaterShift::read(
                Volume::millilitres($shift['fuel_ml']),
                Volume::millilitres($shift['water_ml']),
                Volume::millilitres($shift['aqueous_ml']),
                Temperature::celsius($shift['celsius']),
                isset($shift['error_ml']) ? Volume::millilitres($shift['error_ml']) : null,
            ),
            null === $dose ? null : LayerGrowth::read(
                Volume::millilitres($dose['dose_ml']),
                Volume::millilitres($dose['before_ml']),
                Volume::millilitres($dose['after_ml']),
            ),
            null === $tank ? null : TankFuel::inTank(
                Volume::millilitres($tank['volume_ml']),
                Temperature::celsius($tank['now_celsius']),
                Temperature::celsius($tank['tonight_celsius']),
            ),
        );
    }

    /** The jar with what was smelled of its fuel elsewhere, where nobody has said it here. */
    public function smelling(?FuelSmell $smell): self
    {
        return null === $smell || null !== $this->look->smell ? $this : $this->withLook(new JarLook($this->look->clarity, $this->look->colour, $this->look->specks, $smell));
    }

    /** @return JarArray only what has been read */
    public function toArray(): array
    {
        $array = [];
        if (null !== $this->layers) {
            $array['layers'] = [
                'height_mm' => self::rounded($this->layers->height->inMillimetres()),
                'total_ml' => self::rounded($this->layers->total->inMillilitres()),
                'lower_ml' => self::rounded($this->layers->lower->inMillilitres()),
            ] + (null === $this->layers->edge ? [] : ['edge' => $this->layers->edge->value]);
        }
        $look = array_filter([
            'clarity' => $this->look->clarity?->value,
            'colour' => $this->look->colour?->value,
            'specks' => null === $this->look->specks ? null : array_map(static fn (Specks $kind): string => $kind->value, $this->look->specks),
            'smell' => $this->look->smell?->value,
        ], static fn (string|array|null $seen): bool => null !== $seen);
        if ([] !== $look) {
            $array['look'] = $look;
        }
        if (null !== $this->age) {
            $array['age'] = null === $this->age->months ? [] : ['months' => self::rounded($this->age->months)];
        }
        if (null !== $this->shift) {
            $array['shift'] = [
                'fuel_ml' => self::rounded($this->shift->fuel->inMillilitres()),
                'water_ml' => self::rounded($this->shift->water->inMillilitres()),
                'aqueous_ml' => self::rounded($this->shift->aqueous->inMillilitres()),
                'celsius' => self::rounded($this->shift->at->inCelsius()),
                'error_ml' => self::rounded($this->shift->readingError->inMillilitres()),
            ];
        }
        if (null !== $this->growth) {
            $array['dose'] = [
                'dose_ml' => self::rounded($this->growth->dose->inMillilitres()),
                'before_ml' => self::rounded($this->growth->before->inMillilitres()),
                'after_ml' => self::rounded($this->growth->after->inMillilitres()),
            ];
        }
        if (null !== $this->tank) {
            $array['tank'] = [
                'volume_ml' => self::rounded($this->tank->volume->inMillilitres()),
                'now_celsius' => self::rounded($this->tank->now->inCelsius()),
                'tonight_celsius' => self::rounded($this->tank->tonight->inCelsius()),
            ];
        }

        return $array;
    }

    public function withLayers(?JarLayers $layers): self
    {
        return new self($layers, $this->look, $this->age, $this->shift, $this->growth, $this->tank);
    }

    public function withLook(JarLook $look): self
    {
        return new self($this->layers, $look, $this->age, $this->shift, $this->growth, $this->tank);
    }

    public function withAge(?FuelAge $age): self
    {
        return new self($this->layers, $this->look, $age, $this->shift, $this->growth, $this->tank);
    }

    public function withShift(?WaterShift $shift): self
    {
        return new self($this->layers, $this->look, $this->age, $shift, $this->growth, $this->tank);
    }

    public function withGrowth(?LayerGrowth $growth): self
    {
        return new self($this->layers, $this->look, $this->age, $this->shift, $growth, $this->tank);
    }

    public function withTank(?TankFuel $tank): self
    {
        return new self($this->layers, $this->look, $this->age, $this->shift, $this->growth, $tank);
    }

    public function isBlank(): bool
    {
        return [] === $this->toArray();
    }

    /**
     * What this jar says in the vocabulary's words. A bowl has no ethanol or dose test of its own there: those
     * readings stay in the jar.
     *
     * @return list<Finding>
     */
    public function findings(JarSample $sample): array
    {
        return match ($sample) {
            JarSample::Tank => $this->tankFindings(),
            JarSample::Bowl => $this->bowlFindings(),
        };
    }

    /** @return list<Finding> */
    private function tankFindings(): array
    {
        $findings = [];
        $seen = $this->outcomes();
        if ([] !== $seen) {
            $findings[] = Finding::observed('jar.tank', ...$seen)->measuring($this->measuredLayers());
        }
        if (null !== $this->look->smell) {
            $findings[] = Finding::observed('jar.smell', $this->look->smell->value);
        }
        if (null !== $this->shift) {
            $content = $this->shift->content();
            $findings[] = Finding::number('jar.ethanol_percent', round(100 * $content->corrected, 2))
                ->measuring(['naive_percent' => round(100 * $content->naive, 2), 'half_width_percent' => round(100 * $content->halfWidth, 2)]);
        }
        if (null !== $this->growth) {
            $findings[] = Finding::observed('jar.lower_layer_after_water', $this->growth->outcome->value)
                ->measuring(['dose_ml' => $this->growth->dose->inMillilitres(), 'growth_ml' => round($this->growth->growth()->inMillilitres(), 2)]);
        }

        return $findings;
    }

    /** @return list<Finding> */
    private function bowlFindings(): array
    {
        if (true === $this->layers?->isEmpty()) {
            return [Finding::observed('flow.bowl_drain', 'nothing')];
        }
        $seen = array_keys(array_filter([
            'water_beads' => true === $this->layers?->hasTwo(),
            'jelly' => $this->look->shows(Specks::Jelly),
            'dirty' => $this->look->shows(Specks::Dirt) || $this->look->shows(Specks::Rust) || FuelColour::Brown === $this->look->colour,
        ]));
        if ([] === $seen && $this->isSeenClean()) {
            $seen = ['clean'];
        }

        return [] === $seen ? [] : [Finding::observed('flow.bowl_drain', ...$seen)->measuring($this->measuredLayers())];
    }

    /** @return list<string> outcomes of jar.tank, none while too little has been read to say any */
    private function outcomes(): array
    {
        if (true === $this->layers?->isEmpty()) {
            return ['empty'];
        }
        $seen = array_keys(array_filter([
            'two_layers' => true === $this->layers?->hasTwo(),
            'hazy' => Clarity::Hazy === $this->look->clarity,
            'dark_or_sediment' => $this->look->isDarkOrDirty(),
        ]));

        return [] === $seen && $this->isSeenClean() ? ['clear_one_layer'] : $seen;
    }

    /** One layer and clear, both looked at; the caller has ruled out dirt. */
    private function isSeenClean(): bool
    {
        return null !== $this->layers && !$this->layers->hasTwo() && Clarity::Clear === $this->look->clarity;
    }

    /** @return array<string, float> */
    private function measuredLayers(): array
    {
        return null === $this->layers ? [] : [
            'total_ml' => self::rounded($this->layers->total->inMillilitres()),
            'lower_ml' => self::rounded($this->layers->lower->inMillilitres()),
        ];
    }

    /** Storing in one unit and showing in another must not grow digits nobody read. */
    private static function rounded(float $amount): float
    {
        return round($amount, 6);
    }
}
