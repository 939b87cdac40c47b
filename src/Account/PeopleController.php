<?php

declare(strict_types=1);

namespace AwakeShed\App\Account;

use AwakeShed\App\Http\Taps;
use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;
use Symfony\Bridge\Doctrine\Attribute\MapEntity;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\Form\FormError;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\PasswordHasher\Hasher\UserPasswordHasherInterface;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** The list of people; for the owner. */
#[IsGranted(Role::OWNER_NAME)]
final class PeopleController extends AbstractController
{
    public function __construct(private readonly MemberRepository $members, private readonly EntityManagerInterface $entities)
    {
    }

    #[Route('/people', name: 'people', methods: ['GET', 'POST'])]
    public function people(Request $request, UserPasswordHasherInterface $hasher, ClockInterface $clock): Response
    {
        $form = $this->createForm(NewMemberType::class, new NewMemberInput());
        $form->handleRequest($request);
        $input = $form->getData();
        if ($form->isSubmitted() && $form->isValid() && $input instanceof NewMemberInput) {
            if (null === $this->members->withSignInName((string) $input->signInName)) {
                $member = new Member((string) $input->signInName, (string) $input->name, $input->role ?? Role::Apprentice, $clock->now());
                $member->changePassword($hasher->hashPassword($member, (string) $input->password));
                $this->entities->persist($member);
                $this->entities->flush();
                $this->addFlash('said', 'They can sign in now.');

                return $this->redirectToRoute('people', status: Response::HTTP_SEE_OTHER);
            }
            $form->get('signInName')->addError(new FormError('Somebody signs in by that name already.'));
        }

        return $this->render('account/people.html.twig', ['form' => $form, 'people' => $this->members->everybody()]);
    }

    #[Route('/people/{id}/role', name: 'person_role', methods: ['POST'])]
    public function role(#[MapEntity] Member $person, Request $request, Taps $taps): Response
    {
        $role = Role::tryFrom($taps->text($request, 'role'));
        if (null === $role || $this->members->isLastOwner($person)) {
            return $this->refused(null === $role ? 'There is no such role.' : 'Somebody has to stay owner.');
        }
        $person->appoint($role);
        $this->entities->flush();
        $this->addFlash('said', 'Saved.');

        return $this->redirectToRoute('people', status: Response::HTTP_SEE_OTHER);
    }

    #[Route('/people/{id}/leave', name: 'person_leave', methods: ['POST'])]
    public function leave(#[MapEntity] Member $person, Request $request, Taps $taps): Response
    {
        $taps->check($request);
        if ($this->members->isLastOwner($person)) {
            return $this->refused('Somebody has to stay owner.');
        }
        $person->isActive() ? $person->leave() : $person->comeBack();
        $this->entities->flush();
        $this->addFlash('said', 'Saved.');

        return $this->redirectToRoute('people', status: Response::HTTP_SEE_OTHER);
    }

    private function refused(string $why): Response
    {
        $this->addFlash('refused', $why);

        return $this->redirectToRoute('people', status: Response::HTTP_SEE_OTHER);
    }
}
