<?php

declare(strict_types=1);

namespace AwakeShed\App\Form;

use Symfony\Component\Form\AbstractType;
use Symfony\Component\Form\Extension\Core\Type\ChoiceType;
use Symfony\Component\OptionsResolver\OptionsResolver;

/**
 * A choice by touch: every option lies open as a button of its own.
 *
 * @extends AbstractType<mixed>
 */
final class ChipsType extends AbstractType
{
    public function configureOptions(OptionsResolver $resolver): void
    {
        $resolver->setDefaults(['expanded' => true, 'required' => false, 'placeholder' => false]);
    }

    public function getParent(): string
    {
        return ChoiceType::class;
    }

    public function getBlockPrefix(): string
    {
        return 'chips';
    }
}
