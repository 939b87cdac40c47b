<?php

declare(strict_types=1);

namespace AwakeShed\App\Shelf;

use AwakeShed\App\Account\Member;
use AwakeShed\App\Carburetor\PartsWanted;
use AwakeShed\App\Carburetor\WantedPart;
use AwakeShed\App\Http\Address;
use AwakeShed\App\Http\ButtonForm;
use AwakeShed\App\Job\JobVoter;
use AwakeShed\App\Job\JobWriter;
use AwakeShed\App\Once\OncePerKey;
use AwakeShed\App\Once\RequestKey;
use AwakeShed\App\Presentation\CsvText;
use AwakeShed\App\Words\Words;
use AwakeShed\Core\Refusal;
use AwakeShed\Core\Units\DecimalText;
use Doctrine\ORM\EntityManagerInterface;
use Symfony\Bridge\Doctrine\Attribute\MapEntity;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\File\UploadedFile;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** Parts on the shelf: what lies there, what is to be ordered, and what goes onto a job. */
final class ShelfController extends AbstractController
{
    private const MOST_BYTES = 200_000;

    public function __construct(private readonly PartsShelf $shelf, private readonly ShelfList $list, private readonly EntityManagerInterface $entities, private readonly OncePerKey $once, private readonly ButtonForm $button, private readonly Words $words)
    {
    }

    #[Route('/shelf', name: 'shelf', methods: ['GET'])]
    public function look(): Response
    {
        return $this->page([], null);
    }

    #[Route('/shelf.csv', name: 'shelf_csv', methods: ['GET'])]
    public function csv(Request $request): Response
    {
        $parts = $this->shelf->all();
        $isOrder = $request->query->has('order');

        return new Response($this->list->write($isOrder ? array_values(array_filter($parts, static fn (ShelfPart $part): bool => $part->isToOrder())) : $parts), headers: ['Content-Type' => 'text/csv; charset=utf-8', 'Content-Disposition' => 'attachment; filename="'.($isOrder ? 'order' : 'shelf').'.csv"']);
    }

    #[Route('/shelf', name: 'shelf_new', methods: ['POST'])]
    #[IsGranted(JobVoter::PUT_RIGHT)]
    public function add(Request $request, #[CurrentUser] Member $member): Response
    {
        $key = $this->button->check($request);
        $typed = [];
        foreach (ShelfList::COLUMNS as $field) {
            $typed[$field] = $this->button->text($request, $field);
        }
        [$parts, $problems] = $this->list->read(implode(',', ShelfList::COLUMNS)."\n".CsvText::fromRows(array_values($typed), []));
        if ([] !== $problems) {
            return $this->page($typed, implode(' ', $problems));
        }
        $this->put($parts, $member, $key);

        return $this->saved();
    }

    #[Route('/shelf/import', name: 'shelf_import', methods: ['POST'])]
    #[IsGranted(JobVoter::PUT_RIGHT)]
    public function import(Request $request, #[CurrentUser] Member $member): Response
    {
        $key = $this->button->check($request);
        $upload = $request->files->get('file');
        if (!$upload instanceof UploadedFile || !$upload->isValid() || $upload->getSize() > self::MOST_BYTES) {
            return $this->page([], 'Choose a table (CSV) of up to 200 kB.');
        }
        [$parts, $problems] = $this->list->read(mb_scrub($upload->getContent()));
        if ([] !== $problems) {
            return $this->page([], implode(' ', array_map(static fn (int $line, string $problem): string => $line.': '.$problem, array_keys($problems), $problems)));
        }
        $this->put($parts, $member, $key);

        return $this->saved();
    }

    #[Route('/shelf/{id}/{how}', name: 'shelf_move', requirements: ['id' => Address::NUMBER, 'how' => 'came|counted'], methods: ['POST'])]
    #[IsGranted(JobVoter::PUT_RIGHT)]
    public function move(#[MapEntity(mapping: ['id' => 'id'])] ShelfPart $part, string $how, Request $request, #[CurrentUser] Member $member): Response
    {
        $key = $this->button->check($request);
        try {
            $number = (int) DecimalText::parse($this->button->text($request, 'number'), 0, ShelfPart::MOST);
            $this->once->run($key, $member->getId(), function () use ($part, $how, $number, $member): null {
                $this->shelf->move($part, 'came' === $how ? $number : $number - $part->getCount(), null, $member);

                return null;
            });
        } catch (Refusal $refusal) {
            return $this->page([], $this->words->refusal($refusal));
        }

        return $this->saved();
    }

    /** A wanted part is filled from the shelf. */
    #[Route('/parts/{wanted}/off-the-shelf/{part}', name: 'shelf_fill', requirements: ['wanted' => Address::NUMBER, 'part' => Address::NUMBER], methods: ['POST'])]
    #[IsGranted(JobVoter::RECORD)]
    public function fill(#[MapEntity(mapping: ['wanted' => 'id'])] WantedPart $wanted, #[MapEntity(mapping: ['part' => 'id'])] ShelfPart $part, Request $request, JobWriter $writer, PartsWanted $parts, #[CurrentUser] Member $member): Response
    {
        $job = $wanted->getJob();
        try {
            $writer->write($job, $member, $this->button->check($request), function () use ($wanted, $part, $job, $parts, $member): null {
                $this->entities->refresh($wanted);
                if ($wanted->getState()->isWaitedFor()) {
                    $this->shelf->fill($wanted, $part, $member);
                    $parts->standsAnew($job);
                }

                return null;
            });
            $this->addFlash('said', 'Off the shelf, and on the bill where it has a price.');
        } catch (Refusal) {
            $this->addFlash('refused', 'So many do not lie there. Count the shelf.');
        }

        return $this->redirectToRoute('job_parts', ['job' => $job->getId()], Response::HTTP_SEE_OTHER);
    }

    /** @param list<array{ShelfPart, int}> $parts */
    private function put(array $parts, Member $member, RequestKey $key): void
    {
        $this->once->run($key, $member->getId(), function () use ($parts, $member): null {
            foreach ($parts as [$part, $count]) {
                $this->entities->persist($part);
                $this->entities->flush();
                $this->shelf->move($part, $count, null, $member);
            }

            return null;
        });
    }

    private function saved(): Response
    {
        $this->addFlash('said', 'Saved.');

        return $this->redirectToRoute('shelf', status: Response::HTTP_SEE_OTHER);
    }

    /** @param array<string, string> $typed */
    private function page(array $typed, ?string $problem): Response
    {
        return $this->render('shelf/shelf.html.twig', ['parts' => $this->shelf->all(), 'moves' => $this->shelf->lastMoves(), 'typed' => $typed, 'problem' => $problem], new Response(status: null === $problem ? Response::HTTP_OK : Response::HTTP_UNPROCESSABLE_ENTITY));
    }
}
