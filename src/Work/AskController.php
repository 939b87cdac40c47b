<?php

declare(strict_types=1);

namespace AwakeShed\App\Work;

use AwakeShed\App\Account\Member;
use AwakeShed\App\Evidence\Content\GonePast;
use AwakeShed\App\Evidence\Recorder;
use AwakeShed\App\Evidence\WayBack;
use AwakeShed\App\Http\Address;
use AwakeShed\App\Http\ButtonForm;
use AwakeShed\App\Job\Job;
use AwakeShed\App\Job\JobVoter;
use AwakeShed\Core\Progress\Ask;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** Going on past what the machine's state asks: a technician may, with a reason that stays. */
final class AskController extends AbstractController
{
    #[Route('/jobs/{job}/gone-past', name: 'ask_past', requirements: ['job' => Address::NUMBER], methods: ['POST'])]
    #[IsGranted(JobVoter::PUT_RIGHT, 'job')]
    public function goOn(Job $job, Request $request, ButtonForm $button, Recorder $recorder, WayBack $wayBack, #[CurrentUser] Member $member): Response
    {
        $key = $button->check($request);
        $ask = Ask::tryFrom($button->text($request, 'ask')) ?? throw $this->createNotFoundException('Nothing of that kind is asked.');
        $reason = mb_substr($button->text($request, 'reason'), 0, GonePast::LONGEST);
        if ('' === $reason) {
            $this->addFlash('said', 'Say why you go on: it stands in the history, and on the way home.');
        } else {
            $recorder->goOnPast($job, $member, $key, $ask, $reason);
            $this->addFlash('saved', 'Saved.');
        }

        return $this->redirect($wayBack->to($job, $button->text($request, 'back'), ''), Response::HTTP_SEE_OTHER);
    }
}
