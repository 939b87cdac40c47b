<?php

declare(strict_types=1);

namespace AwakeShed\App\Diagnosis;

use AwakeShed\App\Calc\Calculations;
use AwakeShed\App\Evidence\Recorder;
use AwakeShed\App\Job\Job;
use AwakeShed\App\Job\JobResolver;
use AwakeShed\Core\Diagnosis\Assessor;
use AwakeShed\Core\Diagnosis\Suspect;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/** What a job's evidence comes to: the likely faults and why, the next tests, the claims that no longer hold. */
final class LikelyController extends AbstractController
{
    /** Below this a fault is not worth a line. */
    private const SHOWN_FROM = 0.08;
    private const MOST_SHOWN = 12;
    private const NEXT_SHOWN = 8;

    #[Route('/jobs/{job}/likely', name: 'likely', requirements: ['job' => JobResolver::NUMBER], methods: ['GET'])]
    public function likely(Job $job, Recorder $recorder, Assessor $assessor, Calculations $calculations, Cautions $cautions): Response
    {
        $record = $recorder->open($job);
        $assessment = $assessor->assess($record->case());
        $worked = [];
        foreach ($calculations->all() as $calculation) {
            if (null !== $calculation->act()) {
                $worked[$calculation->act()] = $calculation;
            }
        }

        return $this->render('diagnosis/likely.html.twig', [
            'job' => $job,
            'record' => $record,
            'suspects' => \array_slice(array_filter($assessment->faults, static fn (Suspect $suspect): bool => $suspect->probability >= self::SHOWN_FROM), 0, self::MOST_SHOWN),
            'next' => \array_slice($assessment->next, 0, self::NEXT_SHOWN),
            'contradictions' => $assessment->contradictions,
            'closed' => \count($assessment->blocked),
            'worked' => $worked,
            'cautions' => $cautions,
        ]);
    }
}
