<?php

declare(strict_types=1);

namespace AwakeShed\App\FuelTest;

use AwakeShed\App\Account\Member;
use AwakeShed\App\Account\Shops;
use AwakeShed\App\Device\Weather\Weather;
use AwakeShed\App\Evidence\Author;
use AwakeShed\App\Evidence\Record;
use AwakeShed\App\Evidence\Recorder;
use AwakeShed\App\Form\AmountType;
use AwakeShed\App\Form\Carried;
use AwakeShed\App\Form\FormWriter;
use AwakeShed\App\Http\Address;
use AwakeShed\App\Http\ButtonForm;
use AwakeShed\App\Job\Job;
use AwakeShed\App\Job\JobVoter;
use AwakeShed\App\Job\JobWriter;
use AwakeShed\App\Unit\Measure;
use AwakeShed\App\Unit\Quantities;
use AwakeShed\App\Wait\Wait;
use AwakeShed\App\Wait\WaitKind;
use AwakeShed\App\Waste\WasteForms;
use AwakeShed\App\Waste\WasteRepository;
use AwakeShed\App\Words\Words;
use AwakeShed\Core\Evidence\Vocabulary;
use AwakeShed\Core\Fuel\JarReading;
use AwakeShed\Core\Fuel\JarSample;
use AwakeShed\Core\Fuel\Settling;
use AwakeShed\Core\Line\ActRooms;
use AwakeShed\Core\Refusal;
use AwakeShed\Core\Units\Interval;
use AwakeShed\Core\Units\Length;
use AwakeShed\Core\Units\LengthUnit;
use AwakeShed\Core\Units\Volume;
use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\Form\FormError;
use Symfony\Component\Form\FormFactoryInterface;
use Symfony\Component\Form\FormInterface;
use Symfony\Component\HttpFoundation\ParameterBag;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;
use Symfony\Contracts\Translation\TranslatorInterface;

/** The jar test: one page a sample, one card a reading. */
#[Route('/jobs/{job}/fuel/{sample}', requirements: ['job' => Address::NUMBER, 'sample' => 'tank|bowl'])]
final class FuelController extends AbstractController
{
    private const FIELDS = 'fuel_test/_fields.html.twig';

    public function __construct(
        private readonly FuelPages $pages,
        private readonly Recorder $recorder,
        private readonly FormFactoryInterface $forms,
        private readonly Weather $weather,
        private readonly Shops $shops,
        private readonly ClockInterface $clock,
        private readonly Words $words,
        private readonly TranslatorInterface $translator,
        private readonly WasteRepository $waste,
        private readonly Quantities $quantities,
        private readonly ButtonForm $button,
        private readonly JobWriter $writer,
        private readonly FormWriter $formWriter,
        private readonly WasteForms $wasteForms,
        private readonly ActRooms $rooms,
    ) {
    }

    #[Route('', name: 'fuel', methods: ['GET'])]
    public function fuel(Job $job, JarSample $sample, Request $request): Response
    {
        return $this->page($job, $sample, brought: $request->query);
    }

    #[Route('/read/{part}', name: 'fuel_read', methods: ['POST'])]
    #[IsGranted(JobVoter::RECORD, 'job')]
    public function read(Job $job, JarSample $sample, JarPart $part, Request $request, #[CurrentUser] Member $member): Response
    {
        $record = $this->recorder->open($job);
        $form = $this->form($part, $this->input($part, $record->jar($sample) ?? new JarReading()), (string) $record->jarEntry($sample)?->id);
        $form->handleRequest($request);
        $input = $form->getData();
        $latest = null;
        if ($form->isSubmitted() && $form->isValid() && $input instanceof JarInput) {
            try {
                $this->recorder->readJar(
                    $job,
                    $sample,
                    $member,
                    Carried::keyOf($form, $request),
                    fn (Record $record): JarReading => $this->apply($input, $part, $sample, $record, $form),
                    $this->asTyped($form),
                );
                $this->addFlash('saved', 'Saved.');

                return $this->redirectToRoute('fuel', ['job' => $job->getId(), 'sample' => $sample->value, '_fragment' => 'card-'.$part->value], Response::HTTP_SEE_OTHER);
            } catch (Refusal $refusal) {
                $form->addError(new FormError($this->words->refusal($refusal)));
            } catch (ChangedMeanwhile $changed) {
                $latest = $changed->standing;
                $form->addError(new FormError($this->translator->trans('%name% saved other readings here while you were typing. Yours are kept below: save again to put them in place of theirs.', ['%name%' => $changed->by->name ?? $this->translator->trans('Somebody')])));
            }
        }

        return $this->page($job, $sample, $form, $part, $latest);
    }

    #[Route('/new-jar', name: 'fuel_new_jar', methods: ['POST'])]
    #[IsGranted(JobVoter::RECORD, 'job')]
    public function newJar(Job $job, JarSample $sample, Request $request, #[CurrentUser] Member $member): Response
    {
        $key = $this->button->check($request);
        $this->recorder->readJar($job, $sample, $member, $key, static fn (): JarReading => new JarReading(), [], isNewJar: true);
        $this->addFlash('said', 'A fresh jar. What the last one said stays in the history.');

        return $this->redirectToRoute('fuel', ['job' => $job->getId(), 'sample' => $sample->value], Response::HTTP_SEE_OTHER);
    }

    #[Route('/settle', name: 'fuel_settle', methods: ['POST'])]
    #[IsGranted(JobVoter::RECORD, 'job')]
    public function settle(Job $job, JarSample $sample, Request $request, EntityManagerInterface $entities, #[CurrentUser] Member $member): Response
    {
        $form = $this->settleForm(null);
        $form->handleRequest($request);
        $height = $form->get('height')->getData();
        if (!$form->isSubmitted() || !$form->isValid() || !$height instanceof Length) {
            if (!$form->isSubmitted() || $form->isValid()) {
                $form->get('height')->addError(new FormError($this->translator->trans('How high does it stand in the jar?')));
            }

            return $this->page($job, $sample, $form);
        }
        $this->writer->write($job, $member, Carried::keyOf($form, $request), function () use ($job, $sample, $member, $height, $entities): null {
            $now = $this->clock->now();
            $seconds = (int) ceil(Settling::fullWait($height)->inSeconds());
            $entities->persist(new Wait($job, WaitKind::settling($sample), $member, $now, $now->modify(\sprintf('+%d seconds', $seconds))));

            return null;
        });
        $this->addFlash('said', 'The jar is settling. The time runs on at the top of every page.');

        return $this->redirectToRoute('fuel', ['job' => $job->getId(), 'sample' => $sample->value], Response::HTTP_SEE_OTHER);
    }

    #[Route('/school', name: 'fuel_school', methods: ['POST'])]
    #[IsGranted(JobVoter::PUT_RIGHT, 'job')]
    public function school(Job $job, JarSample $sample, Request $request, Vocabulary $vocabulary, #[CurrentUser] Member $member): Response
    {
        $school = $this->button->text($request, 'school');
        $vocabulary->checkSchool('old_fuel', $school);
        $this->recorder->rewrite($job, $member, $this->button->check($request), static function () use ($job, $school): void {
            $job->follow('old_fuel', $school);
        });
        $this->addFlash('said', 'Saved.');

        return $this->redirectToRoute('fuel', ['job' => $job->getId(), 'sample' => $sample->value], Response::HTTP_SEE_OTHER);
    }

    #[Route('/jar.svg', name: 'fuel_drawing', methods: ['GET'])]
    public function drawing(Job $job, JarSample $sample): Response
    {
        $fuel = $this->pages->forJar($job, $sample);
        if (null === $fuel->jar->layers) {
            throw $this->createNotFoundException('Nothing has been read of this jar.');
        }
        $response = $this->render('drawing/jar.svg.twig', ['drawing' => $fuel->drawing, 'standalone' => true]);
        $response->headers->set('Content-Type', 'image/svg+xml');
        $response->headers->set('Content-Disposition', \sprintf('attachment; filename="job-%d-%s-jar.svg"', $job->getId(), $sample->value));

        return $response;
    }

    /**
     * @template T
     *
     * @param FormInterface<T>|null $tried a form that was refused, shown again with what was typed
     */
    private function page(Job $job, JarSample $sample, ?FormInterface $tried = null, ?JarPart $triedPart = null, ?int $basedOn = null, ?ParameterBag $brought = null): Response
    {
        $fuel = $this->pages->forJar($job, $sample);
        $standing = (string) $fuel->record->jarEntry($sample)?->id;
        $cards = [];
        foreach (JarPart::forSample($sample) as $part) {
            if ($part === $triedPart && null !== $tried) {
                $cards[$part->value] = $this->formWriter->tried($tried, self::FIELDS, null === $basedOn ? null : (string) $basedOn);
                continue;
            }
            $input = $this->input($part, $fuel->jar, $brought);
            $cards[$part->value] = $this->formWriter->untouched($part->value, self::FIELDS, $input, fn (): FormInterface => $this->form($part, $input, $standing), $standing);
        }
        $height = $fuel->jar->layers?->height;
        $settle = null !== $tried && null === $triedPart ? $this->formWriter->tried($tried, self::FIELDS) : $this->formWriter->untouched('settle', self::FIELDS, $height, fn (): FormInterface => $this->settleForm($height));

        return $this->render('fuel_test/fuel.html.twig', [
            'fuel' => $fuel,
            'cards' => $cards,
            'settle' => $settle,
            'waste' => $this->waste->ofJob($job),
            'acts' => [...$this->rooms->in('tank', $fuel->record->case()->machine), ...$this->rooms->in('pipe', $fuel->record->case()->machine)],
            'waste_form' => $this->wasteForms->untouched($fuel->stream),
        ], new Response(status: null === $tried ? Response::HTTP_OK : Response::HTTP_UNPROCESSABLE_ENTITY));
    }

    /** What a card is filled with. */
    private function input(JarPart $part, JarReading $jar, ?ParameterBag $brought = null): JarInput
    {
        $input = $part->input($jar);
        if ($input instanceof LayersInput && null !== $brought && is_numeric($brought->getString('total_ml')) && is_numeric($brought->getString('lower_ml'))) {
            // From a photo: shown in the fields, and saved by whoever looked at it.
            $input->total = Volume::millilitres((float) $brought->getString('total_ml'));
            $input->lower = Volume::millilitres((float) $brought->getString('lower_ml'));
        }
        if ($input instanceof TankInput && $this->shops->usesStandIns()) {
            $now = $this->clock->now();
            $input->now ??= $this->quantities->rounded($this->weather->at($now), Measure::AirTemperature);
            $input->tonight ??= $this->quantities->rounded($this->weather->lowAfter($now), Measure::AirTemperature);
        }

        return $input;
    }

    /** @return FormInterface<JarInput> */
    private function form(JarPart $part, JarInput $input, string $basedOn): FormInterface
    {
        return $this->forms->createNamed($part->value, JarPartType::class, $input, ['part' => $part, 'based_on' => $basedOn]);
    }

    /** @return FormInterface<mixed> */
    private function settleForm(?Length $height): FormInterface
    {
        return $this->forms->createNamedBuilder('settle', options: ['once' => true])
            ->add('height', AmountType::class, [
                'label' => 'It stands so high in the jar',
                'data' => $height,
                'measure' => Measure::JarHeight,
                'possible' => new Interval(5, 500, LengthUnit::Millimetre),
            ])
            ->getForm();
    }

    /**
     * @template T
     *
     * @param FormInterface<T> $form
     *
     * @throws Refusal          when the readings are impossible
     * @throws ChangedMeanwhile
     */
    private function apply(JarInput $input, JarPart $part, JarSample $sample, Record $record, FormInterface $form): JarReading
    {
        $basedOn = Carried::by($form)->basedOn;
        $before = is_numeric($basedOn) ? $record->entry((int) $basedOn)?->jarRead()?->jar : null;
        $standing = $record->jarEntry($sample);
        if (!$part->isSameIn($before, $standing?->jarRead()?->jar)) {
            throw new ChangedMeanwhile(self::whoSet($part, $standing?->jarRead()?->jar, $sample, $record), $standing?->id);
        }

        return $input->appliedTo($standing?->jarRead()->jar ?? new JarReading());
    }

    /** Who first saved this card as it stands; later entries carry it along with other cards. */
    private static function whoSet(JarPart $part, ?JarReading $standing, JarSample $sample, Record $record): ?Author
    {
        $by = null;
        foreach (array_reverse($record->entries) as $entry) {
            if ($entry->isOfJar($sample)) {
                if (!$part->isSameIn($entry->jarRead()?->jar, $standing)) {
                    break;
                }
                $by = $entry->by;
            }
        }

        return $by;
    }

    /**
     * @template T
     *
     * @param FormInterface<T> $form
     *
     * @return array<string, string> what was typed into each amount, with the unit it was meant in
     */
    private function asTyped(FormInterface $form): array
    {
        $typed = [];
        foreach ($form as $name => $field) {
            $measure = $field->getConfig()->getOption('measure');
            $text = $field->getViewData();
            if ($measure instanceof Measure && \is_string($text) && '' !== trim($text)) {
                $isBare = 1 === preg_match('/\d[.,]?\z/', trim($text));
                $typed[$name] = trim($text).($isBare ? ' '.$this->quantities->unit($measure)->symbol() : '');
            }
        }

        return $typed;
    }
}
