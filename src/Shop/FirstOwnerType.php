<?php

declare(strict_types=1);

namespace AwakeShed\App\Shop;

use AwakeShed\App\Form\ChipChoices;
use AwakeShed\App\Form\ChipsType;
use AwakeShed\App\Reader\UnitSystem;
use AwakeShed\App\Words\Words;
use AwakeShed\Core\Evidence\Vocabulary;
use Symfony\Component\Form\AbstractType;
use Symfony\Component\Form\Extension\Core\Type\EmailType;
use Symfony\Component\Form\Extension\Core\Type\FormType;
use Symfony\Component\Form\Extension\Core\Type\PasswordType;
use Symfony\Component\Form\Extension\Core\Type\TextType;
use Symfony\Component\Form\FormBuilderInterface;
use Symfony\Component\OptionsResolver\OptionsResolver;

/** @extends AbstractType<FirstOwnerInput> */
final class FirstOwnerType extends AbstractType
{
    public function __construct(private readonly ChipChoices $choices, private readonly Vocabulary $vocabulary, private readonly Words $words)
    {
    }

    public function buildForm(FormBuilderInterface $builder, array $options): void
    {
        $builder
            ->add('shop', TextType::class, ['label' => 'Name of the shop'])
            ->add('place', TextType::class, ['label' => 'Where it is', 'required' => false])
            ->add('units', ChipsType::class, ['label' => 'Units people here read', 'required' => true] + $this->choices->ofEnum(UnitSystem::class, 'units'))
            ->add('name', TextType::class, ['label' => 'Your name', 'attr' => ['autocomplete' => 'name']])
            ->add('signInName', TextType::class, ['label' => 'You sign in as', 'attr' => ['autocapitalize' => 'none', 'autocomplete' => 'username']])
            ->add('email', EmailType::class, ['label' => 'Mail address', 'required' => false, 'help' => 'Where a link goes when you lost your password.'])
            ->add('password', PasswordType::class, ['label' => 'Your password', 'help' => 'At least 12 characters; a few words will do.', 'attr' => ['autocomplete' => 'new-password']]);
        $schools = $builder->create('schools', FormType::class, ['label' => false]);
        foreach ($this->vocabulary->schools as $question => $choices) {
            $schools->add($question, ChipsType::class, [
                'label' => $this->words->outcome('question', $question),
                'translation_domain' => false,
                'choices' => $choices,
                'choice_label' => fn (string $school): string => $this->words->outcome('school', $school),
                'choice_translation_domain' => false,
                'empty_data' => $choices[0],
                'property_path' => '['.$question.']',
            ]);
        }
        $builder->add($schools);
    }

    public function configureOptions(OptionsResolver $resolver): void
    {
        // There is no session before anybody may sign in.
        $resolver->setDefaults(['data_class' => FirstOwnerInput::class, 'csrf_token_id' => 'authenticate']);
    }
}
