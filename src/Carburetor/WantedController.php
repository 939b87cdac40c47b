<?php

declare(strict_types=1);

namespace AwakeShed\App\Carburetor;

use AwakeShed\App\Account\Member;
use AwakeShed\App\Http\Address;
use AwakeShed\App\Http\ButtonForm;
use AwakeShed\App\Job\Job;
use AwakeShed\App\Job\JobVoter;
use AwakeShed\App\Job\JobWriter;
use AwakeShed\App\Presentation\CsvText;
use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;
use Symfony\Bridge\Doctrine\Attribute\MapEntity;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** The parts the shed waits for. */
final class WantedController extends AbstractController
{
    public function __construct(private readonly WantedPartRepository $wanted, private readonly EntityManagerInterface $entities, private readonly JobWriter $writer, private readonly ClockInterface $clock, private readonly ButtonForm $button, private readonly PartsWanted $parts)
    {
    }

    #[Route('/parts', name: 'parts', methods: ['GET'])]
    public function shed(): Response
    {
        return $this->render('carburetor/parts.html.twig', ['job' => null, 'parts' => $this->wanted->open(), 'typed' => [], 'problem' => null]);
    }

    #[Route('/parts.csv', name: 'parts_csv', methods: ['GET'])]
    public function csv(): Response
    {
        $csv = CsvText::fromRows(['state', 'quantity', 'part', 'job', 'machine', 'changed_at', 'by'], array_map(static fn (WantedPart $part): array => [
            $part->getState()->value, $part->getQuantity(), $part->getName(), $part->getJob()->getId(), $part->getJob()->getMachine()->getLabel(), $part->getChangedAt()->format(\DATE_ATOM), $part->getBy()->getName(),
        ], $this->wanted->open()));

        return new Response($csv, headers: ['Content-Type' => 'text/csv; charset=utf-8', 'Content-Disposition' => 'attachment; filename="parts.csv"']);
    }

    #[Route('/jobs/{job}/parts', name: 'job_parts', requirements: ['job' => Address::NUMBER], methods: ['GET'])]
    public function ofJob(Job $job): Response
    {
        return $this->page($job, [], null);
    }

    #[Route('/jobs/{job}/parts', name: 'job_parts_want', requirements: ['job' => Address::NUMBER], methods: ['POST'])]
    #[IsGranted(JobVoter::RECORD, 'job')]
    public function want(Job $job, Request $request, #[CurrentUser] Member $member): Response
    {
        $key = $this->button->check($request);
        $typed = ['name' => $this->button->text($request, 'name'), 'quantity' => $this->button->text($request, 'quantity')];
        $quantity = filter_var($typed['quantity'], \FILTER_VALIDATE_INT, ['options' => ['min_range' => 1, 'max_range' => WantedPart::MOST]]);
        if ('' === $typed['name'] || mb_strlen($typed['name']) > WantedPart::LONGEST_NAME) {
            return $this->page($job, $typed, 'Say which part, in 1 to 120 characters.');
        }
        if (!\is_int($quantity)) {
            return $this->page($job, $typed, 'How many: a whole number, 1 to 99.');
        }
        $this->writer->write($job, $member, $key, function () use ($job, $typed, $quantity, $member): null {
            $this->entities->persist(new WantedPart($job, $typed['name'], $quantity, $member, $this->clock->now()));
            $this->parts->standsAnew($job);

            return null;
        });
        $this->addFlash('said', 'Saved.');

        return $this->redirectToRoute('job_parts', ['job' => $job->getId()], Response::HTTP_SEE_OTHER);
    }

    /** The day it is promised for; the plan waits for it until then. */
    #[Route('/parts/{id}/expected', name: 'part_expected', requirements: ['id' => Address::NUMBER], methods: ['POST'], priority: 1)]
    #[IsGranted(JobVoter::RECORD)]
    public function expected(#[MapEntity(mapping: ['id' => 'id'])] WantedPart $part, Request $request, #[CurrentUser] Member $member): Response
    {
        $typed = $this->button->text($request, 'on');
        $on = \DateTimeImmutable::createFromFormat('!Y-m-d', $typed);
        if ('' !== $typed && (false === $on || $on->format('Y-m-d') !== $typed)) {
            return $this->page($part->getJob(), ['part' => (string) $part->getId(), 'on' => $typed], 'The day it is expected on is no day.');
        }
        $this->writer->write($part->getJob(), $member, $this->button->check($request), function () use ($part, $on): null {
            $part->expect(false === $on ? null : $on, $this->clock->now());

            return null;
        });
        $this->addFlash('said', 'Saved.');

        return $this->backTo($part, $request);
    }

    #[Route('/parts/{id}/{state}', name: 'part_becomes', requirements: ['id' => Address::NUMBER], methods: ['POST'])]
    #[IsGranted(JobVoter::RECORD)]
    public function becomes(#[MapEntity(mapping: ['id' => 'id'])] WantedPart $part, WantedState $state, Request $request, #[CurrentUser] Member $member): Response
    {
        $this->writer->write($part->getJob(), $member, $this->button->check($request), function () use ($part, $state): null {
            $part->becomes($state, $this->clock->now());
            $this->parts->standsAnew($part->getJob());

            return null;
        });
        $this->addFlash('said', 'Saved.');

        return $this->backTo($part, $request);
    }

    private function backTo(WantedPart $part, Request $request): Response
    {
        return 'shed' === $this->button->text($request, 'back') ? $this->redirectToRoute('parts', status: Response::HTTP_SEE_OTHER)
            : $this->redirectToRoute('job_parts', ['job' => $part->getJob()->getId()], Response::HTTP_SEE_OTHER);
    }

    /** @param array<string, string> $typed */
    private function page(Job $job, array $typed, ?string $problem): Response
    {
        return $this->render(
            'carburetor/parts.html.twig',
            ['job' => $job, 'parts' => $this->wanted->ofJob($job), 'typed' => $typed, 'problem' => $problem],
            new Response(status: null === $problem ? Response::HTTP_OK : Response::HTTP_UNPROCESSABLE_ENTITY),
        );
    }
}
