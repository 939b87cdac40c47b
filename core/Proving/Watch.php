<?php

declare(strict_types=1);

namespace AwakeShed\Core\Proving;

use AwakeShed\Core\Evidence\CaseFile;
use AwakeShed\Core\Stage\Act;

/** What its owner is to keep an eye on after it goes home, by what was found and done (common practice). */
enum Watch: string
{
    /** Gas ran where it should not: shutoff closed whenever it stands, oil smelled before the next starts. */
    case ShutOff = 'shut_off';

    /** It lay on its side: upright, strapped, filter side up. */
    case Upright = 'upright';
    case FreshFuel = 'fresh_fuel';
    case Drips = 'drips';

    /** It surges a little while cold. */
    case LongerChoke = 'longer_choke';

    /** Its jet is not the maker's any more. */
    case JetOpened = 'jet_opened';

    /** The oil was changed, or topped up: once more at the mark before its second outing. */
    case OilLevel = 'oil_level';

    private const GAS = ['look.oil_smell' => ['gas', 'residue_expected'], 'look.oil_body' => ['thin'], 'pull.ejecta' => ['gas', 'mixture'], 'needle.pressure' => ['leaks']];
    private const TIPPED = ['claim.tipped' => ['yes'], 'look.air_filter' => ['oil_soaked'], 'pull.ejecta' => ['oil', 'mixture']];
    private const OLD_FUEL = ['jar.tank' => ['hazy', 'two_layers', 'dark_or_sediment'], 'jar.smell' => ['stale', 'varnish']];
    private const LEAKED = ['leak.static' => ['bowl', 'inlet', 'overflow', 'line', 'cap'], 'cap.seal' => ['leaks']];

    /**
     * @param list<Act> $acts
     *
     * @return list<self>
     */
    public static function after(CaseFile $case, array $acts): array
    {
        $isOpened = [] !== array_filter($acts, static fn (Act $act): bool => 'jet.after' === $act->step);

        return array_values(array_filter(self::cases(), static fn (self $watch): bool => match ($watch) {
            self::ShutOff => $case->everSaid(self::GAS),
            self::Upright => $case->everSaid(self::TIPPED),
            self::FreshFuel => $case->everSaid(self::OLD_FUEL),
            self::Drips => $case->everSaid(self::LEAKED),
            self::LongerChoke => $case->says(['run.steady' => ['surges_cold_then_settles']]),
            self::JetOpened => $isOpened,
            self::OilLevel => $case->state->was('crankcase.filled') || $case->state->was('crankcase.topped_up'),
        }));
    }
}
