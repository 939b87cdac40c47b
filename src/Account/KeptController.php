<?php

declare(strict_types=1);

namespace AwakeShed\App\Account;

use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/** Shows what somebody had typed when their session ran out, with a button that sends it again. */
final class KeptController extends AbstractController
{
    #[Route('/kept', name: 'kept', methods: ['GET'])]
    public function kept(KeptForms $forms, #[CurrentUser] Member $member): Response
    {
        $kept = $forms->take($member);

        return null === $kept ? $this->redirectToRoute('shed') : $this->render('error/kept.html.twig', ['kept' => $kept]);
    }
}
