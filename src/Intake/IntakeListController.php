<?php

declare(strict_types=1);

namespace AwakeShed\App\Intake;

use AwakeShed\App\Account\Member;
use AwakeShed\App\Http\ButtonForm;
use AwakeShed\App\Job\JobVoter;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\File\UploadedFile;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** A whole barn taken in at once, from a table: tried first, and mended where it stands. */
#[IsGranted(JobVoter::RECORD)]
final class IntakeListController extends AbstractController
{
    private const MOST_BYTES = 200_000;

    public function __construct(private readonly IntakeList $list, private readonly Intake $intake)
    {
    }

    #[Route('/take-in/list', name: 'take_in_list', methods: ['GET', 'POST'])]
    public function list(Request $request, ButtonForm $button, #[CurrentUser] Member $member): Response
    {
        if (!$request->isMethod('POST')) {
            return $this->show('', [], []);
        }
        $key = $button->check($request);
        $upload = $request->files->get('file');
        $isFile = $upload instanceof UploadedFile && $upload->isValid() && $upload->getSize() <= self::MOST_BYTES;
        $text = mb_scrub($isFile ? $upload->getContent() : mb_substr($request->getPayload()->getString('list'), 0, self::MOST_BYTES));
        [$machines, $problems] = $this->list->read($text);
        if ('take' !== $button->text($request, 'do') || [] !== $problems || [] === $machines) {
            return $this->show($text, $machines, $problems);
        }
        foreach ($machines as $line => $machine) {
            $this->intake->takeIn($machine, $member, $key->forPart('line '.$line));
        }
        $this->addFlash('said', 'Taken in. Hang a tag on each: the numbers are below.');

        return $this->redirectToRoute('shed', ['sort' => 'newest'], Response::HTTP_SEE_OTHER);
    }

    #[Route('/take-in/list.csv', name: 'take_in_list_csv', methods: ['GET'])]
    public function template(): Response
    {
        return new Response($this->list->template(), headers: ['Content-Type' => 'text/csv; charset=utf-8', 'Content-Disposition' => 'attachment; filename="machines.csv"']);
    }

    /**
     * @param array<int, IntakeInput>  $machines
     * @param array<int, list<string>> $problems
     */
    private function show(string $text, array $machines, array $problems): Response
    {
        return $this->render('job/take_in_list.html.twig', ['text' => $text, 'machines' => $machines, 'problems' => $problems, 'columns' => IntakeList::COLUMNS], new Response(status: [] === $problems ? Response::HTTP_OK : Response::HTTP_UNPROCESSABLE_ENTITY));
    }
}
