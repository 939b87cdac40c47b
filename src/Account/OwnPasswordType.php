<?php

declare(strict_types=1);

namespace AwakeShed\App\Account;

use Symfony\Component\Form\AbstractType;
use Symfony\Component\Form\Extension\Core\Type\PasswordType;
use Symfony\Component\Form\FormBuilderInterface;
use Symfony\Component\Validator\Constraints\NotBlank;

/**
 * A new password alone, for whoever has shown in another way who they are.
 *
 * @extends AbstractType<array<string, string>>
 */
final class OwnPasswordType extends AbstractType
{
    public function buildForm(FormBuilderInterface $builder, array $options): void
    {
        $builder->add('new', PasswordType::class, [
            'label' => 'Your new password',
            'help' => 'At least 12 characters; a few words will do.',
            'attr' => ['autocomplete' => 'new-password'],
            'constraints' => [new NotBlank(message: 'Choose a password.'), new NewPassword()],
        ]);
    }
}
