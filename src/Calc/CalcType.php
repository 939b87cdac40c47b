<?php

declare(strict_types=1);

namespace AwakeShed\App\Calc;

use AwakeShed\App\Form\AsksWhenUnusual;
use AwakeShed\App\Form\ChipChoices;
use AwakeShed\App\Unit\Quantities;
use Symfony\Component\Form\AbstractType;
use Symfony\Component\Form\FormBuilderInterface;
use Symfony\Component\OptionsResolver\OptionsResolver;
use Symfony\Component\Validator\Constraints\NotNull;

/**
 * The fields of a calculation. It is sent by GET, so that an answer has an address; nothing is changed by it.
 *
 * @extends AbstractType<array<string, mixed>>
 */
final class CalcType extends AbstractType
{
    public function __construct(
        private readonly Quantities $quantities,
        private readonly ChipChoices $choices,
        private readonly CalcWords $words,
        private readonly AsksWhenUnusual $asksWhenUnusual,
    ) {
    }

    public function buildForm(FormBuilderInterface $builder, array $options): void
    {
        $calculation = $options['calculation'];
        \assert($calculation instanceof Calculation);
        foreach ($calculation->inputs() as $name => $input) {
            $field = $input->field($this->quantities, $this->choices);
            if (null === $field) {
                continue;
            }
            [$type, $more] = $field;
            $builder->add($name, $type, $more + [
                'label' => $this->words->input($calculation, $name),
                'help' => $this->words->help($calculation, $name),
                'translation_domain' => false,
                'constraints' => $input->isRequired() ? [new NotNull(message: 'This is needed for the answer.')] : [],
            ]);
        }
        $this->asksWhenUnusual->listen($builder);
    }

    public function configureOptions(OptionsResolver $resolver): void
    {
        $resolver->setDefaults(['method' => 'GET', 'csrf_token_id' => null, 'data_class' => null, 'allow_extra_fields' => true]);
        $resolver->setRequired('calculation');
        $resolver->setAllowedTypes('calculation', Calculation::class);
    }
}
