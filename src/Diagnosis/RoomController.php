<?php

declare(strict_types=1);

namespace AwakeShed\App\Diagnosis;

use AwakeShed\App\Evidence\Recorder;
use AwakeShed\App\Http\Address;
use AwakeShed\App\Job\Job;
use AwakeShed\App\JobPage\JobPages;
use AwakeShed\App\Oil\Shelf;
use AwakeShed\App\TestCard\TestCards;
use AwakeShed\Core\Diagnosis\Suspect;
use AwakeShed\Core\Evidence\ActDefinition;
use AwakeShed\Core\Line\ActRooms;
use AwakeShed\Core\Line\Element;
use AwakeShed\Core\Line\Line;
use AwakeShed\Core\Stage\ActEffects;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/** One element of the line, or the machine around it: every test made there, a tap each, with the line above to see it move. */
final class RoomController extends AbstractController
{
    #[Route('/jobs/{job}/line/{room}', name: 'room', requirements: ['job' => Address::NUMBER, 'room' => '[a-z]+'], methods: ['GET'])]
    public function room(Job $job, string $room, Line $line, Recorder $recorder, JobPages $pages, TestCards $bearings, ActRooms $acts, ActEffects $effects, Shelf $shelf): Response
    {
        $tests = $line->rooms[$room] ?? throw $this->createNotFoundException('There is no such room on the line.');
        $page = $pages->forRecord($recorder->open($job));
        $element = Element::tryFrom($room);
        $here = null === $element ? [] : $line->faultsOf($element);

        $doable = $acts->in($room, $page->case->machine);
        $takesOil = array_values(array_filter(array_map(static fn (ActDefinition $act): string => $act->id, $doable), $effects->takesOil(...)));
        $oils = [] === $takesOil ? [] : $shelf->stocks();

        return $this->render('diagnosis/room.html.twig', [
            'page' => $page,
            'room' => $room,
            'acts' => $doable,
            'takes_oil' => [] === $oils ? [] : $takesOil,
            'oils' => $oils,
            'bearings' => $bearings->lay($page->record, $tests),
            'suspects' => array_values(array_filter($page->assessment->faults, static fn (Suspect $suspect): bool => \in_array($suspect->fault, $here, true))),
        ]);
    }
}
