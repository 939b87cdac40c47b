<?php

declare(strict_types=1);

namespace AwakeShed\App\Exchange;

use AwakeShed\App\Account\Member;
use AwakeShed\App\Evidence\Recorder;
use AwakeShed\App\Form\Carried;
use AwakeShed\App\Http\Address;
use AwakeShed\App\Intake\Intake;
use AwakeShed\App\Job\Job;
use AwakeShed\App\Job\JobVoter;
use AwakeShed\Core\Evidence\CaseFormat;
use AwakeShed\Core\Evidence\UnreadableCase;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\BinaryFileResponse;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** Jobs out to, and in from, the open case format. */
final class ExchangeController extends AbstractController
{
    public function __construct(private readonly CaseFiles $files)
    {
    }

    #[Route('/jobs/{job}/case.json', name: 'case_export', requirements: ['job' => Address::NUMBER], methods: ['GET'])]
    public function export(Job $job, Recorder $recorder): Response
    {
        $response = JsonResponse::fromJsonString($this->files->print($recorder->open($job)->case()));
        $response->headers->set('Content-Disposition', \sprintf('attachment; filename="job-%d-case.json"', $job->getId()));

        return $response;
    }

    #[Route('/case.schema.json', name: 'case_schema', methods: ['GET'])]
    public function schema(): Response
    {
        return new BinaryFileResponse(CaseFormat::SCHEMA, headers: ['Content-Type' => 'application/schema+json']);
    }

    #[Route('/import', name: 'case_import', methods: ['GET', 'POST'])]
    #[IsGranted(JobVoter::IMPORT)]
    public function import(Request $request, Intake $intake, #[CurrentUser] Member $member): Response
    {
        $input = new ImportInput();
        $form = $this->createForm(ImportType::class, $input);
        $form->handleRequest($request);
        $problems = [];
        if ($form->isSubmitted() && $form->isValid()) {
            try {
                $case = $this->files->parse($input->json());
                $number = $intake->import($case, (string) $input->label, (string) $input->ownerName, $member, Carried::keyOf($form, $request));
                $this->addFlash('said', 'Imported. The gates were worked out anew from what the file says.');

                return $this->redirectToRoute('job', ['job' => $number], Response::HTTP_SEE_OTHER);
            } catch (UnreadableCase $unreadable) {
                $problems = $unreadable->problems;
            }
        }

        return $this->render('exchange/import.html.twig', ['form' => $form, 'problems' => $problems], new Response(
            status: [] === $problems ? Response::HTTP_OK : Response::HTTP_UNPROCESSABLE_ENTITY,
        ));
    }
}
