<?php

declare(strict_types=1);

namespace AwakeShed\App\Exchange;

use Symfony\Component\Form\AbstractType;
use Symfony\Component\Form\Extension\Core\Type\FileType;
use Symfony\Component\Form\Extension\Core\Type\TextareaType;
use Symfony\Component\Form\Extension\Core\Type\TextType;
use Symfony\Component\Form\FormBuilderInterface;
use Symfony\Component\OptionsResolver\OptionsResolver;

/** @extends AbstractType<ImportInput> */
final class ImportType extends AbstractType
{
    public function buildForm(FormBuilderInterface $builder, array $options): void
    {
        $builder
            ->add('label', TextType::class, ['label' => 'Name of the machine'])
            ->add('ownerName', TextType::class, ['label' => 'Customer'])
            ->add('file', FileType::class, ['label' => 'Case file', 'required' => false, 'attr' => ['accept' => 'application/json,.json']])
            ->add('text', TextareaType::class, ['label' => 'Or its text', 'required' => false, 'attr' => ['rows' => 8, 'spellcheck' => 'false']]);
    }

    public function configureOptions(OptionsResolver $resolver): void
    {
        $resolver->setDefaults(['data_class' => ImportInput::class, 'once' => true]);
    }
}
