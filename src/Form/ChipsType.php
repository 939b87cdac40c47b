<?php

declare(strict_types=1);

namespace AwakeShed\App\Form;

use Symfony\Component\Form\AbstractType;
use Symfony\Component\Form\Extension\Core\Type\ChoiceType;
use Symfony\Component\OptionsResolver\OptionsResolver;

/**
 * A choice by touch: every option lies open as a button of its own. It is one field that is drawn as many: a form for
 * each of them, as "expanded" makes, was a fifth of the time of a page of chips.
 *
 * @extends AbstractType<mixed>
 */
final class ChipsType extends AbstractType
{
    public function configureOptions(OptionsResolver $resolver): void
    {
        $resolver->setDefaults(['required' => false, 'placeholder' => false]);
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
