<?php

declare(strict_types=1);

namespace AwakeShed\App\Life;

use AwakeShed\App\Account\Member;
use AwakeShed\App\Account\OwnVoter;
use AwakeShed\App\Http\Address;
use AwakeShed\App\Http\ButtonForm;
use AwakeShed\App\Job\JobVoter;
use AwakeShed\App\Job\Machine;
use AwakeShed\App\Once\OncePerKey;
use AwakeShed\App\Words\Words;
use AwakeShed\Core\Refusal;
use AwakeShed\Core\Units\DecimalText;
use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;
use Symfony\Bridge\Doctrine\Attribute\MapEntity;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** A machine's own page: what is known of it, whoever had it on the bench. */
final class MachineController extends AbstractController
{
    private const HOURS = [0.0, 8760.0, 'h'];

    public function __construct(private readonly MachineLives $lives, private readonly EntityManagerInterface $entities, private readonly OncePerKey $once, private readonly ButtonForm $button, private readonly ClockInterface $clock, private readonly Words $words)
    {
    }

    #[Route('/machines/{machine}', name: 'machine', requirements: ['machine' => Address::NUMBER], methods: ['GET'])]
    public function look(#[MapEntity(mapping: ['machine' => 'id'])] Machine $machine): Response
    {
        return $this->page($machine, [], null);
    }

    #[Route('/machines/{machine}/notes', name: 'machine_note', requirements: ['machine' => Address::NUMBER], methods: ['POST'])]
    #[IsGranted(JobVoter::RECORD)]
    public function note(#[MapEntity(mapping: ['machine' => 'id'])] Machine $machine, Request $request, #[CurrentUser] Member $member): Response
    {
        $key = $this->button->check($request);
        $text = $this->button->text($request, 'text');
        $topic = LifeTopic::tryFrom($this->button->text($request, 'topic')) ?? LifeTopic::Other;
        if ('' === $text || mb_strlen($text) > LifeNote::LONGEST) {
            return $this->page($machine, ['text' => $text], 'Say what is known, in 1 to 200 characters.');
        }
        $this->once->run($key, $member->getId(), function () use ($machine, $topic, $text, $member): null {
            $this->entities->persist(new LifeNote($machine, $topic, $text, $member, $this->clock->now()));

            return null;
        });

        return $this->saved($machine);
    }

    #[Route('/machine-notes/{id}/take-back', name: 'machine_note_take_back', requirements: ['id' => Address::NUMBER], methods: ['POST'])]
    #[IsGranted(OwnVoter::MEND, 'note')]
    public function takeBack(#[MapEntity(mapping: ['id' => 'id'])] LifeNote $note, Request $request, #[CurrentUser] Member $member): Response
    {
        $this->once->run($this->button->check($request), $member->getId(), function () use ($note): null {
            $note->takeBack($this->clock->now());

            return null;
        });

        return $this->saved($note->getMachine());
    }

    /** How much it runs in a year, by which its service is reckoned. */
    #[Route('/machines/{machine}/hours', name: 'machine_hours', requirements: ['machine' => Address::NUMBER], methods: ['POST'])]
    #[IsGranted(JobVoter::RECORD)]
    public function hours(#[MapEntity(mapping: ['machine' => 'id'])] Machine $machine, Request $request, #[CurrentUser] Member $member): Response
    {
        $key = $this->button->check($request);
        $typed = $this->button->text($request, 'hours');
        try {
            $hours = '' === $typed ? null : DecimalText::within($typed, ...self::HOURS);
        } catch (Refusal $refusal) {
            return $this->page($machine, ['hours' => $typed], $this->words->refusal($refusal));
        }
        $this->once->run($key, $member->getId(), static function () use ($machine, $hours): null {
            $machine->runs($hours);

            return null;
        });

        return $this->saved($machine);
    }

    private function saved(Machine $machine): Response
    {
        $this->addFlash('said', 'Saved.');

        return $this->redirectToRoute('machine', ['machine' => $machine->getId()], Response::HTTP_SEE_OTHER);
    }

    /** @param array<string, string> $typed into the field that was refused */
    private function page(Machine $machine, array $typed, ?string $problem): Response
    {
        return $this->render('life/machine.html.twig', ['life' => $this->lives->of($machine), 'typed' => $typed, 'problem' => $problem], new Response(status: null === $problem ? Response::HTTP_OK : Response::HTTP_UNPROCESSABLE_ENTITY));
    }
}
