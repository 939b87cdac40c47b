<?php

declare(strict_types=1);

namespace AwakeShed\App\Form;

use AwakeShed\App\Show\Measure;
use AwakeShed\App\Show\Quantities;
use AwakeShed\App\Show\Words;
use AwakeShed\Core\Refusal;
use AwakeShed\Core\Units\Interval;
use AwakeShed\Core\Units\Quantity;
use AwakeShed\Core\Units\TypedAmount;
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
 * Outside `possible` it is refused with the interval; outside `usual` the form asks, {@see AsksWhenUnusual}.
 *
 * @extends AbstractType<Quantity>
 */
final class AmountType extends AbstractType
{
    public function __construct(private readonly Quantities $quantities, private readonly Words $words)
    {
    }

    public function buildForm(FormBuilderInterface $builder, array $options): void
    {
        $measure = $options['measure'];
        \assert($measure instanceof Measure);
        $possible = $options['possible'];
        $quantity = $measure->quantity();
        $builder->addModelTransformer(new CallbackTransformer(
            fn (?Quantity $value): string => null === $value ? '' : $this->quantities->field($value, $measure),
            function (mixed $text) use ($measure, $possible, $quantity): ?Quantity {
                if (!\is_string($text) || '' === trim($text)) {
                    return null;
                }
                try {
                    $typed = TypedAmount::parse(mb_scrub($text), $this->quantities->unit($measure), $quantity::units());
                    $value = $quantity::of($typed->amount, $typed->unit);
                    if ($possible instanceof Interval) {
                        $possible->demand($value);
                    }

                    return $value;
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
    }

    public function configureOptions(OptionsResolver $resolver): void
    {
        $resolver->setDefaults([
            // Text goes in and comes out; a quantity lies only behind the transformer.
            'data_class' => null,
            'possible' => null,
            'usual' => null,
            'required' => false,
            'attr' => ['inputmode' => 'decimal', 'autocomplete' => 'off'],
        ]);
        $resolver->setRequired('measure');
        $resolver->setAllowedTypes('measure', Measure::class);
        $resolver->setAllowedTypes('possible', [Interval::class, 'null']);
        $resolver->setAllowedTypes('usual', [Interval::class, 'null']);
    }

    public function getParent(): string
    {
        return TextType::class;
    }

    public function getBlockPrefix(): string
    {
        return 'amount';
    }
}
