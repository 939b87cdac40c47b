<?php

declare(strict_types=1);

namespace AwakeShed\App\Sheet;

use AwakeShed\App\Evidence\Record;
use AwakeShed\App\Life\LifeNote;
use AwakeShed\App\Life\LifeTopic;
use AwakeShed\App\Life\MachineLives;
use AwakeShed\App\Words\Catalogue;
use AwakeShed\Core\Evidence\CaseFile;
use AwakeShed\Core\Evidence\ChokeKind;
use AwakeShed\Core\Evidence\Finding;
use AwakeShed\Core\Evidence\MachineKind;
use AwakeShed\Core\Proving\Attempt;

/** How this very machine is started, by the last start of it that went well. */
final readonly class StartingCards
{
    public function __construct(private Catalogue $catalogue, private MachineLives $lives)
    {
    }

    /** @return list<SheetSection> */
    public function of(Record $record): array
    {
        $case = $record->case();
        $start = self::lastGood($case);
        $kind = $case->machine->kind;
        $lines = array_values(array_filter([
            $this->say('card_kind_'.$kind->value),
            MachineKind::TwoStrokeHandTool === $kind ? null : $this->say('card_tap'),
            $this->say('card_vent'),
            $this->say('card_switch'),
            $this->primes($start),
            $this->choke($case, $start),
            $this->pulls($start),
            $this->say('card_choke_off'),
            MachineKind::TwoStrokeHandTool === $kind ? $this->say('card_stop_tool') : $this->say('card_stop'),
        ], is_string(...)));
        $own = array_map(static fn (LifeNote $note): string => $note->getText(), $this->lives->known($record->job->getMachine(), LifeTopic::Starting));
        $not = [$this->say('card_never_indoors'), ...\in_array($kind, [MachineKind::Generator, MachineKind::InverterGenerator], true) ? [$this->say('card_back_feed')] : [], ...MachineKind::PressureWasher === $kind ? [$this->say('card_jet')] : [], $this->say('card_gas')];

        return [...[] === $own ? [] : [new SheetSection('own', $this->say('card_own'), $own)], new SheetSection('steps', $this->say('card_steps'), [] === $lines ? [''] : $lines), new SheetSection('never', $this->say('card_never'), $not)];
    }

    private static function lastGood(CaseFile $case): ?Attempt
    {
        $last = null;
        foreach ($case->events as $event) {
            $attempt = $event instanceof Finding ? Attempt::fromFinding($event) : null;
            $last = null !== $attempt && $attempt->caught() ? $attempt : $last;
        }

        return $last;
    }

    private function primes(?Attempt $start): ?string
    {
        $primes = $start->figures['primes'] ?? null;

        return null === $primes || $primes <= 0.0 ? null : $this->say('card_primes', ['%count%' => (int) $primes]);
    }

    private function choke(CaseFile $case, ?Attempt $start): ?string
    {
        return match (true) {
            ChokeKind::None === $case->machine->choke => null,
            ChokeKind::Auto === $case->machine->choke => $this->say('card_choke_auto'),
            null !== $start?->choke => $this->say('card_choke', ['%how%' => $this->catalogue->say('choke.'.$start->choke->value, domain: 'steps')]),
            default => $this->say('card_choke_full'),
        };
    }

    private function pulls(?Attempt $start): string
    {
        $pulls = $start->figures['pulls'] ?? null;

        return null === $pulls ? $this->say('card_pull') : $this->say('card_pulls', ['%count%' => (int) $pulls]);
    }

    /** @param array<string, int|string> $with */
    private function say(string $key, array $with = []): string
    {
        return $this->catalogue->say($key, $with, 'sheet');
    }
}
