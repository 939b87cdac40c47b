<?php

declare(strict_types=1);

namespace AwakeShed\App\Money;

use AwakeShed\App\Account\Member;
use AwakeShed\App\Account\Role;
use AwakeShed\App\Audit\Deed;
use AwakeShed\App\Audit\Trail;
use AwakeShed\App\Http\ButtonForm;
use AwakeShed\App\Once\OncePerKey;
use AwakeShed\App\Words\Words;
use AwakeShed\Core\Refusal;
use AwakeShed\Core\Units\DecimalText;
use Doctrine\ORM\EntityManagerInterface;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** The shop's price book; for the owner. */
#[IsGranted(Role::OWNER_NAME)]
final class PricesController extends AbstractController
{
    public function __construct(private readonly PriceBook $book, private readonly ButtonForm $button, private readonly Words $words)
    {
    }

    #[Route('/prices', name: 'prices', methods: ['GET'])]
    public function look(): Response
    {
        return $this->page([], []);
    }

    #[Route('/prices', name: 'prices_set', methods: ['POST'])]
    public function set(Request $request, OncePerKey $once, EntityManagerInterface $entities, Trail $trail, #[CurrentUser] Member $owner): Response
    {
        $key = $this->button->check($request);
        $typed = $prices = $problems = [];
        foreach (Prices::BOUNDS as $price => $bounds) {
            $typed[$price] = $this->button->text($request, $price);
            try {
                $prices[$price] = DecimalText::within(trim($typed[$price], " $\u{a0}"), ...$bounds);
            } catch (Refusal $refusal) {
                $problems[$price] = $this->words->refusal($refusal);
            }
        }
        if ([] !== $problems) {
            return $this->page($typed, $problems);
        }
        $isLaborTaxed = 'on' === $this->button->text($request, 'labor_taxed');
        $once->run($key, $owner->getId(), function () use ($prices, $isLaborTaxed, $entities, $trail, $owner): null {
            $book = $this->book->prices();
            $before = $book->all();
            $book->set($prices, $isLaborTaxed);
            $entities->persist($book);
            $trail->change($owner->getId(), Deed::PricesSet, '', $before, $book->all());

            return null;
        });
        $this->addFlash('said', 'Saved.');

        return $this->redirectToRoute('prices', status: Response::HTTP_SEE_OTHER);
    }

    /**
     * @param array<string, string> $typed
     * @param array<string, string> $problems by price
     */
    private function page(array $typed, array $problems): Response
    {
        return $this->render('money/prices.html.twig', ['prices' => $this->book->prices(), 'typed' => $typed, 'problems' => $problems], new Response(status: [] === $problems ? Response::HTTP_OK : Response::HTTP_UNPROCESSABLE_ENTITY));
    }
}
