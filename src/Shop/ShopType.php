<?php

declare(strict_types=1);

namespace AwakeShed\App\Shop;

use AwakeShed\App\Account\OnOff;
use AwakeShed\App\Account\Shop;
use AwakeShed\App\Form\ChipChoices;
use AwakeShed\App\Form\ChipsType;
use AwakeShed\App\Reader\UnitSystem;
use Symfony\Component\Form\AbstractType;
use Symfony\Component\Form\Extension\Core\Type\TextType;
use Symfony\Component\Form\FormBuilderInterface;
use Symfony\Component\OptionsResolver\OptionsResolver;
use Symfony\Component\Validator\Constraints\Length;
use Symfony\Component\Validator\Constraints\NotBlank;
use Symfony\Component\Validator\Constraints\NotNull;

/** @extends AbstractType<array{name: string, place: string|null, units: UnitSystem}> */
final class ShopType extends AbstractType
{
    public function __construct(private readonly ChipChoices $choices)
    {
    }

    public function buildForm(FormBuilderInterface $builder, array $options): void
    {
        $builder
            ->add('name', TextType::class, ['label' => 'Name of the shop', 'constraints' => [new NotBlank(normalizer: 'trim'), new Length(max: Shop::LONGEST)]])
            ->add('place', TextType::class, ['label' => 'Where it is', 'required' => false, 'constraints' => [new Length(max: Shop::LONGEST)]])
            ->add('units', ChipsType::class, ['label' => 'Units people here read', 'required' => true, 'help' => 'What somebody new begins with; everybody chooses their own.', 'constraints' => [new NotNull()]] + $this->choices->ofEnum(UnitSystem::class, 'units'))
            ->add('standIns', ChipsType::class, ['label' => 'Stand-ins for weather, gauge and sound', 'required' => true, 'help' => 'On: what they make up is used as if it were measured, to show the shed with. Off: it is shown as simulated, and goes into no record.', 'constraints' => [new NotNull()]] + $this->choices->ofEnum(OnOff::class, 'on_off'));
    }

    public function configureOptions(OptionsResolver $resolver): void
    {
        $resolver->setDefaults(['once' => true, 'based_on' => true]);
    }
}
