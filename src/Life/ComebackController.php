<?php

declare(strict_types=1);

namespace AwakeShed\App\Life;

use AwakeShed\App\Account\Member;
use AwakeShed\App\Evidence\Recorder;
use AwakeShed\App\Http\Address;
use AwakeShed\App\Http\ButtonForm;
use AwakeShed\App\Job\Job;
use AwakeShed\App\Job\JobVoter;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** Whether a machine that is here again soon is back for what was done before, and what was missed then. */
final class ComebackController extends AbstractController
{
    #[Route('/jobs/{job}/comeback', name: 'job_comeback', requirements: ['job' => Address::NUMBER], methods: ['POST'])]
    #[IsGranted(JobVoter::RECORD, 'job')]
    public function say(Job $job, Request $request, ButtonForm $button, Recorder $recorder, #[CurrentUser] Member $member): Response
    {
        $key = $button->check($request);
        if (null === $job->getSoonAfter()) {
            throw $this->createNotFoundException('It was not here shortly before.');
        }
        $is = 'yes' === $button->text($request, 'is');
        $missed = $button->text($request, 'missed');
        $recorder->rewrite($job, $member, $key, static fn () => $job->sayComeback($is, $missed));
        $this->addFlash('said', 'Saved.');

        return $this->redirectToRoute('job', ['job' => $job->getId()], Response::HTTP_SEE_OTHER);
    }
}
