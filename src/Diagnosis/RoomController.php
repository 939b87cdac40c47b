<?php

declare(strict_types=1);

namespace AwakeShed\App\Diagnosis;

use AwakeShed\App\Evidence\Recorder;
use AwakeShed\App\Http\Address;
use AwakeShed\App\Job\Job;
use AwakeShed\App\Oil\Shelf;
use AwakeShed\App\TestCard\TestCards;
use AwakeShed\Core\Diagnosis\Assessing;
use AwakeShed\Core\Diagnosis\Suspect;
use AwakeShed\Core\Evidence\ActDefinition;
use AwakeShed\Core\Line\ActRooms;
use AwakeShed\Core\Line\Element;
use AwakeShed\Core\Line\ElementState;
use AwakeShed\Core\Line\Line;
use AwakeShed\Core\Stage\ActEffects;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/** One element of the line, or the machine around it: every test made there, a tap each. */
final class RoomController extends AbstractController
{
    /** Where nothing can be wrong with the room itself, so many of all faults are shown. */
    private const LIKELIEST = 6;

    #[Route('/jobs/{job}/line/{room}', name: 'room', requirements: ['job' => Address::NUMBER, 'room' => '[a-z]+'], methods: ['GET'])]
    public function room(Job $job, string $room, Line $line, Recorder $recorder, Assessing $assessor, TestCards $bearings, ActRooms $acts, ActEffects $effects, Shelf $shelf): Response
    {
        $tests = $line->rooms[$room] ?? throw $this->createNotFoundException('There is no such room on the line.');
        $record = $recorder->open($job);
        $case = $record->case();
        $assessment = $assessor->assess($case);
        $element = Element::tryFrom($room);
        $here = null === $element ? [] : $line->faultsOf($element);

        $doable = $acts->in($room, $case->machine);
        $takesOil = array_values(array_filter(array_map(static fn (ActDefinition $act): string => $act->id, $doable), $effects->takesOil(...)));
        $oils = [] === $takesOil ? [] : $shelf->stocks();

        return $this->render('diagnosis/room.html.twig', [
            'job' => $job,
            'record' => $record,
            'case' => $case,
            'room' => $room,
            'state' => array_values(array_filter($line->states($case, $assessment->faults), static fn (ElementState $state): bool => $state->element === $element))[0] ?? null,
            'things' => $acts->things($room, $case),
            'acts' => $doable,
            'takes_oil' => [] === $oils ? [] : $takesOil,
            'oils' => $oils,
            'bearings' => $bearings->lay($record, $tests),
            'suspects' => array_values(array_filter($assessment->faults, static fn (Suspect $suspect): bool => \in_array($suspect->fault, $here, true))),
            'likeliest' => \array_slice($assessment->faults, 0, self::LIKELIEST),
        ]);
    }
}
