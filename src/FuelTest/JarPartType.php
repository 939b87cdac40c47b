<?php

declare(strict_types=1);

namespace AwakeShed\App\FuelTest;

use AwakeShed\App\Form\AmountType;
use AwakeShed\App\Form\AsksWhenUnusual;
use AwakeShed\App\Form\ChipChoices;
use AwakeShed\App\Form\ChipsType;
use AwakeShed\App\Unit\Measure;
use AwakeShed\App\Words\Words;
use AwakeShed\Core\Fuel\Clarity;
use AwakeShed\Core\Fuel\FuelColour;
use AwakeShed\Core\Fuel\FuelSmell;
use AwakeShed\Core\Fuel\LayerEdge;
use AwakeShed\Core\Fuel\Specks;
use AwakeShed\Core\Units\Interval;
use AwakeShed\Core\Units\LengthUnit;
use AwakeShed\Core\Units\MonthUnit;
use AwakeShed\Core\Units\TemperatureUnit;
use AwakeShed\Core\Units\VolumeUnit;
use Symfony\Component\Form\AbstractType;
use Symfony\Component\Form\Extension\Core\Type\CheckboxType;
use Symfony\Component\Form\FormBuilderInterface;
use Symfony\Component\OptionsResolver\OptionsResolver;

/**
 * One card of the jar page. It carries the number of the entry it was filled from, by which a reading that somebody
 * else has changed meanwhile is noticed.
 *
 * @extends AbstractType<JarInput>
 */
final class JarPartType extends AbstractType
{
    public function __construct(
        private readonly ChipChoices $choices,
        private readonly Words $words,
        private readonly AsksWhenUnusual $asksWhenUnusual,
    ) {
    }

    public function buildForm(FormBuilderInterface $builder, array $options): void
    {
        $part = $options['part'];
        \assert($part instanceof JarPart);
        match ($part) {
            JarPart::Layers => $this->layers($builder),
            JarPart::Look => $this->look($builder),
            JarPart::Age => $this->age($builder),
            JarPart::Shift => $this->shift($builder),
            JarPart::Dose => $this->dose($builder),
            JarPart::Tank => $this->tank($builder),
        };
        $this->asksWhenUnusual->listen($builder);
    }

    public function configureOptions(OptionsResolver $resolver): void
    {
        $resolver->setDefaults(['once' => true, 'data_class' => JarInput::class, 'based_on' => '']);
        $resolver->setRequired('part');
        $resolver->setAllowedTypes('part', JarPart::class);
    }

    /** @param FormBuilderInterface<JarInput|null> $builder */
    private function layers(FormBuilderInterface $builder): void
    {
        $builder
            ->add('total', AmountType::class, self::volume('In the jar', 0, 5000) + ['usual' => self::millilitres(20, 500), 'help' => 'Usual: 50 to 100 mL.'])
            ->add('height', AmountType::class, ['label' => 'Height', 'measure' => Measure::JarHeight, 'possible' => new Interval(5, 500, LengthUnit::Millimetre), 'usual' => new Interval(20, 250, LengthUnit::Millimetre)])
            ->add('lower', AmountType::class, self::volume('Lower layer', 0, 5000) + ['help' => '0 for one layer.'])
            ->add('edge', ChipsType::class, ['label' => 'Between the layers'] + $this->choices->ofEnum(LayerEdge::class, 'edge'));
    }

    /** @param FormBuilderInterface<JarInput|null> $builder */
    private function look(FormBuilderInterface $builder): void
    {
        $specks = [LookInput::NO_SPECKS, ...array_column(Specks::cases(), 'value')];
        $builder
            ->add('clarity', ChipsType::class, ['label' => 'Held to the light'] + $this->choices->ofEnum(Clarity::class, 'clarity'))
            ->add('colour', ChipsType::class, ['label' => 'Color'] + $this->choices->ofEnum(FuelColour::class, 'fuel_colour'))
            ->add('specks', ChipsType::class, [
                'label' => 'Specks',
                'multiple' => true,
                'choices' => $specks,
                'choice_label' => fn (string $kind): string => $this->words->outcome('specks', $kind),
                'choice_translation_domain' => false,
            ])
            ->add('smell', ChipsType::class, ['label' => 'Smell, wafted by hand'] + $this->choices->ofEnum(FuelSmell::class, 'jar.smell'));
    }

    /** @param FormBuilderInterface<JarInput|null> $builder */
    private function age(FormBuilderInterface $builder): void
    {
        $builder
            ->add('age', AmountType::class, [
                'label' => 'How old is this fuel?',
                'help' => 'In months; write "2 years" for years. The fuel in the bowl is as old as the stand.',
                'measure' => Measure::Age,
                'possible' => new Interval(0, 600, MonthUnit::Month),
                'usual' => new Interval(0, 240, MonthUnit::Month),
            ])
            ->add('unknown', CheckboxType::class, ['label' => 'Nobody knows', 'required' => false]);
    }

    /** @param FormBuilderInterface<JarInput|null> $builder */
    private function shift(FormBuilderInterface $builder): void
    {
        $builder
            ->add('fuel', AmountType::class, self::volume('Fuel in the tube', 1, 2000))
            ->add('water', AmountType::class, self::volume('Water added', 1, 2000))
            ->add('aqueous', AmountType::class, self::volume('Lower layer after shaking', 0, 4000))
            ->add('at', AmountType::class, self::temperature('Where it stands it is', 0, 40) + ['usual' => new Interval(5, 35, TemperatureUnit::Celsius)])
            ->add('readingError', AmountType::class, self::volume('You can read it to, give or take', 0.01, 50) + ['usual' => self::millilitres(0.1, 5)]);
    }

    /** @param FormBuilderInterface<JarInput|null> $builder */
    private function dose(FormBuilderInterface $builder): void
    {
        $builder
            ->add('before', AmountType::class, self::volume('Lower layer before', 0, 2000))
            ->add('dose', AmountType::class, self::volume('Water added', 0.5, 500) + ['usual' => self::millilitres(1, 100)])
            ->add('after', AmountType::class, self::volume('Lower layer after', 0, 2500));
    }

    /** @param FormBuilderInterface<JarInput|null> $builder */
    private function tank(FormBuilderInterface $builder): void
    {
        $builder
            ->add('volume', AmountType::class, ['label' => 'Fuel in the tank', 'measure' => Measure::TankVolume, 'possible' => self::millilitres(1, 200_000), 'usual' => self::millilitres(50, 30_000)])
            ->add('now', AmountType::class, self::temperature('Fuel temperature now', -20, 40))
            ->add('tonight', AmountType::class, self::temperature('Tonight\'s low', -20, 40));
    }

    /** @return array<string, mixed> */
    private static function volume(string $label, float $least, float $most): array
    {
        return ['label' => $label, 'measure' => Measure::JarVolume, 'possible' => self::millilitres($least, $most)];
    }

    /** @return array<string, mixed> */
    private static function temperature(string $label, float $least, float $most): array
    {
        return ['label' => $label, 'measure' => Measure::AirTemperature, 'possible' => new Interval($least, $most, TemperatureUnit::Celsius)];
    }

    private static function millilitres(float $least, float $most): Interval
    {
        return new Interval($least, $most, VolumeUnit::Millilitre);
    }
}
