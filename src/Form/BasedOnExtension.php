<?php

declare(strict_types=1);

namespace AwakeShed\App\Form;

use Symfony\Component\Form\AbstractTypeExtension;
use Symfony\Component\Form\Extension\Core\Type\FormType;
use Symfony\Component\Form\Extension\Core\Type\HiddenType;
use Symfony\Component\Form\FormBuilderInterface;
use Symfony\Component\Form\FormInterface;
use Symfony\Component\Form\FormView;
use Symfony\Component\OptionsResolver\OptionsResolver;

/** Gives a form that asks for it a mark of what it was filled with, so that two people saving at once do not overwrite each other unseen. */
final class BasedOnExtension extends AbstractTypeExtension
{
    public function buildForm(FormBuilderInterface $builder, array $options): void
    {
        if (true === $options['based_on']) {
            $builder->add(SideBySide::FIELD, HiddenType::class, ['mapped' => false]);
        }
    }

    public function finishView(FormView $view, FormInterface $form, array $options): void
    {
        if (true === $options['based_on'] && !$form->isSubmitted()) {
            $view[SideBySide::FIELD]->vars['value'] = SideBySide::mark($view);
        }
    }

    public function configureOptions(OptionsResolver $resolver): void
    {
        $resolver->setDefault('based_on', false);
        $resolver->setAllowedTypes('based_on', 'bool');
    }

    public static function getExtendedTypes(): iterable
    {
        return [FormType::class];
    }
}
