<?php

declare(strict_types=1);

namespace AwakeShed\App\Plan;

use AwakeShed\App\Account\SessionMember;
use AwakeShed\App\Http\Address;
use AwakeShed\App\Presentation\CsvText;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/** The plan of the day and the next: looked at, never made here. */
final class PlanController extends AbstractController
{
    /** Days that can be turned to. */
    private const DAYS = 7;

    public function __construct(private readonly PlanBoards $boards, private readonly DayCharts $charts, private readonly Plans $plans, private readonly AfterChanges $after)
    {
    }

    #[Route('/plan', name: 'plan', methods: ['GET'])]
    public function look(Request $request, #[CurrentUser] SessionMember $member): Response
    {
        $board = $this->boards->last();
        if (null === $board) {
            return $this->render('plan/none.html.twig');
        }
        if ($this->plans->isBehind()) {
            $this->after->catchUp();
        }
        $now = $this->plans->now();
        $days = $board->days(self::DAYS);
        $day = $this->day($request, $days, $now);

        return $this->render('plan/plan.html.twig', [
            'board' => $board,
            'day' => $day,
            'days' => $days,
            'now' => $now,
            'chart' => $this->charts->draw($board, $day, $now),
            'items' => $board->byHandsOn($day),
            'own' => $board->of($member->getId()),
            'people' => $board->atWork(),
            'made_at' => $board->madeAt,
            // Whose list is shown to its end.
            'whole' => (int) $request->query->getString('whole'),
            // A list has many of these addresses, which differ in job and piece only.
            'pieces' => substr($this->generateUrl('plan_piece', ['job' => 1, 'kind' => 'piece']), 0, -\strlen('1/piece')),
        ]);
    }

    /** One piece of work, with what can be said of it. */
    #[Route('/plan/{job}/{kind}', name: 'plan_piece', requirements: ['job' => Address::NUMBER, 'kind' => '[a-z_]{1,30}'], methods: ['GET'])]
    public function piece(int $job, string $kind): Response
    {
        $board = $this->boards->last() ?? throw $this->createNotFoundException('There is no plan yet.');
        foreach ($board->items as $item) {
            if ($item->job->id === $job && $item->kind === $kind) {
                return $this->render('plan/piece.html.twig', ['item' => $item, 'people' => $board->atWork()]);
            }
        }
        throw $this->createNotFoundException('That is not planned any more.');
    }

    /** The sheet that is hung up in the morning: who does what, in order, with room for a tick. */
    #[Route('/plan/sheet', name: 'plan_sheet', methods: ['GET'])]
    public function sheet(Request $request): Response
    {
        $board = $this->boards->last() ?? throw $this->createNotFoundException('There is no plan yet.');
        $now = $this->plans->now();
        $day = $this->day($request, $board->days(self::DAYS), $now);
        $items = $board->byHandsOn($day);
        $own = array_map(static fn (Hand $one): array => [$one, $items[$one->id] ?? []], $board->atWork());

        return $this->render('plan/sheet.html.twig', ['board' => $board, 'day' => $day, 'own' => $own, 'chart' => $this->charts->draw($board, $day, $now)]);
    }

    #[Route('/plan.svg', name: 'plan_svg', methods: ['GET'])]
    public function drawing(Request $request): Response
    {
        $board = $this->boards->last() ?? throw $this->createNotFoundException('There is no plan yet.');
        $now = $this->plans->now();
        $response = $this->render('drawing/plan.svg.twig', ['drawing' => $this->charts->draw($board, $this->day($request, $board->days(self::DAYS), $now), $now), 'standalone' => true]);
        $response->headers->add(['Content-Type' => 'image/svg+xml', 'Content-Disposition' => 'attachment; filename="plan.svg"']);

        return $response;
    }

    #[Route('/plan.csv', name: 'plan_csv', methods: ['GET'])]
    public function table(PlanWords $words): Response
    {
        $rows = array_map(static fn (PlanItem $item): array => [
            $item->start->format(\DATE_ATOM), $item->end->format(\DATE_ATOM), $item->hands->name ?? '', implode(' ', $item->places), $item->job->id, $item->job->label, $item->kind, $words->piece($item->kind), $item->isWait ? 'wait' : ($item->isLikely ? 'likely' : 'sure'),
        ], $this->boards->last()->items ?? []);

        return new Response(CsvText::fromRows(['begins_at', 'ends_at', 'hands', 'places', 'job', 'machine', 'piece', 'words', 'certainty'], $rows), headers: ['Content-Type' => 'text/csv; charset=utf-8', 'Content-Disposition' => 'attachment; filename="plan.csv"']);
    }

    /** @param list<\DateTimeImmutable> $days */
    private function day(Request $request, array $days, \DateTimeImmutable $now): \DateTimeImmutable
    {
        $asked = $request->query->getString('day');
        foreach ($days as $day) {
            if ($day->format('Y-m-d') === $asked) {
                return $day;
            }
        }

        // Of a shop that has shut for today the next day says more.
        return $days[0] ?? $now->setTime(0, 0);
    }
}
