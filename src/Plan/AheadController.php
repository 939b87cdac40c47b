<?php

declare(strict_types=1);

namespace AwakeShed\App\Plan;

use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/** The season: weeks ahead, what if more come, who to call first. */
final class AheadController extends AbstractController
{
    private const MOST_MORE = 50;

    #[Route('/plan/ahead', name: 'plan_ahead', methods: ['GET'])]
    public function look(Request $request, WeeksAhead $weeks, PlanBoards $boards, Plans $plans, Offers $offers): Response
    {
        $more = min(self::MOST_MORE, max(0, (int) $request->query->getString('more')));
        $board = $boards->last();

        return $this->render('plan/ahead.html.twig', ['ahead' => $weeks->from($plans->now(), $more), 'more' => $more, 'board' => $board, 'offer' => $offers->last()]);
    }
}
