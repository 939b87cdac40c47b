<?php

declare(strict_types=1);

namespace AwakeShed\App\Account;

use AwakeShed\App\Form\ChipChoices;
use AwakeShed\App\Form\ChipsType;
use Symfony\Component\Form\AbstractType;
use Symfony\Component\Form\FormBuilderInterface;
use Symfony\Component\Validator\Constraints\NotNull;

/** @extends AbstractType<array{units: UnitSystem, look: Look}> */
final class PreferencesType extends AbstractType
{
    public function __construct(private readonly ChipChoices $choices)
    {
    }

    public function buildForm(FormBuilderInterface $builder, array $options): void
    {
        $builder
            ->add('units', ChipsType::class, ['label' => 'Units', 'required' => true, 'constraints' => [new NotNull()]] + $this->choices->ofEnum(UnitSystem::class, 'units'))
            ->add('look', ChipsType::class, ['label' => 'Look', 'required' => true, 'constraints' => [new NotNull()]] + $this->choices->ofEnum(Look::class, 'look'));
    }
}
