<?php

declare(strict_types=1);

namespace AwakeShed\App\Oil;

use AwakeShed\App\Account\Member;
use AwakeShed\App\Http\Address;
use AwakeShed\App\Http\ButtonForm;
use AwakeShed\App\Job\JobVoter;
use AwakeShed\App\Once\OncePerKey;
use AwakeShed\App\Presentation\CsvText;
use AwakeShed\App\Unit\Measure;
use AwakeShed\App\Unit\Quantities;
use AwakeShed\Core\Units\ImpossibleAmount;
use AwakeShed\Core\Units\UnreadableAmount;
use AwakeShed\Core\Units\Volume;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** The oil on the shelf: what is there, what came, what was counted. */
final class OilController extends AbstractController
{
    private const HOW_MUCH = 'How much of it: a tenth of a liter to 250 liters.';

    public function __construct(private readonly Shelf $shelf, private readonly OncePerKey $once, private readonly ButtonForm $button, private readonly Quantities $quantities)
    {
    }

    #[Route('/oil', name: 'oil', methods: ['GET'])]
    public function shelf(): Response
    {
        return $this->page([], null);
    }

    #[Route('/oil.csv', name: 'oil_csv', methods: ['GET'])]
    public function csv(): Response
    {
        $csv = CsvText::fromRows(['oil', 'left_ml', 'used_ml'], array_map(static fn (Stock $stock): array => [$stock->name, $stock->left->inMillilitres(), $stock->used->inMillilitres()], $this->shelf->stocks()));

        return new Response($csv, headers: ['Content-Type' => 'text/csv; charset=utf-8', 'Content-Disposition' => 'attachment; filename="oil.csv"']);
    }

    /** An oil the shed has not kept before. */
    #[Route('/oil', name: 'oil_new', methods: ['POST'])]
    #[IsGranted(JobVoter::PUT_RIGHT)]
    public function add(Request $request, #[CurrentUser] Member $member): Response
    {
        $key = $this->button->check($request);
        $name = $this->button->text($request, 'name');
        $typed = ['name' => $name, 'volume' => $this->button->text($request, 'volume')];
        if ('' === $name || mb_strlen($name) > Oil::LONGEST_NAME) {
            return $this->page($typed, 'Give it a name of 1 to 60 characters.');
        }
        if ($this->shelf->isNamed($name)) {
            return $this->page($typed, 'An oil of that name is on the shelf already: add to it there.');
        }
        try {
            $volume = $this->quantities->read($typed['volume'], Measure::OilVolume, Volume::class, possible: OilMove::bounds(OilMove::LEAST_BOUGHT_ML));
            $this->once->run($key, $member->getId(), function () use ($name, $volume, $member): null {
                $this->shelf->bought(new Oil($name), $volume, $member);

                return null;
            });
        } catch (ImpossibleAmount|UnreadableAmount) {
            return $this->page($typed, self::HOW_MUCH);
        }

        return $this->saved();
    }

    #[Route('/oil/{id}/{how}', name: 'oil_move', requirements: ['id' => Address::NUMBER, 'how' => 'bought|counted'], methods: ['POST'])]
    #[IsGranted(JobVoter::PUT_RIGHT)]
    public function move(int $id, string $how, Request $request, #[CurrentUser] Member $member): Response
    {
        $key = $this->button->check($request);
        $oil = $this->shelf->find($id) ?? throw $this->createNotFoundException('There is no such oil.');
        $typed = $this->button->text($request, 'volume');
        try {
            $volume = $this->quantities->read($typed, Measure::OilVolume, Volume::class, possible: OilMove::bounds('bought' === $how ? OilMove::LEAST_BOUGHT_ML : 0.0));
            $this->once->run($key, $member->getId(), function () use ($oil, $how, $volume, $member): null {
                'bought' === $how ? $this->shelf->bought($oil, $volume, $member) : $this->shelf->counted($oil, $volume, $member);

                return null;
            });
        } catch (ImpossibleAmount|UnreadableAmount) {
            return $this->page([$how.$id => $typed], self::HOW_MUCH);
        }

        return $this->saved();
    }

    private function saved(): Response
    {
        $this->addFlash('said', 'Saved.');

        return $this->redirectToRoute('oil', status: Response::HTTP_SEE_OTHER);
    }

    /** @param array<string, string> $typed by field */
    private function page(array $typed, ?string $problem): Response
    {
        return $this->render(
            'oil/shelf.html.twig',
            ['stocks' => $this->shelf->stocks(), 'typed' => $typed, 'problem' => $problem, 'unit' => $this->quantities->unit(Measure::OilVolume)->symbol()],
            new Response(status: null === $problem ? Response::HTTP_OK : Response::HTTP_UNPROCESSABLE_ENTITY),
        );
    }
}
