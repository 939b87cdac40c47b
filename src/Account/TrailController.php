<?php

declare(strict_types=1);

namespace AwakeShed\App\Account;

use AwakeShed\App\Audit\AuditNote;
use AwakeShed\App\Audit\Deed;
use AwakeShed\App\Audit\Notes;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** What each role may, for everybody; and who did what to the shed, for the owner. */
final class TrailController extends AbstractController
{
    #[Route('/roles', name: 'roles', methods: ['GET'])]
    public function roles(): Response
    {
        $rights = [];
        foreach (Rights::ofChanges() as $route => $right) {
            $rights[$right->value][] = $route;
        }

        return $this->render('account/roles.html.twig', ['rights' => $rights]);
    }

    #[Route('/audit', name: 'audit', methods: ['GET'])]
    #[IsGranted(Role::OWNER_NAME)]
    public function trail(Request $request, Notes $notes, MemberRepository $members): Response
    {
        $what = Deed::tryFrom($request->query->getString('what'));
        $before = filter_var($request->query->getString('before'), \FILTER_VALIDATE_INT, ['options' => ['min_range' => 1]]);
        $shown = $notes->latest($what, \is_int($before) ? $before : null);
        $names = [];
        foreach ($members->findBy(['id' => array_values(array_unique(array_filter(array_map(static fn (AuditNote $note): ?int => $note->getMemberId(), $shown), is_int(...))))]) as $member) {
            $names[$member->getId()] = $member->getName();
        }

        return $this->render('account/audit.html.twig', ['notes' => $shown, 'names' => $names, 'what' => $what, 'deeds' => Deed::cases(), 'more' => Notes::PAGE === \count($shown)]);
    }
}
