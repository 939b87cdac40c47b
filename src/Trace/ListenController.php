<?php

declare(strict_types=1);

namespace AwakeShed\App\Trace;

use AwakeShed\App\Account\Member;
use AwakeShed\App\Device\Gauge\Scenario;
use AwakeShed\App\Device\Gauge\TraceKind;
use AwakeShed\App\Evidence\ClosedActs;
use AwakeShed\App\Http\Address;
use AwakeShed\App\Http\ButtonForm;
use AwakeShed\App\Job\Job;
use AwakeShed\App\Job\JobVoter;
use AwakeShed\App\Spec\SpecBook;
use AwakeShed\App\Unit\Measure;
use AwakeShed\App\Unit\Quantities;
use AwakeShed\App\Words\Words;
use AwakeShed\Core\Evidence\Cycle;
use AwakeShed\Core\Refusal;
use AwakeShed\Core\Sound\Firing;
use AwakeShed\Core\Sound\HeardSpeed;
use AwakeShed\Core\Sound\Tachometer;
use AwakeShed\Core\Sound\TachometerVerdict;
use AwakeShed\Core\Sound\UnreadableSound;
use AwakeShed\Core\Sound\WavFile;
use AwakeShed\Core\Spec\SpecFigure;
use AwakeShed\Core\Units\ShaftSpeed;
use AwakeShed\Core\Units\SpeedUnit;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\File\UploadedFile;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;
use Symfony\Contracts\Translation\TranslatorInterface;

/** The phone as a tachometer: a recording of the running engine becomes a speed trace. The sound itself is not kept. */
final class ListenController extends AbstractController
{
    private const MOST_MEGABYTES = 20;

    /** Of the tachometer's confidence. */
    private const CLEAR = 0.5;

    public function __construct(
        private readonly ButtonForm $button,
        private readonly TraceKeeper $keeper,
        private readonly ClosedActs $closed,
        private readonly SpecBook $specs,
        private readonly Quantities $quantities,
        private readonly Words $words,
        private readonly TranslatorInterface $translator,
    ) {
    }

    #[Route('/traces/listen', name: 'listen', methods: ['GET'])]
    #[Route('/jobs/{job}/traces/listen', name: 'job_listen', requirements: ['job' => Address::NUMBER], methods: ['GET'])]
    public function page(?Job $job = null): Response
    {
        return $this->shown($job, self::usualFiring($job)->value, $this->governed($job));
    }

    #[Route('/traces/listen', name: 'trace_listen', methods: ['POST'])]
    #[Route('/jobs/{job}/traces/listen', name: 'job_trace_listen', requirements: ['job' => Address::NUMBER], methods: ['POST'])]
    #[IsGranted(JobVoter::RECORD)]
    public function hear(Request $request, #[CurrentUser] Member $member, ?Job $job = null): Response
    {
        $key = $this->button->check($request);
        $firing = Firing::tryFrom($this->button->text($request, 'firing')) ?? self::usualFiring($job);
        $near = $this->button->text($request, 'near');
        try {
            $hint = '' === $near ? null : $this->quantities->read($near, Measure::GovernedSpeed, ShaftSpeed::class, possible: SpecFigure::GovernedSpeed->possible());
            $heard = Tachometer::hear(WavFile::read($this->recording($request)), $firing, $hint);
        } catch (Refusal $refusal) {
            return $this->shown($job, $firing->value, $near, $this->words->refusal($refusal));
        }
        if (TachometerVerdict::Told !== $heard->verdict) {
            return $this->shown($job, $firing->value, $near, null, $heard);
        }
        $this->addFlash('said', $this->translator->trans($heard->confidence >= self::CLEAR ? 'Heard clearly: %speed%, give or take %error%.' : 'Heard, with much else about it: %speed%, give or take %error%.', [
            '%speed%' => $this->quantities->show($heard->readings[0]->speed, Measure::GovernedSpeed),
            '%error%' => $this->quantities->show(ShaftSpeed::of($heard->error() * $heard->readings[0]->speed->in(SpeedUnit::Rpm), SpeedUnit::Rpm), Measure::GovernedSpeed),
        ]));
        $trace = $this->keeper->import(TraceKind::Speed, $job, $key, $member, TraceKeeper::BY_SOUND, $heard->readings[0]->speeds, '' !== $this->button->text($request, 'play'));

        return $this->redirectToRoute('trace', ['trace' => $trace], Response::HTTP_SEE_OTHER);
    }

    /** @throws UnreadableSound when there is none, or it is too large */
    private function recording(Request $request): string
    {
        $play = Scenario::tryFrom($this->button->text($request, 'play'));
        if (null !== $play && TraceKind::Speed === $play->kind()) {
            return $play->sound();
        }
        $upload = $request->files->get('file');
        if (!$upload instanceof UploadedFile) {
            throw UnreadableSound::noWav();
        }
        if (!$upload->isValid() || $upload->getSize() > self::MOST_MEGABYTES * 1_000_000) {
            throw UnreadableSound::tooLarge(self::MOST_MEGABYTES);
        }

        return $upload->getContent();
    }

    private function shown(?Job $job, string $firing, string $near, ?string $refusal = null, ?Tachometer $heard = null): Response
    {
        return $this->render('trace/listen.html.twig', [
            'job' => $job,
            'firing' => $firing,
            'firings' => Firing::cases(),
            'near' => $near,
            'unit' => $this->quantities->unit(Measure::GovernedSpeed)->symbol(),
            'refusal' => $refusal,
            'heard' => $heard,
            'readings' => array_map(static fn (HeardSpeed $reading): array => ['speed' => $reading->speed, 'csv' => 0 === $reading->speeds->count() ? null : TraceKeeper::csv($reading->speeds)], $heard->readings ?? []),
            'scenarios' => Scenario::forTrace(TraceKind::Speed),
            'closed' => null === $job ? null : $this->closed->in($job, TraceKind::Speed->act()),
        ], new Response(status: null === $refusal && null === $heard ? Response::HTTP_OK : Response::HTTP_UNPROCESSABLE_ENTITY));
    }

    private static function usualFiring(?Job $job): Firing
    {
        $facts = $job?->getMachine()->facts();

        return match (true) {
            Cycle::TwoStroke === $facts?->cycle => 2 === $facts->cylinders ? Firing::TwoStrokeTwin : Firing::TwoStrokeSingle,
            2 === $facts?->cylinders => Firing::FourStrokeTwin,
            default => Firing::FourStrokeSingle,
        };
    }

    private function governed(?Job $job): string
    {
        $found = null === $job ? null : $this->specs->lookUp($job->getMachine()->facts(), $job->getMachine()->getSpec())->find(SpecFigure::GovernedSpeed);

        return null === $found ? '' : $this->quantities->field(ShaftSpeed::of($found->value->amount, SpeedUnit::Rpm), Measure::GovernedSpeed);
    }
}
