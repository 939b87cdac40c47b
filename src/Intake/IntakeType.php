<?php

declare(strict_types=1);

namespace AwakeShed\App\Intake;

use AwakeShed\App\Form\AmountType;
use AwakeShed\App\Form\AsksWhenUnusual;
use AwakeShed\App\Form\ChipChoices;
use AwakeShed\App\Form\ChipsType;
use AwakeShed\App\Job\Job;
use AwakeShed\App\Unit\Measure;
use AwakeShed\App\Words\Words;
use AwakeShed\Core\Evidence\ChokeKind;
use AwakeShed\Core\Evidence\Cycle;
use AwakeShed\Core\Evidence\Feed;
use AwakeShed\Core\Evidence\MachineFacts;
use AwakeShed\Core\Evidence\MachineKind;
use AwakeShed\Core\Units\Interval;
use AwakeShed\Core\Units\LengthUnit;
use AwakeShed\Core\Units\MoneyUnit;
use AwakeShed\Core\Units\MonthUnit;
use AwakeShed\Core\Units\RatioUnit;
use AwakeShed\Core\Units\SpeedUnit;
use AwakeShed\Core\Units\Unit;
use AwakeShed\Core\Units\VolumeUnit;
use Symfony\Component\Form\AbstractType;
use Symfony\Component\Form\Extension\Core\Type\DateType;
use Symfony\Component\Form\Extension\Core\Type\FileType;
use Symfony\Component\Form\Extension\Core\Type\FormType;
use Symfony\Component\Form\Extension\Core\Type\TextareaType;
use Symfony\Component\Form\Extension\Core\Type\TextType;
use Symfony\Component\Form\FormBuilderInterface;
use Symfony\Component\OptionsResolver\Options;
use Symfony\Component\OptionsResolver\OptionsResolver;

/** @extends AbstractType<IntakeInput> */
final class IntakeType extends AbstractType
{
    /** What most small engines have (common practice): outside, the form asks. */
    private const USUAL = [
        'displacement_cc' => [20.0, 800.0],
        'compression_ratio' => [5.0, 12.0],
        'oil_ml' => [300.0, 2000.0],
        'tank_ml' => [200.0, 30000.0],
        'blade_mm' => [280.0, 1400.0],
        'governed_rpm' => [2000.0, 12000.0],
    ];

    public function __construct(
        private readonly ChipChoices $choices,
        private readonly Words $words,
        private readonly AsksWhenUnusual $asksWhenUnusual,
    ) {
    }

    public function buildForm(FormBuilderInterface $builder, array $options): void
    {
        $builder
            ->add('kind', ChipsType::class, ['label' => 'Kind of machine', 'required' => true] + $this->choices->ofEnum(MachineKind::class, 'kind'))
            ->add('label', TextType::class, ['label' => 'Name of the machine', 'help' => 'What you would call it across the barn.'])
            ->add('ownerName', TextType::class, ['label' => 'Customer'])
            ->add('ownerContact', TextType::class, ['label' => 'How to reach them', 'required' => false])
            ->add('wantedBy', DateType::class, ['label' => 'Wanted by', 'required' => false, 'widget' => 'single_text', 'input' => 'datetime_immutable'])
            ->add('remarks', TextareaType::class, ['label' => 'What the customer wants', 'required' => false, 'attr' => ['rows' => 2]])
            ->add('cap', AmountType::class, $this->price('The customer will spend up to'))
            ->add('worth', AmountType::class, $this->price('Running, it is worth'))
            ->add('maker', TextType::class, ['label' => 'Maker', 'required' => false])
            ->add('model', TextType::class, ['label' => 'Model', 'required' => false])
            ->add('type', TextType::class, ['label' => 'Type', 'required' => false])
            ->add('serial', TextType::class, ['label' => 'Serial number', 'required' => false])
            ->add('plug', TextType::class, ['label' => 'Spark plug', 'required' => false])
            ->add('filter', TextType::class, ['label' => 'Filters', 'required' => false])
            ->add('cycle', ChipsType::class, ['label' => 'Engine'] + $this->choices->ofEnum(Cycle::class, 'cycle'))
            ->add('displacement', AmountType::class, $this->amount('Displacement', Measure::Displacement, 'displacement_cc', VolumeUnit::CubicCentimetre))
            ->add('compressionRatio', AmountType::class, $this->amount('Compression ratio', Measure::CompressionRatio, 'compression_ratio', RatioUnit::ToOne))
            ->add('electricStart', ChipsType::class, ['label' => 'Electric start', 'choices' => ['fitted' => true, 'none' => false]])
            ->add('cylinders', ChipsType::class, ['label' => 'Cylinders', 'choices' => ['One' => 1, 'Two' => 2]])
            ->add('compressionRelease', ChipsType::class, ['label' => 'Compression release', 'choices' => ['fitted' => true, 'none' => false]])
            ->add('feed', ChipsType::class, ['label' => 'Fuel comes by'] + $this->choices->ofEnum(Feed::class, 'feed'))
            ->add('choke', ChipsType::class, ['label' => 'Choke'] + $this->choices->ofEnum(ChokeKind::class, 'choke'))
            ->add('oil', AmountType::class, $this->amount('Oil it holds at the mark', Measure::OilVolume, 'oil_ml', VolumeUnit::Millilitre))
            ->add('tank', AmountType::class, $this->amount('Fuel tank', Measure::TankVolume, 'tank_ml', VolumeUnit::Millilitre))
            ->add('blade', AmountType::class, $this->amount('Blade, tip to tip', Measure::BladeLength, 'blade_mm', LengthUnit::Millimetre))
            ->add('governed', AmountType::class, $this->amount('Governed speed, no load', Measure::GovernedSpeed, 'governed_rpm', SpeedUnit::Rpm));
        $this->asksWhenUnusual->listen($builder);
        if (true !== $options['with_claims']) {
            return;
        }
        $builder->add('idle', AmountType::class, [
            'label' => 'How long has it stood?',
            'help' => 'In months; write "6 years" for years.',
            'measure' => Measure::Age,
            'possible' => new Interval(0, 1200, MonthUnit::Month),
            'usual' => new Interval(0, 360, MonthUnit::Month),
        ]);
        $claims = $builder->create('claims', FormType::class, ['label' => false]);
        foreach (IntakeInput::CLAIMS as $test) {
            $claims->add(str_replace('.', '_', $test), ChipsType::class, [
                'label' => $this->words->test($test),
                'translation_domain' => false,
                'property_path' => '['.$test.']',
                'multiple' => $this->words->takesSeveral($test),
            ] + $this->choices->ofTest($test));
        }
        $builder
            ->add($claims)
            ->add('photos', FileType::class, ['label' => 'Photos', 'multiple' => true, 'required' => false, 'attr' => ['accept' => 'image/jpeg,image/png,image/webp']]);
    }

    public function configureOptions(OptionsResolver $resolver): void
    {
        $resolver->setDefaults(['data_class' => IntakeInput::class, 'once' => true, 'with_claims' => true]);
        $resolver->setAllowedTypes('with_claims', 'bool');
        // Claims are asked once, at intake; whoever describes a machine later may not be the only one.
        $resolver->setDefault('based_on', static fn (Options $options): bool => true !== $options['with_claims']);
    }

    /** @return array<string, mixed> */
    private function price(string $label): array
    {
        return ['label' => $label, 'measure' => Measure::Price, 'required' => false, 'possible' => new Interval(0.0, Job::MOST_DOLLARS, MoneyUnit::Dollar), 'usual' => new Interval(10.0, 6_000.0, MoneyUnit::Dollar)];
    }

    /**
     * @param key-of<MachineFacts::BOUNDS> $fact
     *
     * @return array<string, mixed>
     */
    private function amount(string $label, Measure $measure, string $fact, Unit $unit): array
    {
        [$least, $most] = MachineFacts::BOUNDS[$fact];

        return [
            'label' => $label,
            'measure' => $measure,

            'possible' => new Interval($least, $most, $unit),
            'usual' => new Interval(...self::USUAL[$fact], unit: $unit),
        ];
    }
}
