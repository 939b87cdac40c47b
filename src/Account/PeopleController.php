<?php

declare(strict_types=1);

namespace AwakeShed\App\Account;

use AwakeShed\App\Http\ButtonForm;
use AwakeShed\App\Words\Words;
use Symfony\Bridge\Doctrine\Attribute\MapEntity;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\Form\FormError;
use Symfony\Component\Form\FormView;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;
use Symfony\Contracts\Translation\TranslatorInterface;

/** The list of people; for the owner. */
#[IsGranted(Role::OWNER_NAME)]
final class PeopleController extends AbstractController
{
    public function __construct(
        private readonly MemberRepository $members,
        private readonly People $people,
        private readonly Links $links,
        private readonly ButtonForm $button,
        private readonly Words $words,
        private readonly TranslatorInterface $translator,
    ) {
    }

    #[Route('/people', name: 'people', methods: ['GET', 'POST'])]
    public function people(Request $request, #[CurrentUser] Member $owner): Response
    {
        $form = $this->createForm(NewMemberType::class, new NewMemberInput());
        $form->handleRequest($request);
        $input = $form->getData();
        $link = null;
        if ($form->isSubmitted() && $form->isValid() && $input instanceof NewMemberInput) {
            try {
                $member = $this->people->add((string) $input->signInName, (string) $input->name, $input->role ?? Role::Apprentice, $input->email, $input->password, $owner);
                if (null !== $input->password) {
                    $this->addFlash('said', 'They can sign in now.');

                    return $this->redirectToRoute('people', status: Response::HTTP_SEE_OTHER);
                }
                // Shown here and nowhere again, so there is no page to lead to.
                $link = [$member->getName(), $this->links->make($member, Links::INVITATION, $owner->getId())];
                $form = $this->createForm(NewMemberType::class, new NewMemberInput());
            } catch (NameTaken) {
                $form->get('signInName')->addError(new FormError($this->translator->trans('Somebody signs in by that name already, or by one that looks the same.')));
            }
        }

        return $this->page($form->createView(), $link, $form->isSubmitted() ? Response::HTTP_UNPROCESSABLE_ENTITY : Response::HTTP_OK);
    }

    /** A link for somebody who lost their password, or never had one. */
    #[Route('/people/{id}/link', name: 'person_link', methods: ['POST'])]
    public function link(#[MapEntity] Member $person, Request $request, #[CurrentUser] Member $owner): Response
    {
        $this->button->check($request);

        return $this->page($this->createForm(NewMemberType::class, new NewMemberInput())->createView(), [$person->getName(), $this->links->make($person, Links::INVITATION, $owner->getId())]);
    }

    #[Route('/people/{id}/role', name: 'person_role', methods: ['POST'])]
    public function role(#[MapEntity] Member $person, Request $request, #[CurrentUser] Member $owner): Response
    {
        $role = Role::tryFrom($this->button->text($request, 'role'));
        if (null === $role) {
            return $this->said('refused', $this->translator->trans('There is no such role.'));
        }
        try {
            $this->people->appoint($person, $role, Role::tryFrom($this->button->text($request, 'was')) ?? $person->getRole(), $owner);
        } catch (LastOwner) {
            return $this->said('refused', $this->translator->trans('Somebody has to stay owner.'));
        } catch (ChangedMeanwhile $changed) {
            return $this->said('refused', $this->translator->trans('Somebody changed that meanwhile: %person% is %now% now; you wanted %wanted%. Tap again if it is still meant.', [
                '%person%' => $person->getName(),
                '%now%' => $this->words->outcome('role', $changed->now->value),
                '%wanted%' => $this->words->outcome('role', $role->value),
            ]));
        }

        return $this->said('said', $this->translator->trans('Saved. They sign in anew.'));
    }

    #[Route('/people/{id}/leave', name: 'person_leave', methods: ['POST'])]
    public function leave(#[MapEntity] Member $person, Request $request, #[CurrentUser] Member $owner): Response
    {
        $was = $this->button->text($request, 'was');
        try {
            $this->people->leaveOrReturn($person, '' === $was ? $person->isActive() : 'in' === $was, $owner);
        } catch (LastOwner) {
            return $this->said('refused', $this->translator->trans('Somebody has to stay owner.'));
        }

        return $this->said('said', $this->translator->trans('Saved.'));
    }

    #[Route('/people/{id}/sign-out', name: 'person_sign_out', methods: ['POST'])]
    public function signOut(#[MapEntity] Member $person, Request $request, #[CurrentUser] Member $owner): Response
    {
        $this->button->check($request);
        $this->people->signOutEverywhere($person, $owner);

        return $this->said('said', $this->translator->trans('Signed out everywhere.'));
    }

    /** For somebody who has left: the name goes, what they recorded stays. */
    #[Route('/people/{id}/forget', name: 'person_forget', methods: ['POST'])]
    public function forget(#[MapEntity] Member $person, Request $request, #[CurrentUser] Member $owner): Response
    {
        $this->button->check($request);
        if ($person->isActive()) {
            return $this->said('refused', $this->translator->trans('Only of somebody who has left.'));
        }
        $this->people->forget($person, $this->translator->trans('Former member'), $owner);

        return $this->said('said', $this->translator->trans('The name is gone.'));
    }

    /** @param array{string, string}|null $link whose it is, and the address */
    private function page(FormView $form, ?array $link, int $status = Response::HTTP_OK): Response
    {
        return $this->render('account/people.html.twig', ['form' => $form, 'people' => $this->members->everybody(), 'link' => $link], new Response(status: null === $link ? $status : Response::HTTP_OK));
    }

    private function said(string $how, string $what): Response
    {
        $this->addFlash($how, $what);

        return $this->redirectToRoute('people', status: Response::HTTP_SEE_OTHER);
    }
}
