<?php

declare(strict_types=1);

namespace AwakeShed\App\Gate;

use AwakeShed\App\Evidence\Recorder;
use AwakeShed\App\Http\Address;
use AwakeShed\App\Job\Job;
use AwakeShed\App\Photo\PhotoLine;
use AwakeShed\App\Photo\PhotoRepository;
use AwakeShed\Core\Evidence\Vocabulary;
use AwakeShed\Core\Gate\Gatekeeper;
use AwakeShed\Core\Gate\GateWalk;
use AwakeShed\Core\Oil\OilVerdict;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/** The walk round the machine before anything turns; the oil comes first. */
final class GatesController extends AbstractController
{
    #[Route('/jobs/{job}/gates', name: 'gates', requirements: ['job' => Address::NUMBER], methods: ['GET'])]
    public function gates(Job $job, Request $request, Recorder $recorder, GateWalk $walk, Vocabulary $vocabulary, Gatekeeper $gatekeeper, PhotoRepository $photos): Response
    {
        $record = $recorder->open($job);
        $case = $record->case();

        return $this->render('gate/gates.html.twig', ['page' => new GatePage($job, $record, $case, $walk->walked($case), OilVerdict::onCase($case, $vocabulary, $gatekeeper), self::byGate($photos->linesOf($job)), $request->query->getString('gate'))]);
    }

    /**
     * @param list<PhotoLine> $photos
     *
     * @return array<string, list<PhotoLine>>
     */
    private static function byGate(array $photos): array
    {
        $byGate = [];
        foreach ($photos as $photo) {
            $byGate[$photo->gate ?? ''][] = $photo;
        }

        return $byGate;
    }
}
