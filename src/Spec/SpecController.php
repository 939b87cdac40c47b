<?php

declare(strict_types=1);

namespace AwakeShed\App\Spec;

use AwakeShed\App\Account\Member;
use AwakeShed\App\Audit\Deed;
use AwakeShed\App\Audit\Trail;
use AwakeShed\App\Form\Carried;
use AwakeShed\App\Form\ChangedSince;
use AwakeShed\App\Form\SideBySide;
use AwakeShed\App\Http\Address;
use AwakeShed\App\Http\ButtonForm;
use AwakeShed\App\Once\OncePerKey;
use AwakeShed\App\Once\RequestKey;
use AwakeShed\Core\Spec\EngineClasses;
use AwakeShed\Core\Spec\SpecFigure;
use AwakeShed\Core\Spec\SpecValue;
use Doctrine\ORM\EntityManagerInterface;
use Symfony\Bridge\Doctrine\Attribute\MapEntity;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\Form\FormError;
use Symfony\Component\Form\FormInterface;
use Symfony\Component\HttpFoundation\BinaryFileResponse;
use Symfony\Component\HttpFoundation\File\UploadedFile;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;
use Symfony\Contracts\Translation\TranslatorInterface;

/** The spec book: the shop's own pages, the engine classes behind them, and what a job looks up in both. */
final class SpecController extends AbstractController
{
    private const MOST_BYTES = 4_000_000;

    public function __construct(
        private readonly SpecPageRepository $pages,
        private readonly EngineClasses $classes,
        private readonly SpecBookFile $file,
        private readonly OncePerKey $once,
        private readonly EntityManagerInterface $entities,
        private readonly TranslatorInterface $translator,
        private readonly SideBySide $sideBySide,
        private readonly Trail $trail,
    ) {
    }

    #[Route('/spec', name: 'spec', methods: ['GET'])]
    public function book(): Response
    {
        return $this->render('spec/book.html.twig', ['pages' => $this->pages->byName(), 'classes' => $this->classes->classes, 'problems' => []]);
    }

    #[Route('/spec.{format}', name: 'spec_export', requirements: ['format' => 'csv|json'], methods: ['GET'])]
    public function export(string $format): Response
    {
        $pages = $this->pages->byName();

        return new Response('csv' === $format ? $this->file->csv($pages) : $this->file->json($pages), headers: [
            'Content-Type' => 'csv' === $format ? 'text/csv; charset=utf-8' : 'application/json',
            'Content-Disposition' => \sprintf('attachment; filename="spec-book.%s"', $format),
        ]);
    }

    #[Route('/spec-book.schema.json', name: 'spec_schema', methods: ['GET'])]
    public function schema(): Response
    {
        return new BinaryFileResponse(SpecBookFile::SCHEMA, headers: ['Content-Type' => 'application/schema+json']);
    }

    #[Route('/spec/import', name: 'spec_import', methods: ['POST'])]
    #[IsGranted(SpecBookVoter::WRITE)]
    public function import(Request $request, ButtonForm $button, #[CurrentUser] Member $member): Response
    {
        $key = $button->check($request);
        $upload = $request->files->get('file');
        $text = $upload instanceof UploadedFile && $upload->isValid() && $upload->getSize() <= self::MOST_BYTES ? $upload->getContent() : '';
        try {
            if ('' === $text) {
                throw new UnreadableSpecs([new SpecProblem('', $this->translator->trans('There is no file, or it is larger than 4 MB.'))]);
            }
            $read = $this->file->parse($text);
        } catch (UnreadableSpecs $unreadable) {
            return $this->render('spec/book.html.twig', ['pages' => $this->pages->byName(), 'classes' => $this->classes->classes, 'problems' => $unreadable->problems], new Response(status: Response::HTTP_UNPROCESSABLE_ENTITY));
        }
        $this->once->run($key, $member->getId(), function () use ($read, $member): null {
            $this->trail->note($member->getId(), Deed::SpecBookRead, implode(', ', array_keys($read)));
            $known = [];
            $this->pages->holdBook();
            foreach ($this->pages->byNameAnew() as $page) {
                $known[self::keyOf($page->getName())] = $page;
            }
            foreach ($read as $name => ['kind' => $kind, 'values' => $values]) {
                $page = $known[self::keyOf((string) $name)] ??= new SpecPage((string) $name, $kind);
                $page->call($page->getName(), $kind ?? $page->getKind());
                // Figures the file is silent about stay.
                $page->write([...$page->values(), ...$values]);
                $this->entities->persist($page);
            }

            return null;
        });
        $this->addFlash('said', 'The spec book has been read in.');

        return $this->redirectToRoute('spec', status: Response::HTTP_SEE_OTHER);
    }

    #[Route('/spec/new', name: 'spec_new', methods: ['GET', 'POST'])]
    #[IsGranted(SpecBookVoter::WRITE)]
    public function new(Request $request, #[CurrentUser] Member $member): Response
    {
        return $this->edited($request, null, SpecPageInput::fromPage(null), $member);
    }

    #[Route('/spec/{page}', name: 'spec_page', requirements: ['page' => Address::NUMBER], methods: ['GET', 'POST'])]
    public function page(#[MapEntity(id: 'page')] SpecPage $page, Request $request, #[CurrentUser] Member $member): Response
    {
        if ($request->isMethod('POST')) {
            $this->denyAccessUnlessGranted(SpecBookVoter::WRITE);
        }

        return $this->edited($request, $page, SpecPageInput::fromPage($page), $member);
    }

    private function edited(Request $request, ?SpecPage $page, SpecPageInput $input, Member $member): Response
    {
        $form = $this->createForm(SpecPageType::class, $input);
        $form->handleRequest($request);
        $changed = null;
        if ($form->isSubmitted() && $form->isValid() && $this->areInOrder($form, $input) && $this->isNameFree($form, $input, $page)) {
            try {
                $this->save($page, $input, $form, Carried::keyOf($form, $request), $member);
                $this->addFlash('said', 'Saved.');

                return $this->redirectToRoute('spec', status: Response::HTTP_SEE_OTHER);
            } catch (ChangedSince $changed) {
            }
        }
        $view = $form->createView();
        $changed?->rebase($view);

        return $this->render('spec/page.html.twig', ['form' => $view, 'page' => $page, 'differences' => $changed->differences ?? []], new Response(
            status: $form->isSubmitted() ? Response::HTTP_UNPROCESSABLE_ENTITY : Response::HTTP_OK,
        ));
    }

    /**
     * A least above its most is a slip.
     *
     * @param FormInterface<SpecPageInput> $form
     */
    private function areInOrder(FormInterface $form, SpecPageInput $input): bool
    {
        foreach ([[SpecFigure::LashLeast, SpecFigure::LashMost], [SpecFigure::CoilGapLeast, SpecFigure::CoilGapMost], [SpecFigure::PlugGapLeast, SpecFigure::PlugGapMost]] as [$least, $most]) {
            [$from, $to] = [$input->rows[$least->value]->amount, $input->rows[$most->value]->amount];
            if (null !== $from && null !== $to && $from->isGreaterThan($to)) {
                $form->get('rows')->get($most->value)->get('amount')->addError(new FormError($this->translator->trans('This is less than the least above it.')));

                return false;
            }
        }

        return true;
    }

    /** Names that the database takes for the same, it too being blind to case and accents. */
    private static function keyOf(string $name): string
    {
        return (string) transliterator_transliterate('Any-Latin; Latin-ASCII; Lower()', trim($name));
    }

    /**
     * Asked before it is written: a name refused by the database would take the whole unit of work with it.
     *
     * @param FormInterface<SpecPageInput> $form
     */
    private function isNameFree(FormInterface $form, SpecPageInput $input, ?SpecPage $page): bool
    {
        $other = $this->pages->named((string) $input->name);
        $isFree = null === $other || $other === $page;
        if (!$isFree) {
            $form->get('name')->addError(new FormError($this->translator->trans('There is a page of this name.')));
        }

        return $isFree;
    }

    /**
     * @param FormInterface<SpecPageInput> $form
     *
     * @throws ChangedSince when somebody saved it meanwhile
     */
    private function save(?SpecPage $page, SpecPageInput $input, FormInterface $form, RequestKey $key, Member $member): void
    {
        $this->once->run($key, $member->getId(), function () use ($page, $input, $form, $member): null {
            if (null !== $page) {
                $this->pages->holdBook();
                $this->entities->refresh($page);
                $this->sideBySide->demandUnchanged($form, $this->createForm(SpecPageType::class, $input), $this->createForm(SpecPageType::class, SpecPageInput::fromPage($page)));
                $page->call((string) $input->name, $input->kind);
            }
            $before = null === $page ? [] : self::figures($page);
            $page ??= new SpecPage((string) $input->name, $input->kind);
            $page->write($input->values());
            $this->trail->change($member->getId(), Deed::SpecPageChanged, $page->getName(), $before, self::figures($page));
            $this->entities->persist($page);

            return null;
        });
    }

    /** @return array<string, float> figure => amount */
    private static function figures(SpecPage $page): array
    {
        return array_map(static fn (SpecValue $value): float => $value->amount, $page->values());
    }
}
