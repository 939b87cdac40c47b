<?php

declare(strict_types=1);

namespace AwakeShed\App\Account;

use Symfony\Component\Form\AbstractType;
use Symfony\Component\Form\Extension\Core\Type\PasswordType;
use Symfony\Component\Form\FormBuilderInterface;
use Symfony\Component\Security\Core\Validator\Constraints\UserPassword;
use Symfony\Component\Validator\Constraints\NotBlank;

/** @extends AbstractType<array<string, string>> */
final class ChangePasswordType extends AbstractType
{
    public function buildForm(FormBuilderInterface $builder, array $options): void
    {
        $builder
            ->add('current', PasswordType::class, [
                'label' => 'Your password now',
                'attr' => ['autocomplete' => 'current-password'],
                'constraints' => [new UserPassword(message: 'That is not your password.')],
            ])
            ->add('new', PasswordType::class, [
                'label' => 'New password',
                'help' => 'At least 12 characters; a few words will do.',
                'attr' => ['autocomplete' => 'new-password'],
                'constraints' => [new NotBlank(message: 'Choose a password.'), new NewPassword()],
            ]);
    }
}
