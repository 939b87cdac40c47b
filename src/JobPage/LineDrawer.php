<?php

declare(strict_types=1);

namespace AwakeShed\App\JobPage;

use AwakeShed\App\Drawing\LineDrawing;
use AwakeShed\App\Job\Job;
use AwakeShed\Core\Evidence\CaseFile;
use AwakeShed\Core\Line\ActRooms;
use AwakeShed\Core\Line\Element;

/** Draws the line of a job, each element leading to its room; what is known of each is what the rail says. */
final readonly class LineDrawer
{
    public function __construct(private Rail $rail, private ActRooms $rooms)
    {
    }

    public function draw(Job $job, CaseFile $case): LineDrawing
    {
        $tones = $addresses = [];
        foreach ($this->rail->of($job) as $station) {
            if (null !== $station->tone) {
                $tones[$station->room] = $station->tone;
                $addresses[$station->room] = $station->address;
            }
        }

        return LineDrawing::laidOut($tones, $addresses, fn (Element $element): array => $this->rooms->things($element->value, $case));
    }
}
