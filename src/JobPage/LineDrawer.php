<?php

declare(strict_types=1);

namespace AwakeShed\App\JobPage;

use AwakeShed\App\Drawing\LineDrawing;
use AwakeShed\App\Job\Job;
use AwakeShed\Core\Diagnosis\Suspect;
use AwakeShed\Core\Evidence\CaseFile;
use AwakeShed\Core\Line\ActRooms;
use AwakeShed\Core\Line\Element;
use AwakeShed\Core\Line\Line;
use Symfony\Component\Routing\Generator\UrlGeneratorInterface;

/** Draws the line of a job, each element leading to its room. */
final readonly class LineDrawer
{
    public function __construct(private Line $line, private ActRooms $rooms, private UrlGeneratorInterface $addresses)
    {
    }

    /** @param list<Suspect> $suspects most likely first */
    public function draw(Job $job, CaseFile $case, array $suspects): LineDrawing
    {
        return LineDrawing::laidOut(
            $this->line->states($case, $suspects),
            fn (Element $element): string => $this->addresses->generate('room', ['job' => $job->getId(), 'room' => $element->value]),
            fn (Element $element): array => $this->rooms->things($element->value, $case),
        );
    }
}
