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
use AwakeShed\App\Money\JobMonies;
use AwakeShed\App\Wait\WaitRepository;
use AwakeShed\Core\Diagnosis\Assessing;
use AwakeShed\Core\Progress\HandBack;
use AwakeShed\Core\Progress\HandBackCheck;
use Psr\Clock\ClockInterface;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** Going home: what is not proved, what waits, what refuses it; and back in again. */
#[Route('/jobs/{job}/hand-back', requirements: ['job' => Address::NUMBER])]
final class HandBackController extends AbstractController
{
    public function __construct(private readonly Recorder $recorder, private readonly Assessing $assessor, private readonly HandBackCheck $check, private readonly WaitRepository $waits, private readonly WantedPartRepository $wanted, private readonly JobMonies $monies)
    {
    }

    #[Route('', name: 'job_hand_back_look', methods: ['GET'])]
    public function look(Job $job): Response
    {
        return $this->page($job, '', false);
    }

    #[Route('', name: 'job_hand_back', methods: ['POST'])]
    #[IsGranted(JobVoter::HAND_BACK, 'job')]
    public function handBack(Job $job, Request $request, ButtonForm $button, ClockInterface $clock, #[CurrentUser] Member $member): Response
    {
        $key = $button->check($request);
        $reason = $button->text($request, 'reason');
        try {
            $this->recorder->rewrite($job, $member, $key, function (Record $record) use ($job, $clock, $reason): void {
                if ($job->isHandedBack()) {
                    $job->takeBack();

                    return;
                }
                $guard = $this->guard($record);
                if ($guard->isRefused()) {
                    throw new HeldBack($guard->cause ?? ($guard->isDrained ? 'drained' : 'hold'));
                }
                if ('' === $reason && ($guard->wantsReason(array_keys($record->gonePast($guard->asks))) || [] !== $this->waits->ofJob($job) || $this->partsWantedFor($job) > 0 || null !== $this->monies->past($record))) {
                    throw new ReasonWanted();
                }
                $job->handBack($clock->now(), $reason);
            }, evenIfHandedBack: true);
        } catch (ReasonWanted) {
            return $this->page($job, $reason, true);
        }
        $this->addFlash('said', $job->isHandedBack() ? 'Handed back.' : 'Back in the shed.');

        return $this->redirectToRoute('job', ['job' => $job->getId()], Response::HTTP_SEE_OTHER);
    }

    private function guard(Record $record): HandBack
    {
        $case = $record->case();

        return $this->check->lookOver($case, $record->acts(), $record->ledger(), $this->assessor->assess($case));
    }

    private function partsWantedFor(Job $job): int
    {
        return $this->wanted->waitedFor([$job->getId()])[$job->getId()] ?? 0;
    }

    private function page(Job $job, string $reason, bool $isAsked): Response
    {
        $record = $this->recorder->open($job);
        $guard = $this->guard($record);
        $past = $record->gonePast($guard->asks);

        return $this->render('job/hand_back.html.twig', [
            'job' => $job,
            'record' => $record,
            'guard' => $guard,
            'past' => $past,
            'wants_reason' => $guard->wantsReason(array_keys($past)),
            'waits' => $this->waits->ofJob($job),
            'parts' => $this->partsWantedFor($job),
            'past_agreed' => $this->monies->past($record),
            'reason' => $reason,
            'asked' => $isAsked,
        ], new Response(status: $isAsked ? Response::HTTP_UNPROCESSABLE_ENTITY : Response::HTTP_OK));
    }
}
