<?php

declare(strict_types=1);

namespace AwakeShed\App\Diagnosis;

use AwakeShed\App\Account\Member;
use AwakeShed\App\Http\ButtonForm;
use AwakeShed\App\Words\Words;
use AwakeShed\Core\Diagnosis\ImpossibleOdds;
use AwakeShed\Core\Diagnosis\Odds;
use AwakeShed\Core\Refusal;
use AwakeShed\Core\Units\DecimalText;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** The odds behind the diagnosis: to be read by anybody, changed by the owner, compared with what ships, and put back. */
#[Route('/odds')]
final class OddsController extends AbstractController
{
    private const ID = '[a-z_]+\.[a-z_]+';

    public function __construct(private readonly ShopOdds $shop, private readonly OddsSheet $sheet, private readonly ButtonForm $button, private readonly Words $words)
    {
    }

    #[Route('', name: 'odds', methods: ['GET'])]
    public function index(OwnOddsRepository $own): Response
    {
        return $this->render('diagnosis/odds.html.twig', ['own' => $own->byPath(), 'shipped' => Odds::shipped(), 'odds' => $this->shop->odds(), 'sheet' => $this->sheet]);
    }

    #[Route('/faults/{fault}', name: 'odds_fault', requirements: ['fault' => self::ID], methods: ['GET', 'POST'])]
    public function fault(string $fault, Request $request, #[CurrentUser] Member $member): Response
    {
        $odds = $this->shop->odds();
        if (!isset($odds->numbers['faults'][$fault])) {
            throw $this->createNotFoundException('There is no such fault.');
        }
        $rows = $this->sheet->ofFault($odds, $fault, $request->query->getString('test'));

        return $this->page($request, $member, $odds, $this->words->fault($fault), $rows, $this->sheet->testsLeft($odds, $fault));
    }

    #[Route('/tests/{test}', name: 'odds_test', requirements: ['test' => self::ID], methods: ['GET', 'POST'])]
    public function test(string $test, Request $request, #[CurrentUser] Member $member): Response
    {
        $odds = $this->shop->odds();
        if (!isset($odds->numbers['sound'][$test])) {
            throw $this->createNotFoundException('There is no such test.');
        }

        return $this->page($request, $member, $odds, $this->words->test($test), $this->sheet->ofTest($odds, $test));
    }

    #[Route('/claims', name: 'odds_claims', methods: ['GET', 'POST'])]
    public function claims(Request $request, #[CurrentUser] Member $member): Response
    {
        $odds = $this->shop->odds();

        return $this->page($request, $member, $odds, 'What customers say', $this->sheet->ofClaims($odds));
    }

    #[Route('/reset', name: 'odds_reset', methods: ['POST'])]
    #[IsGranted(OddsVoter::WRITE)]
    public function reset(Request $request, #[CurrentUser] Member $member): Response
    {
        $key = $this->button->check($request);
        $path = $this->button->text($request, 'path');
        $this->shop->reset('' === $path ? [] : [$path], $member, $key);
        $this->addFlash('said', 'Back to what ships.');

        return $this->redirectToRoute('odds', status: Response::HTTP_SEE_OTHER);
    }

    /**
     * @param list<array{title: string, paths: array<string, string>}> $rows
     * @param array<int, string>                                       $more tests a fault may be given shares in
     */
    private function page(Request $request, Member $member, Odds $odds, string $title, array $rows, array $more = []): Response
    {
        $paths = array_keys(array_merge([], ...array_column($rows, 'paths')));
        $typed = $problems = [];
        if ($request->isMethod('POST')) {
            $this->denyAccessUnlessGranted(OddsVoter::WRITE);
            $key = $this->button->check($request);
            $sent = $request->getPayload()->all('odds');
            $said = [];
            foreach ($paths as $path) {
                $text = \is_string($sent[$path] ?? null) ? mb_substr(mb_scrub($sent[$path]), 0, 30) : '';
                $typed[$path] = $text;
                try {
                    $said[$path] = DecimalText::parse($text, 0.0, 100.0) / 100;
                } catch (Refusal $refusal) {
                    $problems[$path] = $this->words->refusal($refusal);
                }
            }
            try {
                if ([] === $problems) {
                    $this->shop->change($said, $member, $key);
                    $this->addFlash('said', 'Saved. Every job is judged by it from now on.');

                    return $this->redirect($request->getPathInfo(), Response::HTTP_SEE_OTHER);
                }
            } catch (ImpossibleOdds $impossible) {
                $problems[(string) $impossible->figures()['path']] = $this->words->refusal($impossible);
            }
        }

        return $this->render('diagnosis/odds_sheet.html.twig', [
            'title' => $title,
            'rows' => $rows,
            'odds' => $odds,
            'shipped' => Odds::shipped(),
            'typed' => $typed,
            'problems' => $problems,
            'more' => $more,
        ], new Response(status: [] === $problems ? Response::HTTP_OK : Response::HTTP_UNPROCESSABLE_ENTITY));
    }
}
