<?php

declare(strict_types=1);

namespace AwakeShed\App\Account;

use AwakeShed\App\Form\AmountType;
use AwakeShed\App\Form\ChipChoices;
use AwakeShed\App\Form\ChipsType;
use AwakeShed\App\Reader\Look;
use AwakeShed\App\Reader\UnitSystem;
use AwakeShed\App\Unit\Measure;
use AwakeShed\Core\Units\Interval;
use AwakeShed\Core\Units\Length;
use AwakeShed\Core\Units\LengthUnit;
use Symfony\Component\Form\AbstractType;
use Symfony\Component\Form\FormBuilderInterface;
use Symfony\Component\OptionsResolver\OptionsResolver;
use Symfony\Component\Validator\Constraints\NotNull;

/** @extends AbstractType<array{units: UnitSystem, look: Look, letterKeys: OnOff, timerSound: OnOff, wires: list<Length>}> */
final class PreferencesType extends AbstractType
{
    public function __construct(private readonly ChipChoices $choices)
    {
    }

    public function buildForm(FormBuilderInterface $builder, array $options): void
    {
        $builder
            ->add('units', ChipsType::class, ['label' => 'Units', 'required' => true, 'constraints' => [new NotNull()]] + $this->choices->ofEnum(UnitSystem::class, 'units'))
            ->add('look', ChipsType::class, ['label' => 'Look', 'required' => true, 'constraints' => [new NotNull()]] + $this->choices->ofEnum(Look::class, 'look'))
            ->add('letterKeys', ChipsType::class, ['label' => 'Single-letter keys', 'required' => true, 'constraints' => [new NotNull()]] + $this->choices->ofEnum(OnOff::class, 'on_off'))
            ->add('timerSound', ChipsType::class, ['label' => 'Sound of a timer', 'help' => 'A short tone when a wait is over, while a page of the shed is open.', 'required' => true, 'constraints' => [new NotNull()]] + $this->choices->ofEnum(OnOff::class, 'on_off'))
            ->add('wires', AmountType::class, ['label' => 'Your cleaning wires', 'help' => 'In any order, such as 0.3; 0.45; 0.6. The jet page chooses from them.', 'measure' => Measure::Bore, 'possible' => new Interval(0.02, 5, LengthUnit::Millimetre), 'most' => 40, 'attr' => ['autocomplete' => 'off']]);
    }

    public function configureOptions(OptionsResolver $resolver): void
    {
        $resolver->setDefault('based_on', true);
    }
}
