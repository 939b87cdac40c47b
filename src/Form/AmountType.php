<?php

declare(strict_types=1);

namespace AwakeShed\App\Form;

use AwakeShed\App\Unit\Measure;
use AwakeShed\App\Words\Words;
use AwakeShed\Core\Refusal;
use AwakeShed\Core\Units\Interval;
use AwakeShed\Core\Units\Quantity;
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
    public function __construct(private readonly AmountTexts $texts, private readonly Words $words)
    {
    }

    public function buildForm(FormBuilderInterface $builder, array $options): void
    {
        $asked = AmountAsked::in($options);
        $builder->addModelTransformer(new CallbackTransformer(
            fn (mixed $value): string => $this->texts->written($value, $asked),
            function (mixed $typed) use ($asked): Quantity|array|null {
                try {
                    return $this->texts->read(\is_string($typed) ? $typed : '', $asked);
                } catch (Refusal $refusal) {
                    throw new TransformationFailedException($refusal->getMessage(), invalidMessage: $this->words->refusal($refusal));
                }
            },
        ));
    }

    public function buildView(FormView $view, FormInterface $form, array $options): void
    {
        $asked = AmountAsked::in($options);
        $view->vars['unit'] = $this->texts->unit($asked);
        $typed = $form->getViewData();
        // Shown under what is asked or refused.
        $view->vars['readings'] = $form->isSubmitted() && \is_string($typed) ? $this->texts->readings($typed, $asked) : [];
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
}
