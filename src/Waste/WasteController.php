<?php

declare(strict_types=1);

namespace AwakeShed\App\Waste;

use AwakeShed\App\Account\Member;
use AwakeShed\App\Form\RequestKeyExtension;
use AwakeShed\App\Http\Taps;
use AwakeShed\App\Job\Job;
use AwakeShed\App\Job\JobResolver;
use AwakeShed\App\Job\JobVoter;
use AwakeShed\App\Once\Once;
use AwakeShed\Core\Fuel\WasteStream;
use AwakeShed\Core\Units\Volume;
use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;
use Symfony\Bridge\Doctrine\Attribute\MapEntity;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** What was poured away, by can. */
final class WasteController extends AbstractController
{
    public function __construct(
        private readonly WasteRepository $waste,
        private readonly EntityManagerInterface $entities,
        private readonly Once $once,
        private readonly ClockInterface $clock,
    ) {
    }

    #[Route('/waste', name: 'waste', methods: ['GET'])]
    public function totals(): Response
    {
        return $this->render('waste/totals.html.twig', ['totals' => $this->waste->totals()]);
    }

    #[Route('/jobs/{job}/waste', name: 'waste_add', requirements: ['job' => JobResolver::NUMBER], methods: ['GET', 'POST'])]
    #[IsGranted(JobVoter::RECORD, 'job')]
    public function add(Job $job, Request $request, #[CurrentUser] Member $member): Response
    {
        $form = $this->createForm(WasteType::class);
        $form->handleRequest($request);
        [$stream, $volume] = [$form->get('stream')->getData(), $form->get('volume')->getData()];
        if ($form->isSubmitted() && $form->isValid() && $stream instanceof WasteStream && $volume instanceof Volume) {
            $this->once->run(RequestKeyExtension::keyOf($form), $member, function () use ($job, $stream, $volume, $member): null {
                $this->entities->persist(new WastePortion($job, $stream, $volume, $member, $this->clock->now()));

                return null;
            });
            $this->addFlash('said', 'Saved.');

            return $this->redirectToRoute('waste_add', ['job' => $job->getId()], Response::HTTP_SEE_OTHER);
        }

        return $this->render('waste/job.html.twig', ['form' => $form, 'job' => $job, 'waste' => $this->waste->ofJob($job)]);
    }

    #[Route('/waste/{id}/take-back', name: 'waste_take_back', requirements: ['id' => JobResolver::NUMBER], methods: ['POST'])]
    #[IsGranted(JobVoter::RECORD)]
    public function takeBack(#[MapEntity] WastePortion $portion, Request $request, Taps $taps, #[CurrentUser] Member $member): Response
    {
        $this->once->run($taps->check($request), $member, function () use ($portion): null {
            $portion->takeBack($this->clock->now());

            return null;
        });
        $this->addFlash('said', 'Taken back.');

        return $this->redirectToRoute('waste_add', ['job' => $portion->getJob()->getId()], Response::HTTP_SEE_OTHER);
    }
}
