<?php

declare(strict_types=1);

namespace AwakeShed\App\Plan;

use AwakeShed\App\Account\Member;
use AwakeShed\App\Account\MemberRepository;
use AwakeShed\App\Belonging\CurrentShop;
use AwakeShed\Core\Schedule\Openings;
use AwakeShed\Core\Schedule\SharedResource;
use Doctrine\ORM\EntityManagerInterface;

/** Who and what there is to work with, day by day from a moment on. */
final readonly class Workplace
{
    public const LIFT = 'lift';
    public const BATH = 'bath';
    public const PAD = 'pad';
    private const PERSON = 'p';

    public function __construct(private EntityManagerInterface $entities, private MemberRepository $members, private AbsenceRepository $absences, private CurrentShop $shop)
    {
    }

    public static function personId(Member $member): string
    {
        return self::resourceOf($member->getId());
    }

    /** @param int $member number of a person */
    public static function resourceOf(int $member): string
    {
        return self::PERSON.$member;
    }

    /** @return int|null the number of the person a resource is; null where it is none */
    public static function memberOf(string $resource): ?int
    {
        return 1 === preg_match('/^'.self::PERSON.'(\d+)$/', $resource, $found) ? (int) $found[1] : null;
    }

    /** @return list<Member> who works here */
    public function people(): array
    {
        return array_values(array_filter($this->members->everybody(), static fn (Member $member): bool => $member->isActive()));
    }

    public function equipment(): Equipment
    {
        return $this->entities->find(Equipment::class, $this->shop->id()) ?? new Equipment();
    }

    /** @return array<int, array<int, Hours>> by person and day of the week, those that somebody has set */
    public function hours(): array
    {
        $hours = [];
        foreach ($this->entities->getRepository(Hours::class)->findAll() as $one) {
            $hours[$one->getMember()->getId()][$one->getWeekday()] = $one;
        }

        return $hours;
    }

    /**
     * @param \DateTimeImmutable $from in the shop's time; minute nought
     *
     * @return list<SharedResource>
     */
    public function resources(\DateTimeImmutable $from, int $days): array
    {
        $equipment = $this->equipment();
        ['lifts' => $lifts, 'bath_places' => $places, 'bath_minutes' => $minutes] = $equipment->all();
        $hours = $this->hours();
        $absences = $this->absences->since($from);
        $resources = [
            new SharedResource(self::LIFT, false, $lifts, Openings::always()),
            new SharedResource(self::BATH, false, $places, Openings::always(), $minutes),
            new SharedResource(self::PAD, false, 1, $this->openings($from, $days, static fn (\DateTimeImmutable $day): array => array_filter([$equipment->padHours($day)]), [])),
        ];
        foreach ($this->people() as $member) {
            $own = $hours[$member->getId()] ?? [];
            $stretches = static function (\DateTimeImmutable $day) use ($own): array {
                $weekday = (int) $day->format('N');
                [$since, $until] = isset($own[$weekday]) ? $own[$weekday]->stretch() : Hours::usual($weekday);

                return Openings::of([[$since, $until]])->without([Hours::NOON])->stretches ?? [];
            };
            $resources[] = new SharedResource(self::personId($member), true, 1, $this->openings($from, $days, $stretches, array_values(array_filter($absences, static fn (Absence $absence): bool => $absence->concerns($member)))));
        }

        return $resources;
    }

    /**
     * @param \Closure(\DateTimeImmutable): list<array{int, int}> $stretches of a day, in minutes since midnight
     * @param list<Absence>                                       $absences
     */
    private function openings(\DateTimeImmutable $from, int $days, \Closure $stretches, array $absences): Openings
    {
        $open = [];
        $midnight = $from->setTime(0, 0);
        for ($ahead = 0; $ahead < $days; ++$ahead) {
            $day = $midnight->modify("+$ahead days");
            $away = array_values(array_filter(array_map(static fn (Absence $absence): ?array => $absence->away($day), $absences)));
            foreach (Openings::of($stretches($day))->without($away)->stretches ?? [] as [$since, $until]) {
                // By the clock: a day on which it is put forward or back has another length.
                $open[] = [max(0, self::minutesBetween($from, $day->setTime(0, $since))), self::minutesBetween($from, $day->setTime(0, $until))];
            }
        }

        return Openings::of($open);
    }

    /** @return int whole minutes from one moment to another */
    public static function minutesBetween(\DateTimeImmutable $from, \DateTimeImmutable $to): int
    {
        return intdiv($to->getTimestamp() - $from->getTimestamp(), 60);
    }
}
