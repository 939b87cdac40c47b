<?php

declare(strict_types=1);

namespace AwakeShed\App\Exchange;

use AwakeShed\App\Account\Member;
use AwakeShed\App\Account\Role;
use AwakeShed\App\Audit\Deed;
use AwakeShed\App\Audit\Trail;
use AwakeShed\App\Evidence\Recorder;
use AwakeShed\App\Http\ButtonForm;
use AwakeShed\App\Job\Job;
use AwakeShed\App\Money\Estimate;
use AwakeShed\App\Money\EstimateRepository;
use AwakeShed\App\Once\OncePerKey;
use AwakeShed\App\Sheet\SentSheet;
use AwakeShed\App\Sheet\SentSheetRepository;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** What is kept of the owner of a machine, to be handed out or erased. */
#[IsGranted(Role::OWNER_NAME)]
final class OwnersController extends AbstractController
{
    public function __construct(private readonly OwnersJobs $owners)
    {
    }

    #[Route('/owners', name: 'owners', methods: ['GET'])]
    public function find(Request $request): Response
    {
        $name = trim($request->query->getString('name'));

        return $this->render('exchange/owners.html.twig', ['name' => $name, 'jobs' => '' === $name ? [] : $this->owners->ofOwner($name), 'like' => '' === $name ? [] : $this->owners->namesLike($name), 'most' => OwnersJobs::MOST_NAMES]);
    }

    #[Route('/owners.json', name: 'owner_export', methods: ['GET'])]
    public function export(Request $request, Recorder $recorder, CaseFiles $cases, EstimateRepository $estimates, SentSheetRepository $sheets): Response
    {
        $name = trim($request->query->getString('name'));
        $kept = array_map(static fn (Job $job): array => [
            'job' => $job->getId(),
            'machine' => $job->getMachine()->getLabel(),
            'contact' => $job->getMachine()->getOwnerContact(),
            'taken_in' => $job->getTakenInAt()->format(\DATE_ATOM),
            'wanted_by' => $job->getWantedBy()?->format('Y-m-d'),
            'handed_back' => $job->getHandedBackAt()?->format(\DATE_ATOM),
            'remarks' => $job->getRemarks(),
            'estimates' => array_map(static fn (Estimate $estimate): array => ['at' => $estimate->getAt()->format(\DATE_ATOM), 'least' => $estimate->getLeast(), 'most' => $estimate->getMost(), 'text' => $estimate->getText(), 'word' => $estimate->getWord()?->value, 'up_to' => $estimate->getUpTo(), 'said_by' => $estimate->getSaidBy()], $estimates->ofJob($job)),
            'sheets' => array_map(static fn (SentSheet $sheet): array => ['at' => $sheet->getAt()->format(\DATE_ATOM), 'kind' => $sheet->getKind()->value, 'to' => $sheet->getSentTo(), 'sha256' => $sheet->getSha256()], $sheets->ofJob($job)),
            'case' => json_decode($cases->print($recorder->open($job)->case()), true, flags: \JSON_THROW_ON_ERROR),
        ], $this->owners->ofOwner($name));
        $response = new JsonResponse(['owner' => $name, 'jobs' => $kept]);
        $response->headers->set('Content-Disposition', 'attachment; filename="owner.json"');

        return $response;
    }

    /** The name and all that leads to it goes; the jobs and what was found on the machines stay. */
    #[Route('/owners/erase', name: 'owner_erase', methods: ['POST'])]
    public function erase(Request $request, ButtonForm $button, OncePerKey $once, Trail $trail, #[CurrentUser] Member $member): Response
    {
        $key = $button->check($request);
        $name = $button->text($request, 'name');
        if ('' === $name || 'erase' !== mb_strtolower($button->text($request, 'sure'))) {
            $this->addFlash('refused', 'Nothing was erased: the word was not typed.');

            return $this->redirectToRoute('owners', ['name' => $name], Response::HTTP_SEE_OTHER);
        }
        $once->run($key, $member->getId(), function () use ($name, $trail, $member): null {
            // Whose it was is just what the trail must not keep.
            $trail->note($member->getId(), Deed::OwnerErased, '', [], ['jobs' => $this->owners->erase($name)]);

            return null;
        });
        $this->addFlash('said', 'Erased. The jobs stay.');

        return $this->redirectToRoute('owners', status: Response::HTTP_SEE_OTHER);
    }
}
