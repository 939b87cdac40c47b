<?php

declare(strict_types=1);

namespace AwakeShed\App\Intake;

use AwakeShed\App\Account\Member;
use AwakeShed\App\Form\Carried;
use AwakeShed\App\Form\ChangedSince;
use AwakeShed\App\Form\SideBySide;
use AwakeShed\App\Http\Address;
use AwakeShed\App\Job\Job;
use AwakeShed\App\Job\JobVoter;
use AwakeShed\App\Photo\UnusablePhoto;
use AwakeShed\App\Words\Words;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\DependencyInjection\Attribute\AutowireServiceClosure;
use Symfony\Component\Form\FormError;
use Symfony\Component\Form\FormInterface;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;

final class IntakeController extends AbstractController
{
    /** @param \Closure(): Intake $intake made only where something is sent */
    public function __construct(
        private readonly KnownMachines $known,
        #[AutowireServiceClosure(Intake::class)]
        private readonly \Closure $intake,
        private readonly Words $words,
        private readonly SideBySide $sideBySide,
    ) {
    }

    #[Route('/take-in', name: 'take_in', methods: ['GET', 'POST'])]
    #[IsGranted(JobVoter::RECORD)]
    public function takeIn(Request $request, #[CurrentUser] Member $member): Response
    {
        $machine = $this->known->numbered($request->query->getString('machine'));
        $input = null === $machine ? new IntakeInput() : IntakeInput::fromMachine($machine);
        $form = $this->createForm(IntakeType::class, $input);
        $form->handleRequest($request);
        if ($form->isSubmitted() && $form->isValid()) {
            try {
                $number = ($this->intake)()->takeIn($input, $member, Carried::keyOf($form, $request), $machine);
                $this->addFlash('said', 'Taken in. Hang the tag on it: the number is above.');

                return $this->redirectToRoute('job', ['job' => $number], Response::HTTP_SEE_OTHER);
            } catch (UnusablePhoto $refusal) {
                $form->get('photos')->addError(new FormError($this->words->refusal($refusal)));
            }
        }

        $find = mb_substr(mb_scrub(trim($request->query->getString('known'))), 0, 60);

        return $this->render('job/take_in.html.twig', ['form' => $form, 'machine' => $machine, 'asks' => $request->query->has('known'), 'find' => $find, 'found' => '' === $find ? null : $this->known->find($find)]);
    }

    #[Route('/jobs/{job}/machine', name: 'job_machine', requirements: ['job' => Address::NUMBER], methods: ['GET', 'POST'])]
    #[IsGranted(JobVoter::RECORD, 'job')]
    public function machine(Job $job, Request $request, #[CurrentUser] Member $member): Response
    {
        $input = IntakeInput::fromJob($job);
        $fresh = fn (IntakeInput $filled): FormInterface => $this->createForm(IntakeType::class, $filled, ['with_claims' => false]);
        $form = $fresh($input);
        $form->handleRequest($request);
        $changed = null;
        if ($form->isSubmitted() && $form->isValid()) {
            try {
                ($this->intake)()->describe($job, $input, $member, Carried::keyOf($form, $request), function () use ($form, $input, $job, $fresh): void {
                    $this->sideBySide->demandUnchanged($form, $fresh($input), $fresh(IntakeInput::fromJob($job)));
                });
                $this->addFlash('said', 'Saved.');

                return $this->redirectToRoute('job', ['job' => $job->getId()], Response::HTTP_SEE_OTHER);
            } catch (ChangedSince $changed) {
            }
        }
        $view = $form->createView();
        $changed?->rebase($view);

        return $this->render('job/machine.html.twig', ['form' => $view, 'job' => $job, 'differences' => $changed->differences ?? []], new Response(
            status: $form->isSubmitted() ? Response::HTTP_UNPROCESSABLE_ENTITY : Response::HTTP_OK,
        ));
    }
}
