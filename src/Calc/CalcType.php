<?php

declare(strict_types=1);

namespace AwakeShed\App\Calc;

use AwakeShed\App\Form\AmountSheetType;
use AwakeShed\App\Form\AmountType;
use AwakeShed\App\Form\AsksWhenUnusual;
use AwakeShed\App\Form\ChipChoices;
use AwakeShed\App\Unit\Quantities;
use Symfony\Component\Form\AbstractType;
use Symfony\Component\Form\Event\PostSubmitEvent;
use Symfony\Component\Form\Event\PreSubmitEvent;
use Symfony\Component\Form\FormBuilderInterface;
use Symfony\Component\Form\FormError;
use Symfony\Component\Form\FormEvents;
use Symfony\Component\Form\FormInterface;
use Symfony\Component\Form\FormView;
use Symfony\Component\OptionsResolver\OptionsResolver;
use Symfony\Contracts\Translation\TranslatorInterface;

/**
 * The fields of a calculation. It is sent by GET, so that an answer has an address; nothing is changed by it. Its data are
 * values by input. Amounts are one sheet among its fields, but are sent, and stand on the page, as every field does.
 *
 * @extends AbstractType<array<string, mixed>>
 */
final class CalcType extends AbstractType
{
    /** No input is called that: those of amounts end in their unit. */
    public const SHEET = 'amounts';

    /** It would look through all that was typed, each amount as an object of its own, for what two lines here say. */
    private const BEFORE_THE_VALIDATOR = 1;

    private const MISSING = 'This is needed for the answer.';

    public function __construct(
        private readonly Quantities $quantities,
        private readonly ChipChoices $choices,
        private readonly CalcWords $words,
        private readonly AsksWhenUnusual $asksWhenUnusual,
        private readonly TranslatorInterface $translator,
    ) {
    }

    public function buildForm(FormBuilderInterface $builder, array $options): void
    {
        $calculation = $options['calculation'];
        \assert($calculation instanceof Calculation);
        $amounts = [];
        foreach ($calculation->inputs() as $name => $input) {
            $field = $input->field($this->quantities, $this->choices);
            if (null === $field) {
                continue;
            }
            [$type, $more] = $field;
            $more += ['label' => $this->words->input($calculation, $name), 'help' => $this->words->help($calculation, $name), 'translation_domain' => false];
            if (AmountType::class === $type) {
                $amounts[$name] = $more;
            } else {
                $builder->add($name, $type, $more);
            }
        }
        if ([] !== $amounts) {
            self::addSheet($builder, $amounts);
        }
        $this->asksWhenUnusual->takeAnswer($builder);
        $builder->addEventListener(FormEvents::POST_SUBMIT, function (PostSubmitEvent $event) use ($calculation): void {
            $form = $event->getForm();
            foreach ($form as $name => $field) {
                $this->refuse($field, ($calculation->inputs()[$name] ?? null)?->isRequired() ?? false);
            }
            $this->asksWhenUnusual->ask($form);
            $event->stopPropagation();
        }, self::BEFORE_THE_VALIDATOR);
    }

    /** In the order in which the calculation asks. */
    public function finishView(FormView $view, FormInterface $form, array $options): void
    {
        $calculation = $options['calculation'];
        \assert($calculation instanceof Calculation);
        /** @var array<string, FormView> $rows */
        $rows = isset($view[self::SHEET]) ? $view[self::SHEET]->vars['rows'] : [];
        $fields = $rows + $view->children;
        unset($fields[self::SHEET]);
        $ordered = [];
        foreach ([...array_keys($calculation->inputs()), ...array_keys($fields)] as $name) {
            if (isset($fields[$name])) {
                $ordered[$name] = $fields[$name];
            }
        }
        $view->children = $ordered;
    }

    public function configureOptions(OptionsResolver $resolver): void
    {
        $resolver->setDefaults(['method' => 'GET', 'csrf_token_id' => null, 'data_class' => null, 'allow_extra_fields' => true]);
        $resolver->setRequired('calculation');
        $resolver->setAllowedTypes('calculation', Calculation::class);
    }

    /**
     * @param FormInterface<array<string, mixed>> $form
     *
     * @return list<string> what may be sent to it
     */
    public static function fieldsOf(FormInterface $form): array
    {
        $amounts = $form->has(self::SHEET) ? AmountSheetType::askedIn($form->get(self::SHEET)->getConfig()->getOptions()) : [];

        return [...array_keys($amounts), ...array_map(strval(...), array_keys(array_diff_key($form->all(), [self::SHEET => true]))), AsksWhenUnusual::ANSWER];
    }

    /**
     * @template T
     *
     * @param FormInterface<T> $field
     */
    private function refuse(FormInterface $field, bool $isNeeded): void
    {
        $failure = $field->getTransformationFailure();
        $why = match (true) {
            null !== $failure => $failure->getInvalidMessage() ?? $field->getConfig()->getOption('invalid_message'),
            $isNeeded && null === $field->getData() => self::MISSING,
            default => null,
        };
        if (\is_string($why)) {
            $field->addError(new FormError($this->translator->trans($why, $failure?->getInvalidMessageParameters() ?? [], 'validators')));
        }
    }

    /**
     * @param FormBuilderInterface<array<string, mixed>|null> $builder
     * @param array<string, array<string, mixed>>             $amounts by name
     */
    private static function addSheet(FormBuilderInterface $builder, array $amounts): void
    {
        $builder->add(self::SHEET, AmountSheetType::class, [
            'amounts' => $amounts,
            'missing_message' => self::MISSING,
            'label' => false,
            'getter' => static fn (array $values): array => array_intersect_key($values, $amounts),
            'setter' => static function (array &$values, ?array $typed): void {
                $values = ($typed ?? []) + $values;
            },
        ]);
        $builder->addEventListener(FormEvents::PRE_SUBMIT, static function (PreSubmitEvent $event) use ($amounts): void {
            $sent = $event->getData();
            \assert(\is_array($sent));
            $event->setData([self::SHEET => array_intersect_key($sent, $amounts)] + array_diff_key($sent, $amounts));
        });
    }
}
