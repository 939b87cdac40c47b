<?php

declare(strict_types=1);

namespace AwakeShed\App\Form;

use AwakeShed\App\Words\Words;
use AwakeShed\Core\Refusal;
use Symfony\Component\Form\AbstractType;
use Symfony\Component\Form\CallbackTransformer;
use Symfony\Component\Form\Event\PostSubmitEvent;
use Symfony\Component\Form\Event\PreSubmitEvent;
use Symfony\Component\Form\FormBuilderInterface;
use Symfony\Component\Form\FormError;
use Symfony\Component\Form\FormEvents;
use Symfony\Component\Form\FormInterface;
use Symfony\Component\Form\FormView;
use Symfony\Component\Form\Util\StringUtil;
use Symfony\Component\OptionsResolver\Options;
use Symfony\Component\OptionsResolver\OptionsResolver;
use Symfony\Contracts\Translation\TranslatorInterface;

/**
 * Amounts of which a form has many, as one field that is drawn as many: a form for each of them was a tenth of the time of a
 * calculator (bin/bench). Its data are amounts by name; each is read, refused and drawn as {@see AmountType} would. The name
 * of the amount that an error is about is the error's cause.
 *
 * @extends AbstractType<array<string, mixed>>
 */
final class AmountSheetType extends AbstractType
{
    /** An option nobody gives: what is asked for by each amount. */
    private const ASKED = 'asked';

    /** As those of {@see AmountType}; one for all, so that what draws them is looked for once. */
    private const PREFIXES = ['form', 'text', 'amount'];

    public function __construct(private readonly AmountTexts $texts, private readonly Words $words, private readonly TranslatorInterface $translator)
    {
    }

    public function buildForm(FormBuilderInterface $builder, array $options): void
    {
        $asked = self::askedIn($options);
        $needed = array_filter(self::rowsIn($options), static fn (array $row): bool => true === ($row['required'] ?? false));
        /** @var array<string, string> $refused in what was read last, by amount */
        $refused = [];
        /** @var array<string, mixed> $strange what was sent and is no text */
        $strange = [];
        $builder->addEventListener(FormEvents::PRE_SUBMIT, static function (PreSubmitEvent $event) use ($asked, &$strange): void {
            $sent = $event->getData();
            $sent = \is_array($sent) ? array_intersect_key($sent, $asked) : [];
            $texts = array_filter($sent, \is_string(...));
            $strange = array_diff_key($sent, $texts);
            $event->setData(array_replace(array_fill_keys(array_keys($asked), ''), array_map(StringUtil::trim(...), $texts)));
        });
        $builder->addModelTransformer(new CallbackTransformer(
            fn (mixed $values): array => $this->written(\is_array($values) ? $values : [], $asked),
            function (mixed $typed) use ($asked, &$refused): array {
                [$values, $refused] = $this->read(self::texts($typed), $asked);

                return $values;
            },
        ));
        $builder->addEventListener(FormEvents::POST_SUBMIT, function (PostSubmitEvent $event) use (&$refused, &$strange, $needed, $options): void {
            $form = $event->getForm();
            $why = $refused;
            foreach (array_keys(array_intersect_key(self::texts($form->getViewData()), $needed), '', true) as $name) {
                $why[$name] = $this->say($options['missing_message']);
            }
            foreach (array_keys($strange) as $name) {
                $why[$name] = $this->say($options['invalid_message']);
            }
            foreach ($why as $name => $said) {
                $form->addError(new FormError($said, cause: $name));
            }
        });
    }

    public function buildView(FormView $view, FormInterface $form, array $options): void
    {
        $errors = [];
        foreach ($form->getErrors() as $error) {
            $name = $error instanceof FormError ? $error->getCause() : null;
            $errors[\is_string($name) ? $name : ''][] = $error;
        }
        $typed = self::texts($form->getViewData());
        $above = $view->parent?->vars['full_name'] ?? '';
        \assert(\is_string($above));
        $asked = self::askedIn($options);
        $rows = [];
        foreach (self::rowsIn($options) as $name => $row) {
            $text = $typed[$name] ?? '';
            $rows[$name] = $one = new FormView($view->parent);
            $one->vars = [
                'form' => $one,
                'id' => '' === $above ? $name : $above.'_'.$name,
                'name' => $name,
                'full_name' => '' === $above ? $name : $above.'['.$name.']',
                'value' => $text,
                'errors' => $errors[$name] ?? [],
                'valid' => !isset($errors[$name]),
                'unit' => $this->texts->unit($asked[$name]),
                'readings' => isset($errors[$name]) ? $this->texts->readings($text, $asked[$name]) : [],
                'block_prefixes' => [...self::PREFIXES, '_amount'],
                'unique_block_prefix' => '_amount',
                'cache_key' => '_amount_amount',
            ] + $row + $view->vars;
        }
        $view->vars['rows'] = $rows;
    }

    public function configureOptions(OptionsResolver $resolver): void
    {
        $resolver->setDefaults(['data_class' => null, 'required' => false, 'multiple' => true, 'compound' => false, 'error_bubbling' => false]);
        // By name what an {@see AmountType} of it would be told, its label and help among it.
        $resolver->setRequired(['amounts', 'missing_message']);
        $resolver->setAllowedTypes('amounts', 'array');
        // Under an amount that is required and left empty.
        $resolver->setAllowedTypes('missing_message', 'string');
        // Worked out once for all that reads, asks and draws.
        $resolver->setDefault(self::ASKED, static fn (Options $options): array => array_map(AmountAsked::in(...), self::rowsIn(['amounts' => $options['amounts']])));
    }

    public function getBlockPrefix(): string
    {
        return 'amount_sheet';
    }

    /**
     * @param array<string, mixed> $options of the form's field
     *
     * @return array<string, AmountAsked>
     */
    public static function askedIn(array $options): array
    {
        /** @var array<string, AmountAsked> $asked */
        $asked = $options[self::ASKED];

        return $asked;
    }

    /**
     * @param array<string, mixed> $options
     *
     * @return array<string, array<string, mixed>>
     */
    private static function rowsIn(array $options): array
    {
        /** @var array<string, array<string, mixed>> $rows */
        $rows = $options['amounts'];

        return $rows;
    }

    /** @return array<string, string> what stands in the fields, by amount */
    private static function texts(mixed $view): array
    {
        /** @var array<string, string> $texts */
        $texts = \is_array($view) ? $view : [];

        return $texts;
    }

    private function say(mixed $message): string
    {
        return \is_string($message) ? $this->translator->trans($message, domain: 'validators') : '';
    }

    /**
     * @param array<mixed>               $values
     * @param array<string, AmountAsked> $asked
     *
     * @return array<string, string>
     */
    private function written(array $values, array $asked): array
    {
        $texts = [];
        foreach ($asked as $name => $one) {
            $texts[$name] = $this->texts->written($values[$name] ?? null, $one);
        }

        return $texts;
    }

    /**
     * @param array<string, string>      $typed
     * @param array<string, AmountAsked> $asked
     *
     * @return array{array<string, mixed>, array<string, string>} what was read, and why the rest was not
     */
    private function read(array $typed, array $asked): array
    {
        $values = $refused = [];
        foreach ($asked as $name => $one) {
            $values[$name] = null;
            try {
                $values[$name] = $this->texts->read($typed[$name] ?? '', $one);
            } catch (Refusal $refusal) {
                $refused[$name] = $this->words->refusal($refusal);
            }
        }

        return [$values, $refused];
    }
}
