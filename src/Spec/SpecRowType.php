<?php

declare(strict_types=1);

namespace AwakeShed\App\Spec;

use AwakeShed\App\Form\AmountType;
use AwakeShed\App\Form\ChipChoices;
use AwakeShed\App\Unit\Quantities;
use AwakeShed\Core\Spec\SourceClass;
use AwakeShed\Core\Spec\SpecFigure;
use Symfony\Component\Form\AbstractType;
use Symfony\Component\Form\Extension\Core\Type\ChoiceType;
use Symfony\Component\Form\Extension\Core\Type\TextType;
use Symfony\Component\Form\FormBuilderInterface;
use Symfony\Component\OptionsResolver\OptionsResolver;

/** @extends AbstractType<SpecRow> */
final class SpecRowType extends AbstractType
{
    public function __construct(private readonly Quantities $quantities, private readonly ChipChoices $choices)
    {
    }

    public function buildForm(FormBuilderInterface $builder, array $options): void
    {
        $figure = $options['figure'];
        \assert($figure instanceof SpecFigure);
        $measure = SpecMeasure::forFigure($figure);
        $builder
            ->add('amount', AmountType::class, ['label' => $options['label'], 'translation_domain' => false, 'measure' => $measure, 'possible' => $figure->possible()->in($this->quantities->unit($measure))])
            ->add('source', ChoiceType::class, ['label' => 'How it is known', 'required' => false, 'placeholder' => ''] + $this->choices->ofEnum(SourceClass::class, 'source_class'))
            ->add('note', TextType::class, ['label' => 'Where it stands', 'required' => false]);
    }

    public function configureOptions(OptionsResolver $resolver): void
    {
        $resolver->setDefaults(['data_class' => SpecRow::class]);
        $resolver->setRequired('figure');
        $resolver->setAllowedTypes('figure', SpecFigure::class);
    }
}
