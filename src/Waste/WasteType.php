<?php

declare(strict_types=1);

namespace AwakeShed\App\Waste;

use AwakeShed\App\Form\AmountType;
use AwakeShed\App\Form\AsksWhenUnusual;
use AwakeShed\App\Form\ChipChoices;
use AwakeShed\App\Form\ChipsType;
use AwakeShed\App\Unit\Measure;
use AwakeShed\Core\Fuel\WasteStream;
use AwakeShed\Core\Units\Interval;
use AwakeShed\Core\Units\VolumeUnit;
use Symfony\Component\Form\AbstractType;
use Symfony\Component\Form\FormBuilderInterface;
use Symfony\Component\OptionsResolver\OptionsResolver;
use Symfony\Component\Validator\Constraints\NotNull;

/** @extends AbstractType<array<string, mixed>> */
final class WasteType extends AbstractType
{
    public function __construct(private readonly ChipChoices $choices, private readonly AsksWhenUnusual $asksWhenUnusual)
    {
    }

    public function buildForm(FormBuilderInterface $builder, array $options): void
    {
        $builder
            ->add('stream', ChipsType::class, ['label' => 'Into which can', 'required' => true, 'constraints' => [new NotNull(message: 'Say which can it went into.')]] + $this->choices->ofEnum(WasteStream::class, 'waste'))
            ->add('volume', AmountType::class, [
                'label' => 'How much',
                'measure' => Measure::WasteVolume,
                'possible' => WastePortion::bounds(),
                'usual' => new Interval(1, 20_000, VolumeUnit::Millilitre),
                'constraints' => [new NotNull(message: 'Say how much went into it.')],
            ]);
        $this->asksWhenUnusual->listen($builder);
    }

    public function configureOptions(OptionsResolver $resolver): void
    {
        $resolver->setDefault('once', true);
    }
}
