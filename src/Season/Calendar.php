<?php

declare(strict_types=1);

namespace AwakeShed\App\Season;

use AwakeShed\App\Evidence\Record;
use AwakeShed\App\Words\Catalogue;
use Psr\Clock\ClockInterface;
use Sabre\VObject\Component\VCalendar;
use Sabre\VObject\Component\VEvent;

/** The days of machines as iCalendar (RFC 5545): laid up, woken, serviced. */
final readonly class Calendar
{
    public function __construct(private LayUps $layUps, private Catalogue $catalogue, private ClockInterface $clock)
    {
    }

    /** @param iterable<Record> $records each of the last stay of a machine */
    public function of(iterable $records, string $name): string
    {
        $calendar = new VCalendar(['PRODID' => '-//Awake Shed//Season//EN', 'X-WR-CALNAME' => $name, 'METHOD' => 'PUBLISH']);
        foreach ($records as $record) {
            $machine = $record->job->getMachine();
            $list = $this->layUps->service($record);
            $needs = $this->layUps->needs($record->job, $list);
            $this->add($calendar, 'lay-up', $machine->getId() ?? 0, $this->layUps->layUpDay($record->job), $this->say('event_lay_up', ['%machine%' => $machine->getLabel()]), implode("\n", $this->layUps->lines($record)));
            $this->add($calendar, 'wake-up', $machine->getId() ?? 0, $this->layUps->wakeDay($record->job), $this->say('event_wake', ['%machine%' => $machine->getLabel()]), [] === $needs ? '' : $this->say('event_needs', ['%what%' => implode(', ', $needs)]));
            $service = $list->firstDay();
            if (null !== $service) {
                $this->add($calendar, 'service', $machine->getId() ?? 0, $service, $this->say('event_service', ['%machine%' => $machine->getLabel()]), implode(', ', $needs));
            }
        }

        return $calendar->serialize();
    }

    private function add(VCalendar $calendar, string $what, int $machine, \DateTimeImmutable $day, string $summary, string $description): void
    {
        $event = new VEvent($calendar, 'VEVENT', [
            // The same day of the same machine is the same event whenever it is asked for.
            'UID' => \sprintf('%s-%d-%s@awake-shed', $what, $machine, $day->format('Y')),
            'DTSTAMP' => $this->clock->now()->setTimezone(new \DateTimeZone('UTC')),
            'SUMMARY' => $summary,
            'DESCRIPTION' => $description,
            'TRANSP' => 'TRANSPARENT',
        ]);
        $event->add('DTSTART', $day->format('Ymd'), ['VALUE' => 'DATE']);
        $event->add('DTEND', $day->modify('+1 day')->format('Ymd'), ['VALUE' => 'DATE']);
        $calendar->add($event);
    }

    /** @param array<string, int|string> $with */
    private function say(string $key, array $with): string
    {
        return $this->catalogue->say($key, $with, 'season');
    }
}
