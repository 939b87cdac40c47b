<?php

declare(strict_types=1);

namespace AwakeShed\App\Account;

use AwakeShed\App\Form\ChipChoices;
use AwakeShed\App\Form\ChipsType;
use Symfony\Component\Form\AbstractType;
use Symfony\Component\Form\Extension\Core\Type\PasswordType;
use Symfony\Component\Form\Extension\Core\Type\TextType;
use Symfony\Component\Form\FormBuilderInterface;
use Symfony\Component\OptionsResolver\OptionsResolver;

/** @extends AbstractType<NewMemberInput> */
final class NewMemberType extends AbstractType
{
    public function __construct(private readonly ChipChoices $choices)
    {
    }

    public function buildForm(FormBuilderInterface $builder, array $options): void
    {
        $builder
            ->add('name', TextType::class, ['label' => 'Name'])
            ->add('signInName', TextType::class, ['label' => 'Signs in as', 'attr' => ['autocapitalize' => 'none', 'autocomplete' => 'off']])
            ->add('role', ChipsType::class, ['label' => 'Role', 'required' => true] + $this->choices->ofEnum(Role::class, 'role'))
            ->add('password', PasswordType::class, [
                'label' => 'First password',
                'help' => 'At least 10 characters. They change it under their own name.',
                'attr' => ['autocomplete' => 'new-password'],
                'constraints' => ChangePasswordType::newPassword(),
            ]);
    }

    public function configureOptions(OptionsResolver $resolver): void
    {
        $resolver->setDefault('data_class', NewMemberInput::class);
    }
}
