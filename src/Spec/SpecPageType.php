<?php

declare(strict_types=1);

namespace AwakeShed\App\Spec;

use AwakeShed\App\Form\ChipChoices;
use AwakeShed\App\Form\ChipsType;
use AwakeShed\App\Words\Words;
use AwakeShed\Core\Evidence\MachineKind;
use AwakeShed\Core\Spec\SpecFigure;
use Symfony\Component\Form\AbstractType;
use Symfony\Component\Form\Extension\Core\Type\FormType;
use Symfony\Component\Form\Extension\Core\Type\TextType;
use Symfony\Component\Form\FormBuilderInterface;
use Symfony\Component\OptionsResolver\OptionsResolver;

/** @extends AbstractType<SpecPageInput> */
final class SpecPageType extends AbstractType
{
    public function __construct(private readonly ChipChoices $choices, private readonly Words $words)
    {
    }

    public function buildForm(FormBuilderInterface $builder, array $options): void
    {
        $builder
            ->add('name', TextType::class, ['label' => 'Machine or engine', 'help' => 'What you would look it up under.'])
            ->add('kind', ChipsType::class, ['label' => 'Kind of machine'] + $this->choices->ofEnum(MachineKind::class, 'kind'));
        $rows = $builder->create('rows', FormType::class, ['label' => false]);
        foreach (SpecFigure::cases() as $figure) {
            $rows->add($figure->value, SpecRowType::class, ['figure' => $figure, 'label' => $this->words->outcome('spec', $figure->value), 'property_path' => '['.$figure->value.']']);
        }
        $builder->add($rows);
    }

    public function configureOptions(OptionsResolver $resolver): void
    {
        $resolver->setDefaults(['data_class' => SpecPageInput::class, 'once' => true, 'based_on' => true]);
    }
}
