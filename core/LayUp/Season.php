<?php

declare(strict_types=1);

namespace AwakeShed\Core\LayUp;

use AwakeShed\Core\Evidence\MachineKind;

/** When in the year a machine works, where winters are cold (common practice). */
enum Season: string
{
    case Summer = 'summer';
    case Winter = 'winter';

    /** Stood ready for whenever the power fails: looked at before each of the two stormy seasons. */
    case AnyTime = 'any_time';

    public static function of(MachineKind $kind): self
    {
        return match ($kind) {
            MachineKind::Mower, MachineKind::RideOnMower, MachineKind::PressureWasher, MachineKind::TwoStrokeHandTool => self::Summer,
            MachineKind::Snowblower => self::Winter,
            MachineKind::Generator, MachineKind::InverterGenerator => self::AnyTime,
        };
    }

    /** @return \DateTimeImmutable the next day on which it is laid up: after its season */
    public function layUpAfter(\DateTimeImmutable $today): \DateTimeImmutable
    {
        return self::next($today, match ($this) {
            self::Summer => ['10-25'],
            self::Winter => ['04-15'],
            self::AnyTime => ['05-01', '11-30'],
        });
    }

    /** @return \DateTimeImmutable the first day after a lay-up on which it is woken: some weeks before it is wanted */
    public function wakeAfter(\DateTimeImmutable $layUp): \DateTimeImmutable
    {
        return self::next($layUp, match ($this) {
            self::Summer => ['03-10'],
            self::Winter => ['10-05'],
            self::AnyTime => ['04-01', '10-01'],
        });
    }

    /** Whether it stands now anyway: its next waking comes before its next laying up. */
    public function isOff(\DateTimeImmutable $today): bool
    {
        return $this->wakeAfter($today) < $this->layUpAfter($today);
    }

    /**
     * @param non-empty-list<string> $days month and day
     */
    private static function next(\DateTimeImmutable $after, array $days): \DateTimeImmutable
    {
        $dates = [];
        foreach ([0, 1] as $years) {
            foreach ($days as $day) {
                $dates[] = new \DateTimeImmutable(((int) $after->format('Y') + $years).'-'.$day, $after->getTimezone());
            }
        }
        $later = array_filter($dates, static fn (\DateTimeImmutable $date): bool => $date > $after);
        sort($later);

        return $later[0] ?? throw new \LogicException('Next year has every day of this one.');
    }
}
