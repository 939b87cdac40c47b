<?php

declare(strict_types=1);

namespace AwakeShed\App\Form;

use AwakeShed\Core\Sight\Point;
use AwakeShed\Core\Units\ImpossibleAmount;
use Symfony\Component\Form\AbstractType;
use Symfony\Component\Form\CallbackTransformer;
use Symfony\Component\Form\Exception\TransformationFailedException;
use Symfony\Component\Form\Extension\Core\Type\TextType;
use Symfony\Component\Form\FormBuilderInterface;
use Symfony\Component\OptionsResolver\OptionsResolver;

/**
 * A place on a photo as "412, 860": from the left and from the top, in its pixels.
 *
 * @extends AbstractType<Point>
 */
final class PointType extends AbstractType
{
    public function buildForm(FormBuilderInterface $builder, array $options): void
    {
        $builder->addModelTransformer(new CallbackTransformer(
            static fn (mixed $point): string => $point instanceof Point ? round($point->x).', '.round($point->y) : '',
            static function (mixed $typed): ?Point {
                $text = trim(\is_string($typed) ? mb_scrub($typed) : '');
                if ('' === $text) {
                    return null;
                }
                if (1 !== preg_match('/\A(\d{1,5}(?:\.\d+)?)\s*[,; ]\s*(\d{1,5}(?:\.\d+)?)\z/', $text, $parts)) {
                    throw new TransformationFailedException('No point.', invalidMessage: 'Tap the place on the photo, or type two numbers, from the left and from the top.');
                }
                try {
                    return Point::at((float) $parts[1], (float) $parts[2]);
                } catch (ImpossibleAmount $impossible) {
                    throw new TransformationFailedException($impossible->getMessage(), invalidMessage: 'No photo is so large.');
                }
            },
        ));
    }

    public function configureOptions(OptionsResolver $resolver): void
    {
        $resolver->setDefaults(['data_class' => null, 'required' => false, 'attr' => ['inputmode' => 'numeric', 'autocomplete' => 'off', 'data-point' => '']]);
    }

    public function getParent(): string
    {
        return TextType::class;
    }
}
