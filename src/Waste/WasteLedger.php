<?php

declare(strict_types=1);

namespace AwakeShed\App\Waste;

use AwakeShed\App\Account\Member;
use AwakeShed\App\Evidence\NewEntry;
use AwakeShed\App\Job\Job;
use AwakeShed\Core\Fuel\WasteStream;
use AwakeShed\Core\Units\Volume;
use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;

/** The cans of the shed, what is in them, and the one way into them. */
final readonly class WasteLedger
{
    public function __construct(private WasteCanRepository $cans, private WasteRepository $waste, private EntityManagerInterface $entities, private ClockInterface $clock)
    {
    }

    /** @return list<CanFill> */
    public function fills(): array
    {
        $cans = $this->cans->byStream();
        $held = $this->waste->heldByCan($cans);

        return array_map(static fn (WasteCan $can): CanFill => new CanFill($can, Volume::millilitres($held[$can->getId()] ?? 0.0)), $cans);
    }

    /**
     * Writes a portion, of that step of the job if it came from one, into the first can of its stream that has room for it, else into the last; nothing is flushed.
     *
     * @throws \AwakeShed\Core\Units\ImpossibleAmount
     */
    public function pour(Job $job, WasteStream $stream, Volume $volume, Member $by, ?NewEntry $entry = null): void
    {
        $fills = array_values(array_filter($this->fills(), static fn (CanFill $fill): bool => $fill->can->getStream() === $stream));
        $chosen = [] === $fills ? null : $fills[\count($fills) - 1]->can;
        foreach ($fills as $fill) {
            if ($fill->hasRoomFor($volume)) {
                $chosen = $fill->can;
                break;
            }
        }
        $this->entities->persist(new WastePortion($job, $stream, $volume, $by, $this->clock->now(), $chosen, $entry));
    }
}
