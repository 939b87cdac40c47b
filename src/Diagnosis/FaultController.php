<?php

declare(strict_types=1);

namespace AwakeShed\App\Diagnosis;

use AwakeShed\App\Evidence\Recorder;
use AwakeShed\App\Http\Address;
use AwakeShed\App\Job\Job;
use AwakeShed\Core\Diagnosis\Assessing;
use AwakeShed\Core\Diagnosis\Cures;
use AwakeShed\Core\Diagnosis\FaultModel;
use AwakeShed\Core\Diagnosis\Suspect;
use AwakeShed\Core\Evidence\Vocabulary;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/** What is known of each fault: what it is, how it looks, what proves it, how it is cured and how long that takes. */
final class FaultController extends AbstractController
{
    private const FAULT = '[a-z_]+\.[a-z_]+';
    private const PROOFS = 4;

    public function __construct(private readonly Vocabulary $vocabulary, private readonly FaultModel $model, private readonly Cures $cures)
    {
    }

    #[Route('/faults', name: 'faults', methods: ['GET'])]
    public function index(): Response
    {
        $groups = [];
        foreach (array_keys($this->vocabulary->faults) as $fault) {
            $groups[strstr($fault, '.', true)][] = $fault;
        }

        return $this->render('diagnosis/faults.html.twig', ['groups' => $groups]);
    }

    #[Route('/faults/{fault}', name: 'fault', requirements: ['fault' => self::FAULT], methods: ['GET'])]
    public function show(string $fault): Response
    {
        return $this->render('diagnosis/fault.html.twig', $this->known($fault) + ['job' => null, 'suspect' => null]);
    }

    #[Route('/jobs/{job}/faults/{fault}', name: 'job_fault', requirements: ['job' => Address::NUMBER, 'fault' => self::FAULT], methods: ['GET'])]
    public function ofJob(Job $job, string $fault, Recorder $recorder, Assessing $assessor): Response
    {
        $known = $this->known($fault);
        $record = $recorder->open($job);
        $case = $record->case();
        $suspects = array_column(array_map(static fn (Suspect $suspect): array => [$suspect->fault, $suspect], $assessor->assess($case)->faults), 1, 0);

        return $this->render('diagnosis/fault.html.twig', $known + ['job' => $job, 'record' => $record, 'suspect' => $suspects[$fault], 'cured' => $case->wasPutRight($fault)]);
    }

    /** @return array<string, mixed> */
    private function known(string $fault): array
    {
        if (!isset($this->vocabulary->faults[$fault])) {
            throw $this->createNotFoundException('There is no such fault.');
        }

        return [
            'fault' => $fault,
            'proofs' => $this->model->proofs($fault, self::PROOFS),
            'minutes' => $this->cures->minutes($fault),
            'minutes_source' => $this->cures->source,
        ];
    }
}
