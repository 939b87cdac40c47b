<?php

declare(strict_types=1);

namespace AwakeShed\App\Account;

use Symfony\Component\Form\AbstractType;
use Symfony\Component\Form\Extension\Core\Type\PasswordType;
use Symfony\Component\Form\FormBuilderInterface;
use Symfony\Component\OptionsResolver\OptionsResolver;
use Symfony\Component\Validator\Constraints\Callback;
use Symfony\Component\Validator\Constraints\NotBlank;
use Symfony\Component\Validator\Context\ExecutionContextInterface;

/** @extends AbstractType<array<string, string>> */
final class ChangePasswordType extends AbstractType
{
    public function buildForm(FormBuilderInterface $builder, array $options): void
    {
        $builder
            ->add('current', PasswordType::class, [
                'label' => 'Your password now',
                'attr' => ['autocomplete' => 'current-password'],
                'constraints' => [new Callback(static function (mixed $typed, ExecutionContextInterface $form) use ($options): void {
                    \assert($options['is_own'] instanceof \Closure);
                    if (true !== $options['is_own'](\is_string($typed) ? $typed : '')) {
                        $form->addViolation('That is not your password.');
                    }
                })],
            ])
            ->add('new', PasswordType::class, [
                'label' => 'New password',
                'help' => 'At least 12 characters; a few words will do.',
                'attr' => ['autocomplete' => 'new-password'],
                'constraints' => [new NotBlank(message: 'Choose a password.'), new NewPassword()],
            ]);
    }

    public function configureOptions(OptionsResolver $resolver): void
    {
        // Told what was typed, whether it is their password now.
        $resolver->setRequired('is_own')->setAllowedTypes('is_own', \Closure::class);
    }
}
