<?php

declare(strict_types=1);

namespace AwakeShed\App\Account;

use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Bundle\SecurityBundle\Security;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/** Where a one-time link leads: its person chooses a password and is in. */
final class WelcomeController extends AbstractController
{
    #[Route('/welcome/{token}', name: 'welcome', defaults: [AnonymousDoor::OPEN => '1'], requirements: ['token' => '[A-Za-z0-9_-]{20,60}'], methods: ['GET', 'POST'])]
    public function welcome(string $token, Request $request, Links $links, People $people, Security $security): Response
    {
        $link = $links->find($token);
        if (null === $link) {
            return $this->render('account/welcome.html.twig', ['form' => null, 'member' => null], new Response(status: Response::HTTP_GONE));
        }
        $member = $link->getMember();
        $form = $this->createForm(OwnPasswordType::class, options: ['csrf_token_id' => 'authenticate']);
        $form->handleRequest($request);
        if ($form->isSubmitted() && $form->isValid()) {
            if (!$links->use($link)) {
                return $this->redirectToRoute('welcome', ['token' => $token], Response::HTTP_SEE_OTHER);
            }
            $new = $form->get('new')->getData();
            $people->changePassword($member, \is_string($new) ? $new : '');

            return $security->login($member, 'form_login', 'main') ?? $this->redirectToRoute('shed', status: Response::HTTP_SEE_OTHER);
        }

        return $this->render('account/welcome.html.twig', ['form' => $form, 'member' => $member]);
    }

    /** For a password that somebody else had chosen. */
    #[Route('/own-password', name: 'own_password', methods: ['GET', 'POST'])]
    public function ownPassword(Request $request, People $people, #[CurrentUser] Member $member): Response
    {
        if (!$member->mustChangePassword()) {
            return $this->redirectToRoute('me', status: Response::HTTP_SEE_OTHER);
        }
        $form = $this->createForm(OwnPasswordType::class);
        $form->handleRequest($request);
        if ($form->isSubmitted() && $form->isValid()) {
            $new = $form->get('new')->getData();
            $people->changePassword($member, \is_string($new) ? $new : '');

            return $this->redirectToRoute('shed', status: Response::HTTP_SEE_OTHER);
        }

        return $this->render('account/own_password.html.twig', ['form' => $form]);
    }
}
