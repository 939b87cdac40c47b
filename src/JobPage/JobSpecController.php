<?php

declare(strict_types=1);

namespace AwakeShed\App\JobPage;

use AwakeShed\App\Account\Member;
use AwakeShed\App\Evidence\Recorder;
use AwakeShed\App\Http\Address;
use AwakeShed\App\Http\ButtonForm;
use AwakeShed\App\Job\Job;
use AwakeShed\App\Job\JobVoter;
use AwakeShed\App\Spec\SpecBook;
use AwakeShed\App\Spec\SpecPageRepository;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** What a job looks up in the spec book. */
final class JobSpecController extends AbstractController
{
    public function __construct(private readonly SpecPageRepository $pages)
    {
    }

    #[Route('/jobs/{job}/spec', name: 'job_spec', requirements: ['job' => Address::NUMBER], methods: ['GET'])]
    public function ofJob(Job $job, SpecBook $book): Response
    {
        return $this->render('spec/job.html.twig', [
            'job' => $job,
            'looked' => $book->lookUp($job->getMachine()->facts(), $job->getMachine()->getSpec())->all(),
            'pages' => $this->pages->byName(),
        ]);
    }

    #[Route('/jobs/{job}/spec', name: 'job_spec_choose', requirements: ['job' => Address::NUMBER], methods: ['POST'])]
    #[IsGranted(JobVoter::RECORD, 'job')]
    public function choose(Job $job, Request $request, ButtonForm $button, Recorder $recorder, #[CurrentUser] Member $member): Response
    {
        $key = $button->check($request);
        $page = $this->pages->find((int) $button->text($request, 'page'));
        $recorder->rewrite($job, $member, $key, static function () use ($job, $page): void {
            $job->getMachine()->lookUpIn($page);
        });
        $this->addFlash('said', 'Saved.');

        return $this->redirectToRoute('job_spec', ['job' => $job->getId()], Response::HTTP_SEE_OTHER);
    }
}
