<?php

declare(strict_types=1);

namespace AwakeShed\App\Work;

use AwakeShed\App\Account\Member;
use AwakeShed\App\Evidence\WayBack;
use AwakeShed\App\Http\Address;
use AwakeShed\App\Http\ButtonForm;
use AwakeShed\App\Job\Job;
use AwakeShed\App\Job\JobVoter;
use AwakeShed\App\Oil\Shelf;
use AwakeShed\App\Unit\ActFigures;
use AwakeShed\Core\Evidence\Done;
use AwakeShed\Core\Evidence\Vocabulary;
use AwakeShed\Core\Stage\ActEffects;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** One tap for what was done, wherever the work is: a room of the line, a gate, the jar, a closed test. */
final class DeedController extends AbstractController
{
    #[Route('/jobs/{job}/deeds', name: 'deed', requirements: ['job' => Address::NUMBER], methods: ['POST'])]
    #[IsGranted(JobVoter::RECORD, 'job')]
    public function record(Job $job, Request $request, ButtonForm $button, Vocabulary $vocabulary, ActRecorder $recorder, ActFigures $read, ActEffects $effects, Shelf $shelf, WayBack $wayBack, #[CurrentUser] Member $member): Response
    {
        $key = $button->check($request);
        $act = $vocabulary->act($button->text($request, 'act'));
        $measured = [];
        foreach ($act->measured as $figure) {
            $typed = $button->text($request, $figure);
            if ('' !== $typed) {
                $measured[$figure] = $read->read($figure, $typed, $effects->bounds($figure));
            }
        }
        $oil = $button->text($request, 'oil');
        $recorder->done($job, $member, $key, new Done($act, $measured), ctype_digit($oil) ? $shelf->find((int) $oil) : null);
        $this->addFlash('saved', 'Saved.');

        return $this->redirect($wayBack->to($job, $button->text($request, 'back'), $button->text($request, 'gate')), Response::HTTP_SEE_OTHER);
    }
}
