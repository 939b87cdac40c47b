<?php

declare(strict_types=1);

namespace AwakeShed\App\Calc;

use AwakeShed\App\Calc\Input\AmountInput;
use AwakeShed\App\Calc\Input\ChoiceInput;
use AwakeShed\App\Calc\Input\Input;
use AwakeShed\App\Evidence\Content\Observed;
use AwakeShed\App\Evidence\Record;
use AwakeShed\App\Job\Job;
use AwakeShed\App\Reader\Reader;
use AwakeShed\App\Spec\SpecBook;
use AwakeShed\Core\Cylinder\Release;
use AwakeShed\Core\Evidence\Cycle;
use AwakeShed\Core\Refusal;
use AwakeShed\Core\Spec\FoundFigure;
use Symfony\Component\DependencyInjection\Attribute\AutowireServiceClosure;
use Symfony\Component\Form\FormFactoryInterface;
use Symfony\Component\Form\FormInterface;

/** The form of a calculation: filled in from the spec book, read, and worked out. */
final readonly class CalcForms
{
    /** The input that is a person's own, not a machine's. */
    private const WIRES = 'wires_mm';

    /**
     * @param \Closure(): SpecBook $specs asked of a job's machine only: most calculations stand alone
     */
    public function __construct(
        private FormFactoryInterface $forms,
        #[AutowireServiceClosure(SpecBook::class)]
        private \Closure $specs,
        private Reader $reader,
    ) {
    }

    /**
     * @param array<string, FoundFigure> $looked what the spec book fills in, by input
     * @param array<string, mixed>       $known  what the record fills in, by input
     *
     * @return FormInterface<array<string, mixed>>
     */
    public function form(Calculation $calculation, array $looked, ?Job $job, array $known = []): FormInterface
    {
        $values = [];
        foreach ($calculation->inputs() as $name => $input) {
            $values[$name] = match (true) {
                isset($known[$name]) => $known[$name],
                isset($looked[$name]) => $input->read($looked[$name]->value->amount),
                self::WIRES === $name => $this->reader->wires(),
                null !== $job && $input instanceof ChoiceInput => self::chosen($input, $job),
                default => $input->default(),
            };
        }
        /** @var FormInterface<array<string, mixed>> $form */
        $form = $this->forms->createNamed('', CalcType::class, $values, ['calculation' => $calculation]);

        return $form;
    }

    /** @return array<string, mixed> by input */
    public function known(Calculation $calculation, Record $record): array
    {
        return ($calculation instanceof FromCase ? $calculation->known($record->case()) : []) + self::kept($calculation, $record);
    }

    /** @return array<string, mixed> what is a matter of the job, as it was put into the record last */
    private static function kept(Calculation $calculation, Record $record): array
    {
        $inputs = array_filter($calculation->inputs(), static fn (Input $input): bool => $input instanceof AmountInput && $input->isKept);
        if ([] === $inputs) {
            return [];
        }
        foreach (array_reverse($record->counting()) as $entry) {
            $content = $entry->content();
            if ($content instanceof Observed && $content->worked?->calculation === $calculation->name()) {
                $kept = [];
                foreach (array_intersect_key($content->worked->in, $inputs) as $name => $value) {
                    $kept[$name] = $inputs[$name]->read($value);
                }

                return $kept;
            }
        }

        return [];
    }

    /** @return array<string, FoundFigure> by input */
    public function looked(Calculation $calculation, Job $job): array
    {
        $lookup = ($this->specs)()->lookUp($job->getMachine()->facts(), $job->getMachine()->getSpec());
        $looked = [];
        foreach ($calculation->inputs() as $name => $input) {
            $found = $input instanceof AmountInput && null !== $input->figure ? $lookup->find($input->figure) : null;
            if (null !== $found) {
                $looked[$name] = $found;
            }
        }

        return $looked;
    }

    /**
     * @param FormInterface<array<string, mixed>> $form
     * @param array<string, mixed>                $more inputs that are no fields
     *
     * @return Answer|Refusal|null null while something is missing
     */
    public function answer(Calculation $calculation, FormInterface $form, array $more = []): Answer|Refusal|null
    {
        $values = $more + ($form->getData() ?? []);
        $isComplete = !$form->isSubmitted() || $form->isValid();
        foreach ($calculation->inputs() as $name => $input) {
            // An emptied field means its default, as an input left out does on the command line.
            $values[$name] ??= $input->default();
            $isComplete = $isComplete && !($input->isRequired() && null === $values[$name]);
        }
        if (!$isComplete) {
            return null;
        }
        try {
            return $calculation->run(new Given($values));
        } catch (Refusal $refusal) {
            return $refusal;
        }
    }

    /**
     * @param FormInterface<array<string, mixed>> $form
     * @param array<string, mixed>                $more inputs that are no fields
     *
     * @return array<string, mixed> as the command line takes them
     */
    public function plainInputs(Calculation $calculation, FormInterface $form, array $more = []): array
    {
        $values = $more + ($form->getData() ?? []);
        $plain = [];
        foreach ($calculation->inputs() as $name => $input) {
            $value = $input->write($values[$name] ?? $input->default());
            if (null !== $value) {
                $plain[$name] = $value;
            }
        }

        return $plain;
    }

    /**
     * @param FormInterface<array<string, mixed>> $form
     *
     * @return array<string, string|list<string>>
     */
    public function asTyped(FormInterface $form): array
    {
        $typed = [];
        foreach ($form as $name => $field) {
            $text = $field->getViewData();
            if (CalcType::SHEET === $name) {
                /** @var array<string, string> $texts */
                $texts = $text;
                $typed += $texts;
            } elseif (\is_string($text)) {
                $typed[$name] = $text;
            } elseif (\is_array($text)) {
                $typed[$name] = array_values(array_filter($text, is_string(...)));
            }
        }

        return $typed;
    }

    /** What the job says already: the school it follows, or how its machine is built. */
    private static function chosen(ChoiceInput $input, Job $job): \BackedEnum
    {
        $school = $job->getSchools()[$input->question ?? ''] ?? null;

        return match (true) {
            null !== $school => $input->read($school),
            $input->default() instanceof Cycle => $job->getMachine()->facts()->cycle ?? $input->default(),
            $input->default() instanceof Release => Release::forMachine($job->getMachine()->facts()),
            default => $input->default(),
        };
    }
}
