<?php

declare(strict_types=1);

namespace AwakeShed\App\Http;

use AwakeShed\App\Account\SignInEntryPoint;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/** Shows what somebody had typed when their session ran out, with a button that sends it again. */
final class KeptController extends AbstractController
{
    #[Route('/kept', name: 'kept', methods: ['GET'])]
    public function kept(Request $request): Response
    {
        $kept = $request->getSession()->remove(SignInEntryPoint::KEPT);
        if (!$kept instanceof KeptInput) {
            return $this->redirectToRoute('shed');
        }

        return $this->render('error/kept.html.twig', ['kept' => $kept]);
    }
}
