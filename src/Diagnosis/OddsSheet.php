<?php

declare(strict_types=1);

namespace AwakeShed\App\Diagnosis;

use AwakeShed\App\Words\Words;
use AwakeShed\Core\Diagnosis\FaultModel;
use AwakeShed\Core\Diagnosis\Odds;
use Symfony\Contracts\Translation\TranslatorInterface;

/** The odds laid out for reading and changing: rows of numbers that belong together, in per cent. */
final readonly class OddsSheet
{
    public function __construct(private Words $words, private TranslatorInterface $translator)
    {
    }

    /**
     * @param string|null $more a test that the fault does not show in yet, to be given shares
     *
     * @return list<array{title: string, paths: array<string, string>}> path => what the number is
     */
    public function ofFault(Odds $odds, string $fault, ?string $more): array
    {
        $known = $odds->numbers['faults'][$fault];
        $rows = [['title' => $this->translator->trans('How often it is met'), 'paths' => ["faults/$fault/prior" => $this->translator->trans('on a machine that stood half a year')]]];
        $brings = [];
        foreach (array_keys($known['brings'] ?? []) as $brought) {
            $brings["faults/$fault/brings/$brought"] = $this->words->fault($brought);
        }
        if ([] !== $brings) {
            $rows[] = ['title' => $this->translator->trans('Brings with it'), 'paths' => $brings];
        }
        $tests = array_keys($known['shows'] ?? []);
        if (\in_array($more, $this->testsLeft($odds, $fault), true)) {
            $tests[] = $more;
        }
        foreach ($tests as $test) {
            $paths = [];
            // The least alarming outcome is what is left over.
            foreach (\array_slice(array_keys($odds->numbers['sound'][$test]), 1) as $outcome) {
                $paths["faults/$fault/shows/$test/$outcome"] = $this->words->outcome($test, $outcome);
            }
            $rows[] = ['title' => $this->words->test($test), 'paths' => $paths];
        }

        return $rows;
    }

    /** @return list<string> tests in which a fault may yet be said to show; a cause that others share shows in none */
    public function testsLeft(Odds $odds, string $fault): array
    {
        return FaultModel::isHidden($fault) ? [] : array_values(array_diff(array_keys($odds->numbers['sound']), array_keys($odds->numbers['faults'][$fault]['shows'] ?? [])));
    }

    /** @return list<array{title: string, paths: array<string, string>}> */
    public function ofTest(Odds $odds, string $test): array
    {
        $paths = [];
        foreach (array_keys($odds->numbers['sound'][$test]) as $outcome) {
            $paths["sound/$test/$outcome"] = $this->words->outcome($test, $outcome);
        }

        return [['title' => $this->translator->trans('What a machine without fault shows'), 'paths' => $paths]];
    }

    /** @return list<array{title: string, paths: array<string, string>}> */
    public function ofClaims(Odds $odds): array
    {
        $rows = [];
        foreach ($odds->numbers['claims'] as $claim => $rules) {
            $paths = [];
            foreach (array_keys($rules) as $outcome) {
                $paths["claims/$claim/$outcome/base"] = $this->words->outcome($claim, $outcome);
            }
            $rows[] = ['title' => $this->words->test($claim), 'paths' => $paths];
        }

        return $rows;
    }

    /** Where a number stands, in words: "Pilot jet blocked, Idle: dies". */
    public function name(string $path): string
    {
        $parts = explode('/', $path);

        return match (true) {
            'sound' === $parts[0] => $this->translator->trans('Without fault').', '.$this->words->test($parts[1]).': '.$this->words->outcome($parts[1], $parts[2]),
            'claims' === $parts[0] => $this->translator->trans('Said and true').', '.$this->words->test($parts[1]).': '.$this->words->outcome($parts[1], $parts[2]),
            'shows' === $parts[2] => $this->words->fault($parts[1]).', '.$this->words->test($parts[3]).': '.$this->words->outcome($parts[3], $parts[4]),
            'brings' === $parts[2] => $this->words->fault($parts[1]).', '.$this->translator->trans('Brings with it').': '.$this->words->fault($parts[3]),
            default => $this->words->fault($parts[1]).', '.$this->translator->trans('How often it is met'),
        };
    }
}
