<?php

declare(strict_types=1);

namespace AwakeShed\App\Account;

use AwakeShed\App\Form\ChipChoices;
use AwakeShed\App\Form\ChipsType;
use Symfony\Component\Form\AbstractType;
use Symfony\Component\Form\Extension\Core\Type\EmailType;
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
            ->add('email', EmailType::class, ['label' => 'Mail address', 'required' => false, 'help' => 'Where a link goes when they lost their password.'])
            ->add('password', PasswordType::class, [
                'label' => 'First password',
                'required' => false,
                'help' => 'They must change it when they first sign in. Left empty, you get a link to hand to them instead.',
                'attr' => ['autocomplete' => 'new-password'],
            ]);
    }

    public function configureOptions(OptionsResolver $resolver): void
    {
        $resolver->setDefault('data_class', NewMemberInput::class);
    }
}
