<?php

declare(strict_types=1);

namespace AwakeShed\App\Form;

use AwakeShed\App\Unit\Measure;
use AwakeShed\App\Unit\Quantities;
use AwakeShed\App\Words\Words;
use AwakeShed\Core\Refusal;
use AwakeShed\Core\Units\Interval;
use AwakeShed\Core\Units\Quantity;
use AwakeShed\Core\Units\TypedAmount;
use AwakeShed\Core\Units\Unit;
use Symfony\Component\Form\AbstractType;
use Symfony\Component\Form\CallbackTransformer;
use Symfony\Component\Form\Exception\TransformationFailedException;
use Symfony\Component\Form\Extension\Core\Type\TextType;
use Symfony\Component\Form\FormBuilderInterface;
use Symfony\Component\Form\FormInterface;
use Symfony\Component\Form\FormView;
use Symfony\Component\OptionsResolver\OptionsResolver;

/**
 * A reading with its unit: the reader's unit unless another is typed behind the number, either decimal sign.
 *
 * Outside `possible` it is refused with the interval; outside `usual` the form asks, {@see AsksWhenUnusual}. With
 * `most` it is a row of readings, "8; 5,5; 2 mL" or "0.3 0.45 0.6", up to so many; a unit behind the last is meant for all.
 *
 * @extends AbstractType<Quantity|list<Quantity>>
 */
final class AmountType extends AbstractType
{
    /** A comma parts readings where a space follows it; within a number it is a decimal comma. */
    private const BETWEEN = '/\s*[;\/]\s*|,\s+|\s+(?=\d)/u';

    public function __construct(private readonly Quantities $quantities, private readonly Words $words)
    {
    }

    public function buildForm(FormBuilderInterface $builder, array $options): void
    {
        $measure = $options['measure'];
        \assert($measure instanceof Measure);
        $possible = $options['possible'];
        \assert(null === $possible || $possible instanceof Interval);
        $most = $options['most'];
        \assert(null === $most || \is_int($most));
        $builder->addModelTransformer(new CallbackTransformer(
            fn (mixed $value): string => implode('; ', array_map(
                fn (mixed $one): string => $one instanceof Quantity ? $this->quantities->field($one, $measure) : '',
                \is_array($value) ? $value : [$value],
            )),
            function (mixed $typed) use ($measure, $possible, $most): Quantity|array|null {
                $text = trim(\is_string($typed) ? mb_scrub($typed) : '');
                try {
                    return match (true) {
                        null !== $most => $this->row($text, $measure, $possible, $most),
                        '' === $text => null,
                        default => $this->one($text, null, $measure, $possible),
                    };
                } catch (Refusal $refusal) {
                    throw new TransformationFailedException($refusal->getMessage(), invalidMessage: $this->words->refusal($refusal));
                }
            },
        ));
    }

    public function buildView(FormView $view, FormInterface $form, array $options): void
    {
        $measure = $options['measure'];
        \assert($measure instanceof Measure);
        $view->vars['unit'] = $this->quantities->unit($measure)->symbol();
        $possible = $options['possible'];
        $usual = $options['usual'];
        $typed = $form->getViewData();
        // Shown under what is asked or refused; a row of readings is mended by typing.
        $view->vars['readings'] = $form->isSubmitted() && null === $options['most'] && \is_string($typed) && '' !== trim($typed)
            ? $this->quantities->otherReadings(mb_scrub($typed), $measure, $possible instanceof Interval ? $possible : null, $usual instanceof Interval ? $usual : null) : [];
    }

    public function configureOptions(OptionsResolver $resolver): void
    {
        $resolver->setDefaults([
            // Text goes in and comes out; a quantity lies only behind the transformer.
            'data_class' => null,
            'possible' => null,
            'usual' => null,
            'most' => null,
            'required' => false,
            'attr' => ['inputmode' => 'decimal', 'autocomplete' => 'off'],
        ]);
        $resolver->setRequired('measure');
        $resolver->setAllowedTypes('measure', Measure::class);
        $resolver->setAllowedTypes('possible', [Interval::class, 'null']);
        $resolver->setAllowedTypes('usual', [Interval::class, 'null']);
        $resolver->setAllowedTypes('most', ['int', 'null']);
    }

    public function getParent(): string
    {
        return TextType::class;
    }

    public function getBlockPrefix(): string
    {
        return 'amount';
    }

    /** @throws Refusal */
    private function one(string $text, ?Unit $meant, Measure $measure, ?Interval $possible): Quantity
    {
        $value = $this->quantities->read($text, $measure, $measure->quantity(), $meant, $possible);
        $possible?->demand($value);

        return $value;
    }

    /**
     * @return list<Quantity>
     *
     * @throws Refusal
     */
    private function row(string $text, Measure $measure, ?Interval $possible, int $most): array
    {
        $pieces = preg_split(self::BETWEEN, $text, -1, \PREG_SPLIT_NO_EMPTY);
        $pieces = false === $pieces ? [] : \array_slice($pieces, 0, $most);
        if ([] === $pieces) {
            return [];
        }
        $meant = TypedAmount::parse($pieces[\count($pieces) - 1], $this->quantities->unit($measure), $measure->quantity()::units(), $possible)->unit;

        return array_map(fn (string $piece): Quantity => $this->one($piece, $meant, $measure, $possible), $pieces);
    }
}
