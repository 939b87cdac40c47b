<?php

declare(strict_types=1);

namespace AwakeShed\App\Work;

use AwakeShed\App\Account\Member;
use AwakeShed\App\Evidence\Recorder;
use AwakeShed\App\Http\Address;
use AwakeShed\App\Http\ButtonForm;
use AwakeShed\App\Job\Job;
use AwakeShed\App\Job\JobVoter;
use AwakeShed\App\Unit\ActFigures;
use AwakeShed\Core\Evidence\Finding;
use AwakeShed\Core\Evidence\Vocabulary;
use AwakeShed\Core\Progress\WaitsOn;
use AwakeShed\Core\Proving\Attempt;
use AwakeShed\Core\Proving\ChokeStep;
use AwakeShed\Core\Proving\SurgeWatch;
use Psr\Clock\ClockInterface;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** A start as it was tried: how often it was pulled, when it caught, in what air. */
final class AttemptController extends AbstractController
{
    /** What is typed or counted; how long it stood the record knows. */
    public const FIELDS = ['pulls', 'primes', 'caught_s', 'choke_off_s', 'air_c'];

    #[Route('/jobs/{job}/attempts', name: 'attempt', requirements: ['job' => Address::NUMBER], methods: ['POST'])]
    #[IsGranted(JobVoter::RECORD, 'job')]
    public function attempt(Job $job, Request $request, ButtonForm $button, Recorder $recorder, ActFigures $read, Vocabulary $vocabulary, ClockInterface $clock, #[CurrentUser] Member $member): Response
    {
        $key = $button->check($request);
        $figures = [];
        foreach (self::FIELDS as $field) {
            $typed = $button->text($request, $field);
            if ('' !== $typed) {
                [$least, $most] = Attempt::BOUNDS[$field];
                $figures[$field] = $read->read($field, $typed, [$least, $most]);
            }
        }
        $stood = ProvingSheets::stoodHours($recorder->open($job), $clock->now());
        if (null !== $stood) {
            $figures['stood_h'] = $stood;
        }
        $finding = (new Attempt($figures, ChokeStep::tryFrom($button->text($request, 'choke')), $button->text($request, 'outcome')))->finding();
        $vocabulary->check($finding);
        $recorder->observe($job, $member, $key, [$finding], also: static function () use ($job): void {
            // It is started: whatever it stood for is over.
            if (WaitsOn::Cold === $job->getWaitsOn()) {
                $job->waitOn(null);
            }
        });
        $this->addFlash('saved', 'Saved.');

        return 'now' === $button->text($request, 'back')
            ? $this->redirectToRoute('now', ['job' => $job->getId(), 'stage' => 'first_run', 'step' => 'first_run.start'], Response::HTTP_SEE_OTHER)
            : $this->redirectToRoute('stage', ['job' => $job->getId(), 'stage' => 'first_run', '_fragment' => 'step-first_run-start'], Response::HTTP_SEE_OTHER);
    }

    /** What the surge that was watched comes to, with what was heard when. */
    #[Route('/jobs/{job}/surge', name: 'surge', requirements: ['job' => Address::NUMBER], methods: ['POST'])]
    #[IsGranted(JobVoter::RECORD, 'job')]
    public function surge(Job $job, Request $request, ButtonForm $button, Recorder $recorder, #[CurrentUser] Member $member): Response
    {
        $key = $button->check($request);
        $watch = SurgeWatch::of($recorder->open($job)->acts());
        $outcome = $watch->verdict()->outcome();
        if (null === $outcome) {
            $this->addFlash('refused', 'It has not been listened to long enough.');
        } else {
            $recorder->observe($job, $member, $key, [Finding::observed('run.steady', $outcome)->measuring($watch->measured())]);
            $this->addFlash('saved', 'Saved.');
        }

        return $this->redirectToRoute('stage', ['job' => $job->getId(), 'stage' => 'prove'], Response::HTTP_SEE_OTHER);
    }
}
