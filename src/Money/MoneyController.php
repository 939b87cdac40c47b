<?php

declare(strict_types=1);

namespace AwakeShed\App\Money;

use AwakeShed\App\Account\Member;
use AwakeShed\App\Account\OwnVoter;
use AwakeShed\App\Evidence\Recorder;
use AwakeShed\App\Http\Address;
use AwakeShed\App\Http\ButtonForm;
use AwakeShed\App\Job\Job;
use AwakeShed\App\Job\JobVoter;
use AwakeShed\App\Job\JobWriter;
use AwakeShed\App\Unit\Measure;
use AwakeShed\App\Unit\Quantities;
use AwakeShed\App\Words\Words;
use AwakeShed\Core\Money\BillLine;
use AwakeShed\Core\Money\LineKind;
use AwakeShed\Core\Progress\WaitsOn;
use AwakeShed\Core\Refusal;
use AwakeShed\Core\Units\DecimalText;
use AwakeShed\Core\Units\Interval;
use AwakeShed\Core\Units\Money;
use AwakeShed\Core\Units\MoneyUnit;
use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;
use Symfony\Bridge\Doctrine\Attribute\MapEntity;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** The money of a job: whether it is worth it, what it costs so far, what its owner was told and said. */
final class MoneyController extends AbstractController
{
    public function __construct(private readonly Recorder $recorder, private readonly JobMonies $monies, private readonly JobWriter $writer, private readonly EntityManagerInterface $entities, private readonly ButtonForm $button, private readonly Quantities $quantities, private readonly ClockInterface $clock, private readonly Words $words)
    {
    }

    #[Route('/jobs/{job}/money', name: 'job_money', requirements: ['job' => Address::NUMBER], methods: ['GET'])]
    public function look(Job $job): Response
    {
        return $this->page($job);
    }

    /** What its owner will spend, and what the machine is worth running. */
    #[Route('/jobs/{job}/money/limits', name: 'job_limits', requirements: ['job' => Address::NUMBER], methods: ['POST'])]
    #[IsGranted(JobVoter::RECORD, 'job')]
    public function limits(Job $job, Request $request, #[CurrentUser] Member $member): Response
    {
        $key = $this->button->check($request);
        try {
            [$cap, $worth] = [$this->sum($request, 'cap'), $this->sum($request, 'worth')];
        } catch (Refusal $refusal) {
            return $this->refused($job, $request, 'limits', $refusal);
        }
        $this->recorder->rewrite($job, $member, $key, static fn () => $job->limit($cap, $worth));

        return $this->saved($job);
    }

    #[Route('/jobs/{job}/money/lines', name: 'job_charge', requirements: ['job' => Address::NUMBER], methods: ['POST'])]
    #[IsGranted(JobVoter::RECORD, 'job')]
    public function charge(Job $job, Request $request, #[CurrentUser] Member $member): Response
    {
        $key = $this->button->check($request);
        try {
            $kind = LineKind::tryFrom($this->button->text($request, 'kind')) ?? LineKind::Other;
            $line = new BillLine(
                $kind,
                mb_substr($this->button->text($request, 'text'), 0, Charge::LONGEST),
                DecimalText::parse($this->button->text($request, 'quantity'), 0.0, BillLine::MOST_QUANTITY),
                Money::dollars($this->sum($request, 'each') ?? (LineKind::Labor === $kind ? $this->monies->wage() : 0.0)),
            );
        } catch (Refusal $refusal) {
            return $this->refused($job, $request, 'line', $refusal);
        }
        $this->writer->write($job, $member, $key, function () use ($job, $line, $member): null {
            $this->entities->persist(new Charge($job, $line, $member, $this->clock->now()));

            return null;
        });

        return $this->saved($job);
    }

    #[Route('/charges/{id}/take-back', name: 'charge_take_back', requirements: ['id' => Address::NUMBER], methods: ['POST'])]
    #[IsGranted(OwnVoter::MEND, 'charge')]
    public function takeBack(#[MapEntity(mapping: ['id' => 'id'])] Charge $charge, Request $request, #[CurrentUser] Member $member): Response
    {
        $this->writer->write($charge->getJob(), $member, $this->button->check($request), function () use ($charge): null {
            $charge->takeBack($this->clock->now());

            return null;
        });

        return $this->saved($charge->getJob());
    }

    /** What the owner is told; the work waits for the answer where that is wished. */
    #[Route('/jobs/{job}/estimates', name: 'estimate_make', requirements: ['job' => Address::NUMBER], methods: ['POST'])]
    #[IsGranted(JobVoter::PUT_RIGHT, 'job')]
    public function estimate(Job $job, Request $request, #[CurrentUser] Member $member): Response
    {
        $key = $this->button->check($request);
        try {
            $least = $this->sum($request, 'least') ?? 0.0;
            $estimate = new Estimate($job, $least, $this->sum($request, 'most') ?? $least, $this->button->text($request, 'text'), $member, $this->clock->now());
        } catch (Refusal $refusal) {
            return $this->refused($job, $request, 'estimate', $refusal);
        }
        $waits = 'on' === $this->button->text($request, 'waits');
        $this->recorder->rewrite($job, $member, $key, function () use ($job, $estimate, $waits): void {
            $this->entities->persist($estimate);
            if ($waits) {
                $job->waitOn(WaitsOn::Owner);
            }
        });

        return $this->saved($job);
    }

    #[Route('/estimates/{id}/answer', name: 'estimate_answer', requirements: ['id' => Address::NUMBER], methods: ['POST'])]
    #[IsGranted(JobVoter::PUT_RIGHT)]
    public function answer(#[MapEntity(mapping: ['id' => 'id'])] Estimate $estimate, Request $request, #[CurrentUser] Member $member): Response
    {
        $key = $this->button->check($request);
        $job = $estimate->getJob();
        $word = OwnersWord::tryFrom($this->button->text($request, 'word')) ?? throw $this->createNotFoundException('An owner says one of three things.');
        try {
            $cap = $this->sum($request, 'cap');
            $this->recorder->rewrite($job, $member, $key, function () use ($job, $estimate, $word, $cap, $request): void {
                // What an owner said stands; what is said otherwise is another estimate.
                $this->entities->refresh($estimate);
                if (null !== $estimate->getWord()) {
                    return;
                }
                $estimate->answered($word, $cap, $this->button->text($request, 'said_by'), $this->clock->now());
                if (WaitsOn::Owner === $job->getWaitsOn()) {
                    $job->waitOn(null);
                }
            });
        } catch (Refusal $refusal) {
            $this->entities->refresh($estimate);

            return $this->refused($job, $request, 'answer', $refusal);
        }

        return $this->saved($job);
    }

    /** @return float|null dollars; null where nothing was typed */
    private function sum(Request $request, string $field): ?float
    {
        $typed = ltrim($this->button->text($request, $field), '$ ');

        return '' === $typed ? null : $this->quantities->read($typed, Measure::Price, Money::class, possible: new Interval(0.0, Estimate::MOST, MoneyUnit::Dollar))->in(MoneyUnit::Dollar);
    }

    private function saved(Job $job): Response
    {
        $this->addFlash('said', 'Saved.');

        return $this->redirectToRoute('job_money', ['job' => $job->getId()], Response::HTTP_SEE_OTHER);
    }

    private function refused(Job $job, Request $request, string $form, Refusal $refusal): Response
    {
        return $this->page($job, $form, $request->getPayload()->all(), $this->words->refusal($refusal));
    }

    /** @param array<string, mixed> $typed into the form that was refused */
    private function page(Job $job, string $form = '', array $typed = [], ?string $problem = null): Response
    {
        $record = $this->recorder->open($job);
        $money = $this->monies->of($record);

        return $this->render('money/job.html.twig', [
            'job' => $job,
            'record' => $record,
            'money' => $money,
            'worth' => $this->monies->worth($record, $money->pace),
            'form' => $form,
            'typed' => array_filter($typed, is_string(...)),
            'problem' => $problem,
        ], new Response(status: null === $problem ? Response::HTTP_OK : Response::HTTP_UNPROCESSABLE_ENTITY));
    }
}
