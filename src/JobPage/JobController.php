<?php

declare(strict_types=1);

namespace AwakeShed\App\JobPage;

use AwakeShed\App\Carburetor\WantedPartRepository;
use AwakeShed\App\Evidence\Recorder;
use AwakeShed\App\Http\Address;
use AwakeShed\App\Job\Job;
use AwakeShed\App\Photo\PhotoRepository;
use AwakeShed\App\Waste\WasteRepository;
use AwakeShed\Core\Progress\LookBack;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\DependencyInjection\Attribute\AutowireServiceClosure;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/** The job page: the line, what the shed makes of the evidence, and the way to everything else. */
#[Route('/jobs/{job}', requirements: ['job' => Address::NUMBER])]
final class JobController extends AbstractController
{
    public function __construct(private readonly Recorder $recorder, private readonly JobPages $pages)
    {
    }

    /** @param \Closure(): LookBack $lookBack made only where the work has come so far */
    #[Route('', name: 'job', methods: ['GET'])]
    public function job(Job $job, PhotoRepository $photos, WasteRepository $waste, WantedPartRepository $wanted, #[AutowireServiceClosure(LookBack::class)] \Closure $lookBack): Response
    {
        $page = $this->pages->forRecord($this->recorder->open($job));

        return $this->render('job/job.html.twig', [
            'page' => $page,
            'left_behind' => LookBack::isTime($page->case) ? \count($lookBack()->left($page->case)) : 0,
            'photos' => $photos->linesOf($job),
            'waste' => $waste->ofJob($job),
            'wanted' => $wanted->waitedFor([$job->getId()])[$job->getId()] ?? 0,
        ]);
    }

    #[Route('/line.svg', name: 'job_line', methods: ['GET'])]
    public function line(Job $job, LineDrawer $lines): Response
    {
        $response = $this->render('drawing/line.svg.twig', [
            'drawing' => $lines->draw($job, $this->recorder->open($job)->case()),
            'standalone' => true,
        ]);
        $response->headers->set('Content-Type', 'image/svg+xml');
        $response->headers->set('Content-Disposition', \sprintf('attachment; filename="job-%d-line.svg"', $job->getId()));

        return $response;
    }

    /** A tag to hang on the machine: its number large enough to be read across the barn. */
    #[Route('/tag', name: 'job_tag', methods: ['GET'])]
    public function tag(Job $job): Response
    {
        return $this->render('job/tag.html.twig', ['job' => $job]);
    }

    #[Route('/history', name: 'job_history', methods: ['GET'])]
    public function history(Job $job): Response
    {
        return $this->render('job/history.html.twig', ['job' => $job, 'record' => $this->recorder->open($job)]);
    }
}
