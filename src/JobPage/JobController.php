<?php

declare(strict_types=1);

namespace AwakeShed\App\JobPage;

use AwakeShed\App\Account\Member;
use AwakeShed\App\Carburetor\WantedPartRepository;
use AwakeShed\App\Evidence\Record;
use AwakeShed\App\Evidence\Recorder;
use AwakeShed\App\Http\Address;
use AwakeShed\App\Http\ButtonForm;
use AwakeShed\App\Job\Job;
use AwakeShed\App\Job\JobVoter;
use AwakeShed\App\Photo\PhotoRepository;
use AwakeShed\App\Waste\WasteRepository;
use AwakeShed\Core\Stage\HandBackCheck;
use Psr\Clock\ClockInterface;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** The job page: the line, what the shed makes of the evidence, and the way to everything else. */
#[Route('/jobs/{job}', requirements: ['job' => Address::NUMBER])]
final class JobController extends AbstractController
{
    public function __construct(private readonly Recorder $recorder, private readonly JobPages $pages)
    {
    }

    #[Route('', name: 'job', methods: ['GET'])]
    public function job(Job $job, PhotoRepository $photos, WasteRepository $waste, WantedPartRepository $wanted): Response
    {
        return $this->render('job/job.html.twig', [
            'page' => $this->pages->of($this->recorder->open($job)),
            'photos' => $photos->ofJob($job),
            'waste' => $waste->ofJob($job),
            'wanted' => $wanted->waitedFor([$job->getId()])[$job->getId()] ?? 0,
        ]);
    }

    #[Route('/line.svg', name: 'job_line', methods: ['GET'])]
    public function line(Job $job): Response
    {
        $response = $this->render('drawing/line.svg.twig', [
            'drawing' => $this->pages->of($this->recorder->open($job))->line,
            'standalone' => true,
        ]);
        $response->headers->set('Content-Type', 'image/svg+xml');
        $response->headers->set('Content-Disposition', \sprintf('attachment; filename="job-%d-line.svg"', $job->getId()));

        return $response;
    }

    #[Route('/history', name: 'job_history', methods: ['GET'])]
    public function history(Job $job): Response
    {
        return $this->render('job/history.html.twig', ['job' => $job, 'record' => $this->recorder->open($job)]);
    }

    #[Route('/hand-back', name: 'job_hand_back', methods: ['POST'])]
    #[IsGranted(JobVoter::HAND_BACK, 'job')]
    public function handBack(Job $job, Request $request, ButtonForm $button, ClockInterface $clock, #[CurrentUser] Member $member): Response
    {
        $key = $button->check($request);
        $this->recorder->rewrite($job, $member, $key, static function (Record $record) use ($job, $clock): void {
            $hindrance = $job->isHandedBack() ? null : HandBackCheck::hindrance($record->case(), $record->acts());
            if (null !== $hindrance) {
                throw new HeldBack($hindrance);
            }
            $job->isHandedBack() ? $job->takeBack() : $job->handBack($clock->now());
        }, evenIfHandedBack: true);
        $this->addFlash('said', $job->isHandedBack() ? 'Handed back.' : 'Back in the shed.');

        return $this->redirectToRoute('job', ['job' => $job->getId()], Response::HTTP_SEE_OTHER);
    }
}
