<?php

declare(strict_types=1);

namespace AwakeShed\App\Form;

use AwakeShed\App\Show\Measure;
use AwakeShed\App\Show\Quantities;
use AwakeShed\App\Show\Words;
use AwakeShed\Core\Refusal;
use AwakeShed\Core\Units\Interval;
use AwakeShed\Core\Units\Quantity;
use AwakeShed\Core\Units\TypedAmount;
use Symfony\Component\Form\AbstractType;
use Symfony\Component\Form\CallbackTransformer;
use Symfony\Component\Form\Exception\TransformationFailedException;
use Symfony\Component\Form\Extension\Core\Type\TextType;
use Symfony\Component\Form\FormBuilderInterface;
use Symfony\Component\Form\FormInterface;
use Symfony\Component\Form\FormView;
use Symfony\Component\OptionsResolver\OptionsResolver;

/**
 * Readings of one kind in a row, "8; 5,5; 2 mL" or "0.3 0.45 0.6": a unit behind the last is meant for all.
 *
 * @extends AbstractType<list<Quantity>>
 */
final class AmountsType extends AbstractType
{
    public function __construct(private readonly Quantities $quantities, private readonly Words $words)
    {
    }

    public function buildForm(FormBuilderInterface $builder, array $options): void
    {
        $measure = $options['measure'];
        \assert($measure instanceof Measure);
        $possible = $options['possible'];
        \assert($possible instanceof Interval);
        $most = $options['most'];
        \assert(\is_int($most));
        $builder->addModelTransformer(new CallbackTransformer(
            fn (mixed $values): string => implode('; ', array_map(
                fn (mixed $value): string => $value instanceof Quantity ? $this->quantities->field($value, $measure) : '',
                \is_array($values) ? $values : [],
            )),
            function (mixed $text) use ($measure, $possible, $most): array {
                try {
                    return $this->parse(\is_string($text) ? mb_scrub($text) : '', $measure, $possible, $most);
                } catch (Refusal $refusal) {
                    throw new TransformationFailedException($refusal->getMessage(), invalidMessage: $this->words->refusal($refusal));
                }
            },
        ));
    }

    public function buildView(FormView $view, FormInterface $form, array $options): void
    {
        $measure = $options['measure'];
        \assert($measure instanceof Measure);
        $view->vars['unit'] = $this->quantities->unit($measure)->symbol();
    }

    public function configureOptions(OptionsResolver $resolver): void
    {
        $resolver->setDefaults(['data_class' => null, 'required' => false, 'attr' => ['autocomplete' => 'off']]);
        $resolver->setRequired(['measure', 'possible', 'most']);
        $resolver->setAllowedTypes('measure', Measure::class);
        $resolver->setAllowedTypes('possible', Interval::class);
        $resolver->setAllowedTypes('most', 'int');
    }

    public function getParent(): string
    {
        return TextType::class;
    }

    public function getBlockPrefix(): string
    {
        return 'amounts';
    }

    /**
     * @return list<Quantity>
     *
     * @throws Refusal
     */
    private function parse(string $text, Measure $measure, Interval $possible, int $most): array
    {
        // A comma parts readings where a space follows it; within a number it is a decimal comma.
        $pieces = preg_split('/\s*[;\/]\s*|,\s+|\s+(?=\d)/u', trim($text), -1, \PREG_SPLIT_NO_EMPTY);
        $pieces = false === $pieces ? [] : \array_slice($pieces, 0, $most);
        $quantity = $measure->quantity();
        $meant = $this->quantities->unit($measure);
        if ([] !== $pieces) {
            $meant = TypedAmount::parse($pieces[\count($pieces) - 1], $meant, $quantity::units())->unit;
        }

        return array_map(static function (string $piece) use ($meant, $quantity, $possible): Quantity {
            $typed = TypedAmount::parse($piece, $meant, $quantity::units());
            $value = $quantity::of($typed->amount, $typed->unit);
            $possible->demand($value);

            return $value;
        }, $pieces);
    }
}
