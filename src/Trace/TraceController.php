<?php

declare(strict_types=1);

namespace AwakeShed\App\Trace;

use AwakeShed\App\Account\Member;
use AwakeShed\App\Account\OpenSessionRepository;
use AwakeShed\App\Account\OwnVoter;
use AwakeShed\App\Account\Shops;
use AwakeShed\App\Calc\Answer;
use AwakeShed\App\Calc\CalcForms;
use AwakeShed\App\Calc\CalcType;
use AwakeShed\App\Calc\Calculation;
use AwakeShed\App\Calc\Calculations;
use AwakeShed\App\Calc\CalcWords;
use AwakeShed\App\Device\Gauge\Scenario;
use AwakeShed\App\Device\Gauge\SilentGauge;
use AwakeShed\App\Device\Gauge\TraceKind;
use AwakeShed\App\Drawing\TraceDrawing;
use AwakeShed\App\Evidence\ClosedActs;
use AwakeShed\App\Evidence\Recorder;
use AwakeShed\App\Http\Address;
use AwakeShed\App\Http\ButtonForm;
use AwakeShed\App\Job\Job;
use AwakeShed\App\Job\JobVoter;
use AwakeShed\App\Once\HeldLease;
use AwakeShed\App\Once\Leases;
use AwakeShed\App\Spec\SpecBook;
use AwakeShed\App\Words\Words;
use AwakeShed\Core\Refusal;
use AwakeShed\Core\Running\Alternator;
use AwakeShed\Core\Running\BladeTip;
use AwakeShed\Core\Spec\SpecFigure;
use AwakeShed\Core\Trace\Series;
use AwakeShed\Core\Trace\SeriesFile;
use AwakeShed\Core\Trace\UnreadableSeries;
use AwakeShed\Core\Units\Count;
use AwakeShed\Core\Units\DecimalText;
use AwakeShed\Core\Units\FrequencyUnit;
use AwakeShed\Core\Units\Length;
use AwakeShed\Core\Units\SpeedUnit;
use Symfony\Bridge\Doctrine\Attribute\MapEntity;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\Form\FormInterface;
use Symfony\Component\HttpFoundation\File\UploadedFile;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpFoundation\StreamedResponse;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;
use Symfony\Contracts\Translation\TranslatorInterface;

/** Needle and speed traces: read from a file or live from a gauge, drawn, judged, and put into a job's record. */
final class TraceController extends AbstractController
{
    /** 200 000 lines of a generous logger. */
    private const MOST_BYTES = 12_000_000;

    /** s: how long a page without a script waits for a recording. */
    private const WITHOUT_SCRIPT = 20.0;

    public function __construct(
        private readonly TraceRepository $traces,
        private readonly TraceKeeper $keeper,
        private readonly Shops $shops,
        private readonly ButtonForm $button,
        private readonly Calculations $calculations,
        private readonly CalcForms $forms,
        private readonly Words $words,
        private readonly TranslatorInterface $translator,
        private readonly SpecBook $specs,
        private readonly Recorder $recorder,
        private readonly ClosedActs $closed,
        private readonly RecordingSlots $slots,
        private readonly Leases $leases,
    ) {
    }

    #[Route('/traces/{kind}', name: 'traces', requirements: ['kind' => 'needle|speed'], methods: ['GET'])]
    #[Route('/jobs/{job}/traces/{kind}', name: 'job_traces', requirements: ['job' => Address::NUMBER, 'kind' => 'needle|speed'], methods: ['GET'])]
    public function index(TraceKind $kind, ?Job $job = null): Response
    {
        return $this->list($kind, $job);
    }

    #[Route('/traces/{kind}/import', name: 'trace_import', requirements: ['kind' => 'needle|speed'], methods: ['POST'])]
    #[Route('/jobs/{job}/traces/{kind}/import', name: 'job_trace_import', requirements: ['job' => Address::NUMBER, 'kind' => 'needle|speed'], methods: ['POST'])]
    #[IsGranted(JobVoter::RECORD)]
    public function import(TraceKind $kind, Request $request, #[CurrentUser] Member $member, ?Job $job = null): Response
    {
        $key = $this->button->check($request);
        $upload = $request->files->get('file');
        $pasted = $request->getPayload()->getString('csv');
        $name = match (true) {
            $upload instanceof UploadedFile => $upload->getClientOriginalName(),
            '' !== $this->button->text($request, 'heard') => TraceKeeper::BY_SOUND,
            default => $this->translator->trans('typed in'),
        };
        try {
            $text = $upload instanceof UploadedFile ? self::contentOf($upload) : $pasted;
            $poles = DecimalText::parse($request->getPayload()->getString('poles', '2'), 2.0, 100.0);
            $file = SeriesFile::parse(mb_scrub($text), TraceKind::Speed === $kind ? [...SpeedUnit::cases(), ...FrequencyUnit::cases()] : $kind->units());
            $series = TraceKind::Speed === $kind ? Alternator::withPoles(Count::each($poles))->speeds($file) : $file->series;
        } catch (Refusal $refusal) {
            return $this->list($kind, $job, $this->words->refusal($refusal), $pasted);
        }
        $id = $this->keeper->import($kind, $job, $key, $member, $name, $series);

        return $this->redirectToRoute('trace', ['trace' => $id], Response::HTTP_SEE_OTHER);
    }

    #[Route('/traces/{kind}/record', name: 'trace_record', requirements: ['kind' => 'needle|speed'], methods: ['POST'])]
    #[Route('/jobs/{job}/traces/{kind}/record', name: 'job_trace_record', requirements: ['job' => Address::NUMBER, 'kind' => 'needle|speed'], methods: ['POST'])]
    #[IsGranted(JobVoter::RECORD)]
    public function record(TraceKind $kind, Request $request, #[CurrentUser] Member $member, ?Job $job = null): Response
    {
        $key = $this->button->check($request);
        if (null !== $job && null !== $kind->act()) {
            $this->closed->demandOpen($job, $kind->act());
        }
        $play = Scenario::tryFrom($this->button->text($request, 'play')) ?? Scenario::forTrace($kind)[0];
        $id = $this->keeper->record($kind, $job, $key, $member, $play->value);

        return $this->redirectToRoute('trace', ['trace' => $id], Response::HTTP_SEE_OTHER);
    }

    #[Route('/traces/{trace}', name: 'trace', requirements: ['trace' => Address::NUMBER], methods: ['GET'])]
    public function show(#[MapEntity(id: 'trace')] Trace $trace, Request $request, CalcWords $words): Response
    {
        [$calculation, $form] = $this->reading($trace, $request);
        $answer = $trace->isRecording() ? null : $this->answer($trace, $calculation, $form);
        $job = $trace->getJob();

        return $this->render('trace/trace.html.twig', [
            'trace' => $trace,
            'calculation' => $calculation,
            'calc_words' => $words,
            'form' => $form->createView(),
            'answer' => $answer instanceof Answer ? $answer : null,
            'refusal' => $answer instanceof Refusal ? $this->words->refusal($answer) : null,
            'job' => $job,
            'closed' => null === $job ? null : $this->closed->in($job, $calculation->act()),
            'query' => $request->query->all(),
        ], new Response(status: $form->isSubmitted() && !$answer instanceof Answer ? Response::HTTP_UNPROCESSABLE_ENTITY : Response::HTTP_OK));
    }

    /** The recording as it comes: server-sent events, each a handful of samples that is saved already. */
    #[Route('/traces/{trace}/live', name: 'trace_live', requirements: ['trace' => Address::NUMBER], methods: ['GET'])]
    public function live(#[MapEntity(id: 'trace')] Trace $trace, Request $request, Recording $recording, OpenSessionRepository $sessions, #[CurrentUser] Member $member): Response
    {
        $this->mayRecord($trace, $member);
        [$id, $kind, $play, $session] = [$trace->getId(), $trace->getKind(), $trace->getName(), (string) $member->getSession()];
        $unit = $kind->units()[0];
        $slot = $this->slots->take($member);
        $hasBegun = $trace->series()->count() > 0;
        // The end of a recording is written down also when whoever listened has gone.
        ignore_user_abort(true);

        return new StreamedResponse(function () use ($recording, $id, $kind, $play, $unit, $hasBegun, $sessions, $session, $slot): void {
            if (null === $slot) {
                self::send('silent', $this->translator->trans('Three recordings of yours run already. End one, then open this page anew.'));

                return;
            }
            $claim = $this->slots->claim($id, waits: true);
            $held = null === $claim ? [$slot] : [$slot, $claim];
            try {
                if (null !== $claim && $hasBegun) {
                    // It was broken off, by a dead server or a lost line: a gauge that begins anew is another recording.
                    $this->traces->end($id);
                } elseif (null !== $claim) {
                    $recording->run($id, $kind, $play, $held, static function (array $times, array $values) use ($unit, $sessions, $session): bool {
                        $shown = array_map(static fn (float $value): float => round($unit->fromSi($value), 4), $values);
                        self::send('samples', json_encode(['t' => $times, 'v' => $shown], \JSON_THROW_ON_ERROR));

                        // Who is signed out hears no more of it, from the next handful on.
                        return 0 === connection_aborted() && $sessions->isOpen($session);
                    });
                }
                self::send('end', '');
            } catch (SilentGauge) {
                self::send('silent', $this->translator->trans('The gauge says nothing. What it had said before is kept.'));
            } finally {
                $this->leases->give(...$held);
            }
        }, headers: ['Content-Type' => 'text/event-stream', 'Cache-Control' => 'no-store', 'X-Accel-Buffering' => 'no']);
    }

    /** For a page without a script: the request itself waits while a stretch is recorded. */
    #[Route('/traces/{trace}/wait', name: 'trace_wait', requirements: ['trace' => Address::NUMBER], methods: ['POST'])]
    #[IsGranted(OwnVoter::MEND, 'trace')]
    public function wait(#[MapEntity(id: 'trace')] Trace $trace, Request $request, Recording $recording, #[CurrentUser] Member $member): Response
    {
        $this->button->check($request);
        $this->mayRecord($trace, $member);
        $until = hrtime(true) + (int) (1e9 * self::WITHOUT_SCRIPT);
        $slot = $this->slots->take($member);
        $claim = null === $slot ? null : $this->slots->claim($trace->getId());
        $held = array_values(array_filter([$slot, $claim], static fn (?HeldLease $lease): bool => null !== $lease));
        try {
            if (null !== $claim) {
                $recording->run($trace->getId(), $trace->getKind(), $trace->getName(), $held, static fn (): bool => hrtime(true) < $until);
            }
        } catch (SilentGauge) {
            $this->traces->end($trace->getId());
        } finally {
            $this->leases->give(...$held);
        }

        return $this->redirectToRoute('trace', ['trace' => $trace->getId()], Response::HTTP_SEE_OTHER);
    }

    #[Route('/traces/{trace}/stop', name: 'trace_stop', requirements: ['trace' => Address::NUMBER], methods: ['POST'])]
    #[IsGranted(OwnVoter::MEND, 'trace')]
    public function stop(#[MapEntity(id: 'trace')] Trace $trace, Request $request, #[CurrentUser] Member $member): Response
    {
        $key = $this->button->check($request);
        $this->keeper->run($trace->getJob(), $key, $member, static function () use ($trace): null {
            $trace->end();

            return null;
        });

        return $this->redirectToRoute('trace', ['trace' => $trace->getId()], Response::HTTP_SEE_OTHER);
    }

    #[Route('/traces/{trace}/file', name: 'trace_file', requirements: ['trace' => Address::NUMBER], methods: ['POST'])]
    public function intoRecord(#[MapEntity(id: 'trace')] Trace $trace, Request $request, #[CurrentUser] Member $member): Response
    {
        $key = $this->button->check($request);
        $job = $trace->getJob() ?? throw $this->createNotFoundException('This trace belongs to no job.');
        $this->denyAccessUnlessGranted(JobVoter::RECORD, $job);
        [$calculation, $form] = $this->reading($trace, $request);
        $answer = $trace->isRecording() ? null : $this->answer($trace, $calculation, $form);
        if ($trace->isSimulated() && !$this->shops->usesStandIns()) {
            $this->addFlash('refused', 'It is simulated, and is nothing found on this machine.');

            return $this->redirectToRoute('trace', ['trace' => $trace->getId()], Response::HTTP_SEE_OTHER);
        }
        if ($answer instanceof Answer && [] !== $answer->findings) {
            $this->recorder->observe($job, $member, $key, $answer->findings);
            $this->addFlash('saved', 'Saved.');
        }

        return $this->redirectToRoute('job', ['job' => $job->getId()], Response::HTTP_SEE_OTHER);
    }

    #[Route('/traces/{trace}.csv', name: 'trace_csv', requirements: ['trace' => Address::NUMBER], methods: ['GET'])]
    public function csv(#[MapEntity(id: 'trace')] Trace $trace): Response
    {
        return new Response(SeriesFile::print($trace->series(), $trace->getKind()->units()[0]), headers: [
            'Content-Type' => 'text/csv; charset=utf-8',
            'Content-Disposition' => \sprintf('attachment; filename="%s-trace-%d.csv"', $trace->getKind()->value, $trace->getId()),
        ]);
    }

    #[Route('/traces/{trace}.svg', name: 'trace_drawing', requirements: ['trace' => Address::NUMBER], methods: ['GET'])]
    public function drawing(#[MapEntity(id: 'trace')] Trace $trace, Request $request, CalcWords $words): Response
    {
        [$calculation, $form] = $this->reading($trace, $request);
        $answer = $this->answer($trace, $calculation, $form);
        if (!$answer instanceof Answer || !$answer->drawing instanceof TraceDrawing) {
            throw $this->createNotFoundException('There is nothing to draw.');
        }
        $response = $this->render('drawing/trace.svg.twig', ['drawing' => $answer->drawing, 'standalone' => true, 'calc_words' => $words]);
        $response->headers->set('Content-Type', 'image/svg+xml');
        $response->headers->set('Content-Disposition', \sprintf('attachment; filename="%s-trace-%d.svg"', $trace->getKind()->value, $trace->getId()));

        return $response;
    }

    private function list(TraceKind $kind, ?Job $job, ?string $refusal = null, string $pasted = ''): Response
    {
        return $this->render('trace/index.html.twig', [
            'kind' => $kind,
            'job' => $job,
            'traces' => $this->traces->latest($kind, $job),
            'scenarios' => Scenario::forTrace($kind),
            'refusal' => $refusal,
            'closed' => null === $job ? null : $this->closed->in($job, $kind->act()),
            'pasted' => $pasted,
        ], new Response(status: null === $refusal ? Response::HTTP_OK : Response::HTTP_UNPROCESSABLE_ENTITY));
    }

    /** @return array{Calculation, FormInterface<array<string, mixed>>} */
    private function reading(Trace $trace, Request $request): array
    {
        $calculation = $this->calculations->named($trace->getKind()->calculation()) ?? throw new \LogicException('A trace has its calculation.');
        $job = $trace->getJob();
        $form = $this->forms->form($calculation, null === $job ? [] : $this->forms->looked($calculation, $job), $job);
        $given = $request->isMethod('POST') ? $request->getPayload()->all() : $request->query->all();
        $given = array_intersect_key($given, array_flip(CalcType::fieldsOf($form)));
        if ([] !== $given) {
            $form->submit($given);
        }

        return [$calculation, $form];
    }

    /** @param FormInterface<array<string, mixed>> $form */
    private function answer(Trace $trace, Calculation $calculation, FormInterface $form): Answer|Refusal|null
    {
        $unit = $trace->getKind()->units()[0];
        $more = ['csv' => SeriesFile::fromSeries($trace->series(), $unit)];
        $job = $trace->getJob();
        if (TraceKind::Speed === $trace->getKind() && null !== $job && null === ($form->getData()['limit_rpm'] ?? null)) {
            // A blade's limit is looked up, never left to be remembered.
            $blade = $this->specs->lookUp($job->getMachine()->facts(), $job->getMachine()->getSpec())->find(SpecFigure::Blade);
            $more += null === $blade ? [] : ['limit_rpm' => BladeTip::fastest(Length::millimetres($blade->value->amount))];
        }

        return $this->forms->answer($calculation, $form, $more);
    }

    /** @throws UnreadableSeries when it is larger than any series */
    private static function contentOf(UploadedFile $upload): string
    {
        if (!$upload->isValid() || $upload->getSize() > self::MOST_BYTES) {
            throw UnreadableSeries::tooLong(Series::MOST_SAMPLES);
        }

        return $upload->getContent();
    }

    private function mayRecord(Trace $trace, Member $member): void
    {
        if (!$trace->isRecording() || $trace->getBy()->getId() !== $member->getId()) {
            throw $this->createNotFoundException('Nothing is being recorded here.');
        }
    }

    private static function send(string $event, string $data): void
    {
        echo 'event: ', $event, "\n", 'data: ', $data, "\n\n";
        if (ob_get_level() > 0) {
            ob_flush();
        }
        flush();
    }
}
