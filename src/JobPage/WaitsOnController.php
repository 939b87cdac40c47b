<?php

declare(strict_types=1);

namespace AwakeShed\App\JobPage;

use AwakeShed\App\Account\Member;
use AwakeShed\App\Evidence\Recorder;
use AwakeShed\App\Http\Address;
use AwakeShed\App\Http\ButtonForm;
use AwakeShed\App\Job\Job;
use AwakeShed\App\Job\JobVoter;
use AwakeShed\Core\Progress\WaitsOn;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** Says that a job waits for what nobody in the shed can bring about, or no longer does. */
final class WaitsOnController extends AbstractController
{
    #[Route('/jobs/{job}/waits-on', name: 'job_waits_on', requirements: ['job' => Address::NUMBER], methods: ['POST'])]
    #[IsGranted(JobVoter::RECORD, 'job')]
    public function say(Job $job, Request $request, ButtonForm $button, Recorder $recorder, #[CurrentUser] Member $member): Response
    {
        $key = $button->check($request);
        $for = $button->text($request, 'for');
        $waitsOn = '' === $for ? null : WaitsOn::tryFrom($for) ?? throw $this->createNotFoundException('Nothing of that kind is waited for.');
        $recorder->rewrite($job, $member, $key, static fn () => $job->waitOn($waitsOn));
        $this->addFlash('saved', 'Saved.');

        return $this->redirectToRoute('job', ['job' => $job->getId()], Response::HTTP_SEE_OTHER);
    }
}
