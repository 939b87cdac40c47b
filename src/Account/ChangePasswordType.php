<?php

declare(strict_types=1);

namespace AwakeShed\App\Account;

use Symfony\Component\Form\AbstractType;
use Symfony\Component\Form\Extension\Core\Type\PasswordType;
use Symfony\Component\Form\FormBuilderInterface;
use Symfony\Component\Security\Core\Validator\Constraints\UserPassword;
use Symfony\Component\Validator\Constraints as Assert;

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
                'help' => 'At least 10 characters; a few words will do.',
                'attr' => ['autocomplete' => 'new-password'],
                'constraints' => self::newPassword(),
            ]);
    }

    /** @return list<\Symfony\Component\Validator\Constraint> */
    public static function newPassword(): array
    {
        // 72 bytes: what the hash looks at.
        return [new Assert\NotBlank(), new Assert\Length(min: 10, max: 72, countUnit: Assert\Length::COUNT_BYTES)];
    }
}
