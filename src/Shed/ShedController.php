<?php

declare(strict_types=1);

namespace AwakeShed\App\Shed;

use AwakeShed\App\Carburetor\WantedPartRepository;
use AwakeShed\Core\Evidence\MachineKind;
use AwakeShed\Core\Progress\Progress;
use Psr\Clock\ClockInterface;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/** The shed: the machines in it, what each waits for. */
final class ShedController extends AbstractController
{
    #[Route('/', name: 'shed', methods: ['GET'])]
    public function shed(Request $request, ShedList $list, WantedPartRepository $wanted, ClockInterface $clock): Response
    {
        $query = ShedQuery::fromAddress($request->query);
        if (1 === preg_match('/^([1-9]\d{0,8})-(\d{1,3})$/', $query->find, $label)) {
            // What stands on the label of a tray.
            return $this->redirectToRoute('carburetor', ['job' => $label[1], 'place' => $label[2]]);
        }

        $page = $list->page($query);

        return $this->render('job/shed.html.twig', [
            'query' => $query,
            'page' => $page,
            'now' => $clock->now(),
            'wanted' => $wanted->waitedFor(array_column($page->rows, 'id')),
            'counts' => $list->counts($query),
            'kinds' => MachineKind::cases(),
            'stands' => array_values(array_filter(Progress::cases(), static fn (Progress $progress): bool => Progress::HandedBack !== $progress)),
            'sorts' => ShedSort::cases(),
        ]);
    }

    #[Route('/keys', name: 'keys', methods: ['GET'])]
    public function keys(): Response
    {
        return $this->render('job/keys.html.twig');
    }
}
