<?php

declare(strict_types=1);

namespace AwakeShed\Core\LayUp;

use AwakeShed\Core\Evidence\Cycle;
use AwakeShed\Core\Evidence\MachineFacts;
use AwakeShed\Core\Evidence\MachineKind;

/** What is set otherwise for winter than for summer, and from when (common practice; the maker's manual first). */
final readonly class Setting
{
    /** @var list<MachineKind> that have a restrictor or plate to be turned for the cold, where any has */
    private const WITH_PLATE = [MachineKind::Snowblower, MachineKind::Generator, MachineKind::InverterGenerator];

    /**
     * @param string $what oil or plate
     * @param string $side winter or summer
     */
    private function __construct(public string $what, public string $side, public \DateTimeImmutable $from)
    {
    }

    /** @return list<self> the next turns of a machine, in the order of their days; none for what works in one season only */
    public static function nextOf(MachineFacts $machine, \DateTimeImmutable $today): array
    {
        if (Season::AnyTime !== Season::of($machine->kind) && MachineKind::Snowblower !== $machine->kind) {
            return [];
        }
        $whats = [
            ...Cycle::FourStroke === $machine->cycle && Season::AnyTime === Season::of($machine->kind) ? ['oil'] : [],
            ...\in_array($machine->kind, self::WITH_PLATE, true) ? ['plate'] : [],
        ];
        $settings = [];
        foreach (['winter' => '10-15', 'summer' => '04-15'] as $side => $day) {
            $from = new \DateTimeImmutable($today->format('Y').'-'.$day, $today->getTimezone());
            $from = $from > $today ? $from : $from->modify('+1 year');
            foreach ($whats as $what) {
                $settings[] = new self($what, $side, $from);
            }
        }
        usort($settings, static fn (self $one, self $other): int => $one->from <=> $other->from);

        return $settings;
    }
}
