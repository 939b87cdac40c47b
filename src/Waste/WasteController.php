<?php

declare(strict_types=1);

namespace AwakeShed\App\Waste;

use AwakeShed\App\Account\Member;
use AwakeShed\App\Account\OwnVoter;
use AwakeShed\App\Audit\Deed;
use AwakeShed\App\Audit\Trail;
use AwakeShed\App\Belonging\CurrentShop;
use AwakeShed\App\Form\Carried;
use AwakeShed\App\Http\Address;
use AwakeShed\App\Http\ButtonForm;
use AwakeShed\App\Job\Job;
use AwakeShed\App\Job\JobVoter;
use AwakeShed\App\Job\JobWriter;
use AwakeShed\App\Once\OncePerKey;
use AwakeShed\App\Presentation\CsvText;
use AwakeShed\App\Unit\Measure;
use AwakeShed\App\Unit\Quantities;
use AwakeShed\App\Words\Words;
use AwakeShed\Core\Fuel\WasteStream;
use AwakeShed\Core\Units\ImpossibleAmount;
use AwakeShed\Core\Units\UnreadableAmount;
use AwakeShed\Core\Units\Volume;
use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;
use Symfony\Bridge\Doctrine\Attribute\MapEntity;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpFoundation\StreamedResponse;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** What was poured away, by can. */
final class WasteController extends AbstractController
{
    public function __construct(
        private readonly CurrentShop $shop,
        private readonly WasteRepository $waste,
        private readonly EntityManagerInterface $entities,
        private readonly OncePerKey $once,
        private readonly JobWriter $writer,
        private readonly ClockInterface $clock,
        private readonly WasteLedger $ledger,
        private readonly Trail $trail,
        private readonly Quantities $quantities,
        private readonly Words $words,
    ) {
    }

    #[Route('/waste', name: 'waste', methods: ['GET'])]
    public function totals(): Response
    {
        return $this->shed([], []);
    }

    #[Route('/waste.csv', name: 'waste_csv', methods: ['GET'])]
    public function csv(): Response
    {
        $rows = (function (): iterable {
            foreach ($this->waste->ledger() as ['at' => $at, 'job' => $job, 'machine' => $machine, 'stream' => $stream, 'can' => $can, 'ml' => $ml, 'person' => $person]) {
                yield [$at, $job, $machine, $stream, $can ?? '', $ml, $person];
            }
        })();

        return new StreamedResponse(CsvText::lines(['at', 'job', 'machine', 'stream', 'can', 'ml', 'by'], $rows), headers: ['Content-Type' => 'text/csv; charset=utf-8', 'Content-Disposition' => 'attachment; filename="waste.csv"']);
    }

    #[Route('/waste/cans', name: 'waste_can', methods: ['POST'])]
    #[IsGranted(JobVoter::PUT_RIGHT)]
    public function addCan(Request $request, ButtonForm $button, #[CurrentUser] Member $member): Response
    {
        $key = $button->check($request);
        $typed = ['name' => $button->text($request, 'name'), 'stream' => $button->text($request, 'stream'), 'volume' => $button->text($request, 'volume')];
        $stream = WasteStream::tryFrom($typed['stream']);
        $problems = array_filter(['name' => '' === $typed['name'] ? 'Give it a name.' : null, 'stream' => null === $stream ? 'Say what goes into it.' : null]);
        try {
            if ([] === $problems && null !== $stream) {
                $can = new WasteCan($typed['name'], $stream, $this->quantities->read($typed['volume'], Measure::CanVolume, Volume::class, possible: WasteCan::bounds()));
                $this->once->run($key, $member->getId(), function () use ($can, $member): null {
                    $this->entities->persist($can);
                    $this->trail->note($member->getId(), Deed::CanAdded, $can->getName(), [], ['stream' => $can->getStream()->value]);

                    return null;
                });
                $this->addFlash('said', 'Saved.');

                return $this->redirectToRoute('waste', status: Response::HTTP_SEE_OTHER);
            }
        } catch (ImpossibleAmount|UnreadableAmount $refusal) {
            $problems['volume'] = $this->words->refusal($refusal);
        }

        return $this->shed($typed, $problems);
    }

    #[Route('/waste/cans/{id}/empty', name: 'waste_can_empty', requirements: ['id' => Address::NUMBER], methods: ['POST'])]
    #[IsGranted(JobVoter::PUT_RIGHT)]
    public function emptied(#[MapEntity] WasteCan $can, Request $request, ButtonForm $button, #[CurrentUser] Member $member): Response
    {
        $this->once->run($button->check($request), $member->getId(), function () use ($can, $member): null {
            $can->empty($this->clock->now());
            $this->trail->note($member->getId(), Deed::CanEmptied, $can->getName());

            return null;
        });
        $this->addFlash('said', 'Empty again.');

        return $this->redirectToRoute('waste', status: Response::HTTP_SEE_OTHER);
    }

    /** What holds at this place for one stream. */
    #[Route('/waste/rules/{stream}', name: 'waste_rule', methods: ['POST'])]
    #[IsGranted(JobVoter::PUT_RIGHT)]
    public function rule(WasteStream $stream, Request $request, ButtonForm $button, #[CurrentUser] Member $member): Response
    {
        $key = $button->check($request);
        $note = $button->text($request, 'note');
        $this->once->run($key, $member->getId(), function () use ($stream, $note, $member): null {
            $rule = $this->entities->find(WasteRule::class, ['shopId' => $this->shop->id(), 'stream' => $stream]) ?? new WasteRule($stream);
            $this->trail->change($member->getId(), Deed::WasteRule, $stream->value, ['note' => $rule->getNote()], ['note' => $note]);
            $rule->say($note);
            $this->entities->persist($rule);

            return null;
        });
        $this->addFlash('said', 'Saved.');

        return $this->redirectToRoute('waste', status: Response::HTTP_SEE_OTHER);
    }

    #[Route('/jobs/{job}/waste', name: 'waste_add', requirements: ['job' => Address::NUMBER], methods: ['GET', 'POST'])]
    #[IsGranted(JobVoter::RECORD, 'job')]
    public function add(Job $job, Request $request, WasteForms $forms, #[CurrentUser] Member $member): Response
    {
        $form = $forms->form();
        $form->handleRequest($request);
        [$stream, $volume] = [$form->get('stream')->getData(), $form->get('volume')->getData()];
        if ($form->isSubmitted() && $form->isValid() && $stream instanceof WasteStream && $volume instanceof Volume) {
            $this->writer->write($job, $member, Carried::keyOf($form, $request), function () use ($job, $stream, $volume, $member): null {
                $this->ledger->pour($job, $stream, $volume, $member);

                return null;
            });
            $this->addFlash('said', 'Saved.');

            return $this->redirectToRoute('waste_add', ['job' => $job->getId()], Response::HTTP_SEE_OTHER);
        }

        return $this->render('waste/job.html.twig', ['form' => $form->isSubmitted() ? $forms->tried($form) : $forms->untouched(), 'job' => $job, 'waste' => $this->waste->ofJob($job)], new Response(status: $form->isSubmitted() ? Response::HTTP_UNPROCESSABLE_ENTITY : Response::HTTP_OK));
    }

    #[Route('/waste/{id}/take-back', name: 'waste_take_back', requirements: ['id' => Address::NUMBER], methods: ['POST'])]
    #[IsGranted(OwnVoter::MEND, 'portion')]
    public function takeBack(#[MapEntity] WastePortion $portion, Request $request, ButtonForm $button, #[CurrentUser] Member $member): Response
    {
        $this->writer->write($portion->getJob(), $member, $button->check($request), function () use ($portion): null {
            $portion->takeBack($this->clock->now());

            return null;
        });
        $this->addFlash('said', 'Undone.');

        return $this->redirectToRoute('waste_add', ['job' => $portion->getJob()->getId()], Response::HTTP_SEE_OTHER);
    }

    /** @return array<string, string> what holds here, by stream */
    private function rules(): array
    {
        $rules = [];
        foreach ($this->entities->getRepository(WasteRule::class)->findAll() as $rule) {
            if ('' !== $rule->getNote()) {
                $rules[$rule->getStream()->value] = $rule->getNote();
            }
        }

        return $rules;
    }

    /**
     * @param array<string, string> $typed
     * @param array<string, string> $problems by field
     */
    private function shed(array $typed, array $problems): Response
    {
        return $this->render('waste/totals.html.twig', [
            'totals' => $this->waste->totals(),
            'fills' => $this->ledger->fills(),
            'streams' => array_column(WasteStream::cases(), 'value'),
            'rules' => $this->rules(),
            'typed' => $typed,
            'problems' => $problems,
            'unit' => $this->quantities->unit(Measure::CanVolume)->symbol(),
        ], new Response(status: [] === $problems ? Response::HTTP_OK : Response::HTTP_UNPROCESSABLE_ENTITY));
    }
}
