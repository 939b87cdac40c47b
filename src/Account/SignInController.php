<?php

declare(strict_types=1);

namespace AwakeShed\App\Account;

use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Authentication\AuthenticationUtils;

final class SignInController extends AbstractController
{
    #[Route('/sign-in', name: 'sign_in', methods: ['GET', 'POST'])]
    public function signIn(AuthenticationUtils $authentication): Response
    {
        if (null !== $this->getUser()) {
            return $this->redirectToRoute('shed');
        }

        return $this->render('account/sign_in.html.twig', [
            'error' => $authentication->getLastAuthenticationError(),
            'last_name' => $authentication->getLastUsername(),
        ]);
    }

    /** The firewall answers before this is reached. */
    #[Route('/sign-out', name: 'sign_out', methods: ['POST'])]
    public function signOut(): never
    {
        throw new \LogicException('The firewall signs people out.');
    }
}
