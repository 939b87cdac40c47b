<?php

declare(strict_types=1);

namespace AwakeShed\App\Diagnosis;

use Symfony\Contracts\Translation\TranslatorInterface;

/** What is warned of before a test is made. */
final readonly class Cautions
{
    /** By the beginning of the test's id. */
    private const BEFORE = [
        'jar.' => 'gasoline_vapour', 'flow.' => 'gasoline_vapour', 'bowl.' => 'gasoline_vapour', 'leak.' => 'gasoline_vapour',
        'pull.' => 'plug_hole_spray', 'spark.' => 'plug_hole_spray', 'compression.' => 'plug_hole_spray', 'prep.' => 'plug_hole_spray',
        'feel.' => 'pull_tray', 'look.blade' => 'plug_lead_off', 'crank.' => 'plug_lead_off', 'look.belt_area' => 'plug_lead_off',
        'look.oil_level' => 'oil_tray', 'recoil.' => 'recoil_spring', 'start.' => 'running', 'run.' => 'running',
    ];

    public function __construct(private TranslatorInterface $translator)
    {
    }

    /** @return list<string> in the reader's words; none where nothing is to be warned of */
    public function before(string $test): array
    {
        foreach (self::BEFORE as $beginning => $caution) {
            if (str_starts_with($test, $beginning)) {
                return [$this->translator->trans('caution.'.$caution, [], 'trade')];
            }
        }

        return [];
    }
}
