<?php

declare(strict_types=1);

namespace AwakeShed\App\Plan;

use AwakeShed\App\Account\Member;
use AwakeShed\App\Http\Address;
use AwakeShed\App\Http\ButtonForm;
use AwakeShed\App\Job\Job;
use AwakeShed\App\Job\JobVoter;
use AwakeShed\App\Job\JobWriter;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** What somebody says of a piece of planned work. That it is done is recorded on its job; what is said here moves the plan. */
final class PlanDeedController extends AbstractController
{
    /** Minutes more, and until when a piece cannot be done. */
    private const LONGER = [15, 30, 60, 120];
    private const UNTIL = ['hour' => '+1 hour', 'noon' => '+4 hours', 'tomorrow' => 'tomorrow 08:00', 'week' => '+7 days 08:00'];

    public function __construct(private readonly ButtonForm $button, private readonly JobWriter $writer, private readonly MarkRepository $marks, private readonly Plans $plans, private readonly Workplace $place)
    {
    }

    #[Route('/plan/{job}/{kind}/started', name: 'plan_started', requirements: ['job' => Address::NUMBER, 'kind' => '[a-z_]{1,30}'], methods: ['POST'])]
    #[IsGranted(JobVoter::RECORD, 'job')]
    public function started(Job $job, string $kind, Request $request, #[CurrentUser] Member $member): Response
    {
        $minutes = $this->left($job, $kind);
        if (PlanItem::shuts($job->getStand(), $kind)) {
            $this->addFlash('problem', 'An engine would run, and a gate before that is not passed. Nothing was begun; the job says what is missing.');

            return $this->redirectToRoute('plan', status: Response::HTTP_SEE_OTHER);
        }

        return $this->say($job, $kind, $request, $member, fn (Mark $mark) => $mark->start($member, $minutes, $this->plans->now()));
    }

    /** It is over; what was done is recorded on its job, where this leads. */
    #[Route('/plan/{job}/{kind}/done', name: 'plan_done', requirements: ['job' => Address::NUMBER, 'kind' => '[a-z_]{1,30}'], methods: ['POST'])]
    #[IsGranted(JobVoter::RECORD, 'job')]
    public function done(Job $job, string $kind, Request $request, #[CurrentUser] Member $member): Response
    {
        $this->left($job, $kind);
        $key = $this->button->check($request);
        $this->writer->write($job, $member, $key, function () use ($job, $kind): null {
            $this->marks->of($job, $kind)->end($this->plans->now());

            return null;
        });
        $this->addFlash('said', 'The clock has stopped. Record what was done: only then it leaves the plan.');

        return $this->redirectToRoute('job', ['job' => $job->getId()], Response::HTTP_SEE_OTHER);
    }

    #[Route('/plan/{job}/{kind}/longer', name: 'plan_longer', requirements: ['job' => Address::NUMBER, 'kind' => '[a-z_]{1,30}'], methods: ['POST'])]
    #[IsGranted(JobVoter::RECORD, 'job')]
    public function longer(Job $job, string $kind, Request $request, #[CurrentUser] Member $member): Response
    {
        $minutes = (int) $this->button->text($request, 'minutes');
        $reckoned = $this->left($job, $kind);
        if (!\in_array($minutes, self::LONGER, true)) {
            throw $this->createNotFoundException('Not one of the times.');
        }

        return $this->say($job, $kind, $request, $member, function (Mark $mark) use ($member, $reckoned, $minutes): void {
            // Who says so has begun.
            if (null === $mark->getStartedAt()) {
                $mark->start($member, $reckoned, $this->plans->now());
            }
            $mark->takesLonger($minutes);
        });
    }

    #[Route('/plan/{job}/{kind}/cannot', name: 'plan_cannot', requirements: ['job' => Address::NUMBER, 'kind' => '[a-z_]{1,30}'], methods: ['POST'])]
    #[IsGranted(JobVoter::RECORD, 'job')]
    public function cannot(Job $job, string $kind, Request $request, #[CurrentUser] Member $member): Response
    {
        $this->left($job, $kind);
        $until = self::UNTIL[$this->button->text($request, 'until')] ?? throw $this->createNotFoundException('Not one of the times.');
        $reason = $this->button->text($request, 'reason');

        return $this->say($job, $kind, $request, $member, fn (Mark $mark) => $mark->cannot($this->plans->now()->modify($until), $reason));
    }

    /** Gives a piece to somebody, sets it at a time, or lets go of both. */
    #[Route('/plan/{job}/{kind}/pin', name: 'plan_pin', requirements: ['job' => Address::NUMBER, 'kind' => '[a-z_]{1,30}'], methods: ['POST'])]
    #[IsGranted(JobVoter::RECORD, 'job')]
    public function pin(Job $job, string $kind, Request $request, #[CurrentUser] Member $member): Response
    {
        $this->left($job, $kind);
        $hands = $this->hands($this->button->text($request, 'hands'));
        $typed = $this->button->text($request, 'at');
        $at = '' === $typed ? null : \DateTimeImmutable::createFromFormat('!Y-m-d\TH:i', $typed, $this->plans->now()->getTimezone());
        if (false === $at || (null !== $at && abs($at->getTimestamp() - $this->plans->now()->getTimestamp()) > 86400 * WorkToPlan::DAYS)) {
            $this->addFlash('problem', 'That is no day and time the plan reaches. Nothing was changed.');

            return $this->redirectToRoute('plan', status: Response::HTTP_SEE_OTHER);
        }

        return $this->say($job, $kind, $request, $member, static fn (Mark $mark) => $mark->pin($hands, $at));
    }

    /** @param \Closure(Mark): void $change */
    private function say(Job $job, string $kind, Request $request, Member $member, \Closure $change): Response
    {
        $this->writer->write($job, $member, $this->button->check($request), function () use ($job, $kind, $change): null {
            $change($this->marks->of($job, $kind));

            return null;
        });
        $this->addFlash('said', 'Saved. The plan is being mended.');
        $day = $this->button->text($request, 'day');

        return $this->redirectToRoute('plan', '' === $day ? [] : ['day' => $day], Response::HTTP_SEE_OTHER);
    }

    /** Minutes a piece is reckoned to take. */
    private function left(Job $job, string $kind): int
    {
        foreach ($job->getWorkLeft() as $piece) {
            if ($piece->kind === $kind) {
                return $piece->minutes;
            }
        }
        throw $this->createNotFoundException('That is not left to do on this job.');
    }

    private function hands(string $number): ?Member
    {
        foreach ($this->place->people() as $member) {
            if ((string) $member->getId() === $number) {
                return $member;
            }
        }

        return null;
    }
}
