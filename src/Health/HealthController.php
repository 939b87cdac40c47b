<?php

declare(strict_types=1);

namespace AwakeShed\App\Health;

use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/** An empty page, behind the sign-in like every other: the yardstick of bin/bench. */
final class HealthController extends AbstractController
{
    #[Route('/health', name: 'health', methods: ['GET'])]
    public function health(): Response
    {
        return $this->render('health/empty.html.twig');
    }
}
