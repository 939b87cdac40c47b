<?php

declare(strict_types=1);

namespace AwakeShed\App\Evidence;

use AwakeShed\App\Account\Member;
use AwakeShed\App\Evidence\Content\Noted;
use AwakeShed\App\Http\Address;
use AwakeShed\App\Http\ButtonForm;
use AwakeShed\App\Job\Job;
use AwakeShed\App\Job\JobVoter;
use AwakeShed\Core\Evidence\Vocabulary;
use AwakeShed\Core\Stage\StagePlan;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** A line of one's own beside a finding, a step, or the job. */
final class NoteController extends AbstractController
{
    public function __construct(private readonly Vocabulary $vocabulary, private readonly StagePlan $plan)
    {
    }

    #[Route('/jobs/{job}/notes', name: 'note', requirements: ['job' => Address::NUMBER], methods: ['POST'])]
    #[IsGranted(JobVoter::RECORD, 'job')]
    public function note(Job $job, Request $request, ButtonForm $button, Recorder $recorder, WayBack $wayBack, #[CurrentUser] Member $member): Response
    {
        $key = $button->check($request);
        $about = $button->text($request, 'about');
        if (Noted::JOB !== $about && !isset($this->vocabulary->tests[$about])) {
            $this->plan->step($about);
        }
        $text = mb_substr($button->text($request, 'text'), 0, Noted::LONGEST);
        if ('' === $text) {
            $this->addFlash('refused', 'Nothing was written.');
        } else {
            $recorder->note($job, $member, $key, new Noted($about, $text));
            $this->addFlash('saved', 'Saved.');
        }

        return $this->redirect($wayBack->to($job, $button->text($request, 'back'), $button->text($request, 'gate')), Response::HTTP_SEE_OTHER);
    }
}
