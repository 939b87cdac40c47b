<?php

declare(strict_types=1);

namespace AwakeShed\App\Carburetor;

use AwakeShed\App\Account\Member;
use AwakeShed\App\Drawing\SectionDrawing;
use AwakeShed\App\Evidence\NewEntry;
use AwakeShed\App\Evidence\Record;
use AwakeShed\App\Evidence\Recorder;
use AwakeShed\App\Http\Address;
use AwakeShed\App\Http\ButtonForm;
use AwakeShed\App\Job\Job;
use AwakeShed\App\Job\JobVoter;
use AwakeShed\App\Once\OncePerKey;
use AwakeShed\App\Photo\MatPlace;
use AwakeShed\App\Photo\PhotoLine;
use AwakeShed\App\Photo\PhotoRepository;
use AwakeShed\App\Words\BenchWords;
use AwakeShed\Core\Carburetor\Bench;
use AwakeShed\Core\Carburetor\Benches;
use AwakeShed\Core\Carburetor\Carburetors;
use AwakeShed\Core\Carburetor\Move;
use AwakeShed\Core\Carburetor\Move\CleanPart;
use AwakeShed\Core\Carburetor\Move\DecideFate;
use AwakeShed\Core\Carburetor\MoveKind;
use AwakeShed\Core\Carburetor\PartFate;
use AwakeShed\Core\Carburetor\PartKind;
use AwakeShed\Core\Carburetor\PartsLedger;
use AwakeShed\Core\Carburetor\PassageState;
use AwakeShed\Core\Carburetor\RemovalTemplate;
use AwakeShed\Core\Evidence\Vocabulary;
use AwakeShed\Core\Gate\Gatekeeper;
use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** The benches of a job, for the carburetor and for what is in front of something else: what comes off, the passages, the cleaning, what goes back, the check before the covers. */
#[Route('/jobs/{job}/{!bench}', requirements: ['job' => Address::NUMBER, 'bench' => 'carburetor|teardown'], defaults: ['bench' => 'carburetor'])]
final class CarburetorController extends AbstractController
{
    /** Passages and cleaning are a carburetor's. */
    private const CARBURETOR_ALONE = ['bench' => 'carburetor'];

    private const FIELDS = ['type', 'kind', 'name', 'material', 'orientation', 'hole', 'turns', 'bore', 'size', 'screws', 'remark', 'condition', 'keep', 'method', 'passage', 'exit', 'holes', 'check', 'outcome', 'reason'];

    public function __construct(private readonly Recorder $recorder, private readonly Benches $benches, private readonly Vocabulary $vocabulary, private readonly BenchWords $words)
    {
    }

    #[Route('', name: 'carburetor', methods: ['GET'])]
    public function mat(Job $job, Bench $bench, Request $request, PhotoRepository $photos, ToolSizes $sizes, EntityManagerInterface $entities): Response
    {
        $record = $this->recorder->open($job);
        $ledger = $record->ledger($bench);
        $place = $request->query->getInt('place');
        $asked = $request->query->getString('part');

        return $this->show('mat', $job, $bench, $record, [
            'types' => array_keys($this->benches->at($bench)->types),
            'own' => $ledger->isOpen ? [] : array_values(array_filter($entities->getRepository(OwnTemplate::class)->findBy([], ['name' => 'ASC']), fn (OwnTemplate $own): bool => !isset($this->benches->at($bench->other())->types[$own->getType()]))),
            'chosen' => $ledger->parts[$place] ?? null,
            'filed' => new MatPlace($bench, $place),
            'renews' => 'renew_both' === $this->vocabulary->followed($job->getSchools())['needle_seat'],
            'next' => array_values(array_filter($ledger->stillOn(), static fn (PartKind $kind): bool => $kind->id === $asked))[0] ?? $ledger->nextOff('bowl_only' === $this->vocabulary->followed($job->getSchools())['carb_access']),
            'sizes' => null === $ledger->type ? [] : $sizes->forType($ledger->type->id),
            'photos' => self::byPlace($photos->linesOf($job), $bench)[$place] ?? [],
        ]);
    }

    #[Route('/refit', name: 'carburetor_refit', methods: ['GET'])]
    public function refit(Job $job, Bench $bench, PhotoRepository $photos): Response
    {
        return $this->show('refit', $job, $bench, $this->recorder->open($job), ['photos' => self::byPlace($photos->linesOf($job), $bench)]);
    }

    #[Route('/map', name: 'carburetor_map', requirements: self::CARBURETOR_ALONE, methods: ['GET'])]
    public function map(Job $job, Request $request, FittingWires $wires, Gatekeeper $gatekeeper): Response
    {
        $record = $this->recorder->open($job);
        $ledger = $record->ledger();
        $port = $request->query->getString('port');

        return $this->show('map', $job, Bench::Carburetor, $record, [
            'port' => $port,
            'drawing' => [] === $ledger->passages() || null === $ledger->type ? null : SectionDrawing::ofCarburetor($ledger->type, $ledger->passages(), $port),
            'wires' => $wires->forLedger($ledger),
            'closed' => $gatekeeper->closed($record->case(), array_values(array_unique(array_filter(array_map(static fn (PassageState $state): ?string => $state->passage->test, $ledger->passages()), is_string(...))))),
        ]);
    }

    #[Route('/cleaning', name: 'carburetor_cleaning', requirements: self::CARBURETOR_ALONE, methods: ['GET'])]
    public function cleaning(Job $job, Bath $bath): Response
    {
        $record = $this->recorder->open($job);

        return $this->show('cleaning', $job, Bench::Carburetor, $record, ['cleaning' => $this->benches->carburetors->cleaning, 'air' => 'with_parts_held' === $this->vocabulary->followed($job->getSchools())['compressed_air'], 'batch' => $bath->waiting()]);
    }

    #[Route('/check', name: 'carburetor_check', methods: ['GET'])]
    public function check(Job $job, Bench $bench): Response
    {
        return $this->show('check', $job, $bench, $this->recorder->open($job), ['checks' => $this->benches->at($bench)->checks]);
    }

    /** Labels for the trays, one for each place. */
    #[Route('/labels', name: 'carburetor_labels', methods: ['GET'])]
    public function labels(Job $job, Bench $bench): Response
    {
        return $this->show('labels', $job, $bench, $this->recorder->open($job), []);
    }

    /** Keeps the order this one came apart in, for the next of its kind. */
    #[Route('/template', name: 'carburetor_template', methods: ['POST'])]
    #[IsGranted(JobVoter::PUT_RIGHT, 'job')]
    public function keepOrder(Job $job, Bench $bench, Request $request, ButtonForm $button, OncePerKey $once, EntityManagerInterface $entities, ClockInterface $clock, #[CurrentUser] Member $member): Response
    {
        $key = $button->check($request);
        $name = $button->text($request, 'name');
        $ledger = $this->recorder->open($job)->ledger($bench);
        if ('' === $name || [] === $ledger->parts) {
            $this->addFlash('said', 'A template wants a name, and a ledger with parts.');
        } else {
            $once->run($key, $member->getId(), static function () use ($entities, $name, $ledger, $member, $clock): null {
                $entities->persist(new OwnTemplate($name, $ledger->type->id ?? Carburetors::FREE, RemovalTemplate::fromLedger($ledger), $member, $clock->now()));

                return null;
            });
            $this->addFlash('said', 'Kept: the next of its kind can begin with it.');
        }

        return $this->redirectToRoute('carburetor', ['job' => $job->getId(), 'bench' => $bench->value], Response::HTTP_SEE_OTHER);
    }

    /** Parts of several jobs into one bath. */
    #[Route('/bath', name: 'carburetor_bath', requirements: self::CARBURETOR_ALONE, methods: ['POST'])]
    #[IsGranted(JobVoter::RECORD)]
    public function bathe(Job $job, Request $request, ButtonForm $button, Bath $bath, #[CurrentUser] Member $member): Response
    {
        $key = $button->check($request);
        $codes = array_values(array_filter($request->getPayload()->all('parts'), is_string(...)));
        $in = $bath->put($codes, $member, $key);
        $this->addFlash('said', 0 === $in ? 'Nothing of that waits for the bath.' : 'In the bath; the timer runs.');

        return $this->redirectToRoute('carburetor_cleaning', ['job' => $job->getId()], Response::HTTP_SEE_OTHER);
    }

    #[Route('', name: 'carburetor_move', methods: ['POST'])]
    #[IsGranted(JobVoter::RECORD, 'job')]
    public function move(Job $job, Bench $bench, Request $request, ButtonForm $button, ToolSizes $sizes, Bath $bath, EntityManagerInterface $entities, PartsWanted $wanted, #[CurrentUser] Member $member): Response
    {
        $key = $button->check($request);
        $kind = MoveKind::tryFrom($button->text($request, 'what')) ?? throw $this->createNotFoundException('Nothing of that kind is done here.');
        $said = array_filter(array_combine(self::FIELDS, array_map(static fn (string $field): string => $button->text($request, $field), self::FIELDS)), static fn (string $word): bool => '' !== $word);
        $place = '' === $button->text($request, 'place') ? null : $request->getPayload()->getInt('place');
        $own = MoveKind::Begin === $kind && ctype_digit($button->text($request, 'own')) ? $entities->find(OwnTemplate::class, (int) $button->text($request, 'own')) : null;
        if (null !== $own) {
            $said = ['type' => $own->getType(), 'template' => $own->getName()];
        }
        $this->recorder->moved(
            $job,
            $member,
            $key,
            static fn (PartsLedger $ledger): Move => $kind->move(MoveKind::Off === $kind ? $ledger->nextPlace() : $place, $said, $own?->order()),
            function (NewEntry $entry, Move $move, PartsLedger $before) use ($job, $member, $bath, $wanted): void {
                if ($move instanceof DecideFate && PartFate::Renew === $move->keep && isset($before->parts[$move->place()])) {
                    $wanted->want($job, $this->words->part($before->parts[$move->place()]), $member);
                }
                if ($move instanceof CleanPart) {
                    $bath->time($job, $member, $move->method, $entry);
                }
            },
            $bench,
        );
        if (isset($said['size'])) {
            $sizes->remember($this->recorder->open($job)->ledger($bench), $place, $said);
        }
        $this->addFlash('saved', 'Saved.');
        $back = $button->text($request, 'back');
        $port = $button->text($request, 'port');

        return match ($back) {
            'refit', 'check' => $this->redirectToRoute('carburetor_'.$back, ['job' => $job->getId(), 'bench' => $bench->value], Response::HTTP_SEE_OTHER),
            'cleaning' => $this->redirectToRoute('carburetor_cleaning', ['job' => $job->getId()], Response::HTTP_SEE_OTHER),
            'map' => $this->redirectToRoute('carburetor_map', ['job' => $job->getId()] + ('' === $port ? [] : ['port' => $port]), Response::HTTP_SEE_OTHER),
            default => $this->redirectToRoute('carburetor', ['job' => $job->getId(), 'bench' => $bench->value] + (null === $place ? [] : ['place' => $place]), Response::HTTP_SEE_OTHER),
        };
    }

    /**
     * @param list<PhotoLine> $photos
     *
     * @return array<int, list<PhotoLine>>
     */
    private static function byPlace(array $photos, Bench $bench): array
    {
        $byPlace = [];
        foreach ($photos as $photo) {
            $place = MatPlace::parse($photo->gate ?? '');
            if ($bench === $place?->bench) {
                $byPlace[$place->number][] = $photo;
            }
        }

        return $byPlace;
    }

    /** @param array<string, mixed> $shown */
    private function show(string $view, Job $job, Bench $bench, Record $record, array $shown): Response
    {
        return $this->render("carburetor/$view.html.twig", ['job' => $job, 'bench' => $bench->value, 'record' => $record, 'ledger' => $record->ledger($bench), 'view' => $view] + $shown);
    }
}
