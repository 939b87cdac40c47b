<?php

declare(strict_types=1);

namespace AwakeShed\App\Calc;

use AwakeShed\App\Account\Member;
use AwakeShed\App\Calc\Input\SeriesInput;
use AwakeShed\App\Evidence\ClosedActs;
use AwakeShed\App\Evidence\Content\WorkedOut;
use AwakeShed\App\Evidence\Record;
use AwakeShed\App\Evidence\Recorder;
use AwakeShed\App\Evidence\RecordReader;
use AwakeShed\App\Http\Address;
use AwakeShed\App\Http\ButtonForm;
use AwakeShed\App\Job\Job;
use AwakeShed\App\Job\JobVoter;
use AwakeShed\App\Words\Words;
use AwakeShed\Core\Refusal;
use AwakeShed\Core\Spec\FoundFigure;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\DependencyInjection\Attribute\AutowireServiceClosure;
use Symfony\Component\Form\FormInterface;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** The bench calculator: a page a calculation, standing alone or within a job. */
final class CalcController extends AbstractController
{
    private const NAME = '[a-z]+(?:-[a-z]+)*';

    /** Under it fields that show no fault say that they stand: they stay as they are where the next edit shows none either. */
    private const FIELDS = 'Fields';

    /**
     * @param \Closure(): ClosedActs   $closed  asked within a job only
     * @param \Closure(): RecordReader $records
     */
    public function __construct(
        private readonly Calculations $calculations,
        private readonly CalcForms $forms,
        private readonly CalcWords $calcWords,
        private readonly Words $words,
        #[AutowireServiceClosure(ClosedActs::class)]
        private readonly \Closure $closed,
        #[AutowireServiceClosure(RecordReader::class)]
        private readonly \Closure $records,
    ) {
    }

    #[Route('/bench', name: 'bench', methods: ['GET'])]
    #[Route('/jobs/{job}/bench', name: 'job_bench', requirements: ['job' => Address::NUMBER], methods: ['GET'])]
    public function index(?Job $job = null): Response
    {
        $topics = [];
        foreach ($this->calculations->all() as $calculation) {
            $topics[$calculation->topic()->value][] = $calculation;
        }

        return $this->render('calc/index.html.twig', ['topics' => $topics, 'calc_words' => $this->calcWords, 'job' => $job]);
    }

    #[Route('/bench/{name}', name: 'calc', requirements: ['name' => self::NAME], methods: ['GET'])]
    #[Route('/jobs/{job}/bench/{name}', name: 'job_calc', requirements: ['job' => Address::NUMBER, 'name' => self::NAME], methods: ['GET'])]
    public function calculate(string $name, Request $request, ?Job $job = null): Response
    {
        $calculation = $this->named($name);
        // Opened bare, the page answers with what it knows already; complete or not, nothing is refused yet.
        $given = $request->query->all();
        $looked = null === $job || [] !== $given ? [] : $this->forms->looked($calculation, $job);
        // Read once for all that asks it.
        $record = null === $job ? null : ($this->records)()->ofJob($job);
        $known = null === $record ? [] : $this->forms->known($calculation, $record);
        $form = $this->forms->form($calculation, $looked, $job, $known);
        if ([] !== $given) {
            $form->submit($given);
        }

        return $this->page($calculation, $form, $looked, $record, $known, 'stand' === $request->headers->get(self::FIELDS));
    }

    #[Route('/jobs/{job}/bench/{name}', name: 'job_calc_save', requirements: ['job' => Address::NUMBER, 'name' => self::NAME], methods: ['POST'])]
    #[IsGranted(JobVoter::RECORD, 'job')]
    public function save(Job $job, string $name, Request $request, ButtonForm $button, Recorder $recorder, #[CurrentUser] Member $member): Response
    {
        $key = $button->check($request);
        $calculation = $this->named($name);
        $form = $this->forms->form($calculation, [], $job);
        $form->submit($request->getPayload()->all());
        $record = ($this->records)()->ofJob($job);
        $known = $this->forms->known($calculation, $record);
        $more = self::untyped($known, $form);
        $answer = $this->forms->answer($calculation, $form, $more);
        if (!$answer instanceof Answer) {
            return $this->page($calculation, $form, [], $record, $known);
        }
        $recorder->observe($job, $member, $key, $answer->findings, worked: new WorkedOut($name, $this->forms->plainInputs($calculation, $form, $more)));
        $this->addFlash('saved', 'Saved.');

        return $this->redirectToRoute('job', ['job' => $job->getId()], Response::HTTP_SEE_OTHER);
    }

    /**
     * @param FormInterface<array<string, mixed>> $form
     * @param array<string, FoundFigure>          $looked asked of what is not filled in yet
     * @param Record|null                         $record of the job it stands in
     * @param array<string, mixed>                $known
     */
    private function page(Calculation $calculation, FormInterface $form, array $looked, ?Record $record, array $known, bool $fieldsStand = false): Response
    {
        $answer = $this->forms->answer($calculation, $form, self::untyped($known, $form));
        $fieldsStand = $fieldsStand && $form->isSubmitted() && null !== $answer;
        $page = new CalcPage(
            $calculation,
            $fieldsStand ? null : $form->createView(),
            $answer instanceof Answer ? $answer : null,
            $answer instanceof Refusal ? $this->words->refusal($answer) : null,
            null === $record ? null : ($this->closed)()->by($record->case(), $calculation->act()),
            $this->forms->asTyped($form),
            array_diff_key($looked, $known),
            $form->isSubmitted() ? [] : array_keys($known),
            null === $record || null === $calculation->act() ? [] : Measurement::pair($record->case(), $calculation->act()),
        );

        $response = new Response(status: $form->isSubmitted() && null === $page->answer ? Response::HTTP_UNPROCESSABLE_ENTITY : Response::HTTP_OK);
        $response->setVary(self::FIELDS);
        if ($fieldsStand) {
            $response->headers->add(['HX-Retarget' => '#calc-answer', 'HX-Reselect' => '#calc-answer', 'HX-Reswap' => 'outerHTML show:none']);
        }

        return $this->render($fieldsStand ? 'calc/edit.html.twig' : 'calc/calc.html.twig', ['calc' => $page, 'calc_words' => $this->calcWords, 'job' => $record?->job], $response);
    }

    /**
     * What the record says of inputs that are no fields.
     *
     * @param array<string, mixed>                $known
     * @param FormInterface<array<string, mixed>> $form
     *
     * @return array<string, mixed>
     */
    private static function untyped(array $known, FormInterface $form): array
    {
        return array_diff_key($known, array_flip(CalcType::fieldsOf($form)));
    }

    private function named(string $name): Calculation
    {
        $calculation = $this->calculations->named($name);
        foreach ($calculation?->inputs() ?? [] as $input) {
            // A recording is no field: traces have pages of their own.
            $calculation = $input instanceof SeriesInput ? null : $calculation;
        }

        return $calculation ?? throw $this->createNotFoundException('There is no such calculation.');
    }
}
