<?php

declare(strict_types=1);

namespace AwakeShed\App\JobPage;

use AwakeShed\App\Evidence\Recorder;
use AwakeShed\App\Job\Job;
use AwakeShed\Core\Diagnosis\Assessing;
use AwakeShed\Core\Line\Element;
use AwakeShed\Core\Line\ElementTone;
use AwakeShed\Core\Line\Line;
use AwakeShed\Core\Line\Stations;
use Symfony\Component\DependencyInjection\Attribute\AutowireServiceClosure;
use Symfony\Component\Routing\Generator\UrlGeneratorInterface;
use Twig\Attribute\AsTwigFunction;

/** The line as the way through a job: its stations, each with what is known of it and where its work is. */
final readonly class Rail
{
    /**
     * @param \Closure(): Recorder  $recorder made only for a job whose line was never written down: every page of a job has a rail
     * @param \Closure(): Assessing $assessor
     * @param \Closure(): Stations  $stations
     */
    public function __construct(
        private UrlGeneratorInterface $addresses,
        #[AutowireServiceClosure(Recorder::class)]
        private \Closure $recorder,
        #[AutowireServiceClosure(Assessing::class)]
        private \Closure $assessor,
        #[AutowireServiceClosure(Stations::class)]
        private \Closure $stations,
    ) {
    }

    /** @return list<RailStation> in the order of the line, then what is around it */
    #[AsTwigFunction('rail_of')]
    public function of(Job $job): array
    {
        $line = $job->getLine();
        if ([] === $line) {
            $case = ($this->recorder)()->open($job)->case();
            $line = ($this->stations)()->of($case, ($this->assessor)()->assess($case)->faults);
        }

        // Twenty addresses differ in their end only, which is the room.
        $first = Line::places()[0];
        $rooms = substr($this->addresses->generate('room', ['job' => $job->getId(), 'room' => $first]), 0, -\strlen($first));

        return array_map(static function (string $room) use ($rooms, $line): RailStation {
            $tone = null === Element::tryFrom($room) ? null : ElementTone::from($line[$room]['tone'] ?? ElementTone::NotLookedAt->value);

            return new RailStation($room, $tone, $line[$room]['made'] ?? '', $rooms.$room);
        }, Line::places());
    }
}
