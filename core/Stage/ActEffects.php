<?php

declare(strict_types=1);

namespace AwakeShed\Core\Stage;

use AwakeShed\Core\Evidence\CaseFile;
use AwakeShed\Core\Evidence\Done;
use AwakeShed\Core\Fuel\WasteStream;
use AwakeShed\Core\Table;

/** What an act leaves behind it in the shop (data/act-effects.json): waste for a can, time to wait, oil off the shelf. */
final readonly class ActEffects
{
    private const WATERY = ['jar.tank' => ['two_layers', 'hazy'], 'look.tank' => ['water'], 'jar.lower_layer_after_water' => ['grew_by_dose', 'grew_by_more'], 'flow.bowl_drain' => ['water_beads', 'jelly']];
    private const SOUND = ['jar.tank' => ['clear_one_layer'], 'jar.smell' => ['fresh']];
    private const GAS_IN_OIL = ['look.oil_smell' => ['gas', 'residue_expected'], 'look.oil_body' => ['thin'], 'look.oil_level' => ['far_over'], 'pull.ejecta' => ['gas', 'mixture']];

    /**
     * @param array<string, array{waste?: string, wait?: array{kind: string, minutes: int}, oil?: bool, as?: string, ends?: list<string>}> $acts
     * @param array<string, array{float|int, float|int}>                                                                                   $figures
     */
    private function __construct(private array $acts, private array $figures)
    {
    }

    public static function shipped(): self
    {
        /** @var array{figures: array<string, array{float|int, float|int}>, acts: array<string, array{waste?: string, wait?: array{kind: string, minutes: int}, oil?: bool, as?: string, ends?: list<string>}>} $data */
        $data = Table::read(__DIR__.'/data/act-effects.json');

        return new self($data['acts'], $data['figures']);
    }

    /**
     * The can for what is poured off.
     *
     * @param CaseFile $before the machine as it stood before the act
     *
     * @return WasteStream|null null where nothing is, or where it is sound and is kept
     */
    public function stream(string $act, CaseFile $before): ?WasteStream
    {
        return match ($this->acts[$act]['waste'] ?? null) {
            'fuel' => match (true) {
                self::lastSaid($before, self::WATERY) => WasteStream::GasolineWater,
                $before->says(['jar.tank' => self::SOUND['jar.tank']]) && $before->says(['jar.smell' => self::SOUND['jar.smell']]) => null,
                default => WasteStream::StaleGasoline,
            },
            'oil' => self::lastSaid($before, self::GAS_IN_OIL) ? WasteStream::OilGasoline : WasteStream::UsedOil,
            default => null,
        };
    }

    /** @return array{kind: string, minutes: int}|null */
    public function wait(string $act): ?array
    {
        return $this->acts[$act]['wait'] ?? null;
    }

    /** @return list<string> kinds of waiting that are over once it is done */
    public function ends(string $act): array
    {
        return $this->acts[$act]['ends'] ?? [];
    }

    public function takesOil(string $act): bool
    {
        return $this->acts[$act]['oil'] ?? false;
    }

    /** The test whose gates it must pass; null for none. */
    public function gated(string $act): ?string
    {
        return $this->acts[$act]['as'] ?? null;
    }

    /** @return array{float, float}|null the least and the most of a figure, in its unit; null where it has no bounds */
    public function bounds(string $figure): ?array
    {
        $bounds = $this->figures[$figure] ?? null;

        return null === $bounds ? null : [(float) $bounds[0], (float) $bounds[1]];
    }

    /** @throws ImpossibleAct when a figure is none of the act's or outside its bounds */
    public function check(Done $done): void
    {
        foreach ($done->measured as $figure => $value) {
            [$least, $most] = $this->figures[$figure] ?? throw ImpossibleAct::missing($done->act->id, $figure);
            if (!is_numeric($value) || $value < $least || $value > $most) {
                throw ImpossibleAct::outside($done->act->id, $figure, (float) (is_numeric($value) ? $value : \NAN), $least, $most);
            }
        }
    }

    /**
     * What was seen of it last speaks for what is poured off, whether an act has silenced it since or not.
     *
     * @param array<string, list<string>> $outcomes by test
     */
    private static function lastSaid(CaseFile $case, array $outcomes): bool
    {
        foreach ($outcomes as $test => $said) {
            if (true === $case->lastFound($test)?->saysAnyOf($said)) {
                return true;
            }
        }

        return false;
    }
}
