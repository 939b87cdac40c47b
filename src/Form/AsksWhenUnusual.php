<?php

declare(strict_types=1);

namespace AwakeShed\App\Form;

use AwakeShed\App\Unit\Quantities;
use AwakeShed\Core\Units\Quantity;
use Symfony\Component\Form\Extension\Core\Type\CheckboxType;
use Symfony\Component\Form\FormBuilderInterface;
use Symfony\Component\Form\FormError;
use Symfony\Component\Form\FormEvent;
use Symfony\Component\Form\FormEvents;
use Symfony\Component\Form\FormInterface;
use Symfony\Contracts\Translation\TranslatorInterface;

/** Lets a form accept a reading outside the usual after one plain question. */
final readonly class AsksWhenUnusual
{
    /** The box by which the question is answered; shown only once it has been asked. */
    public const ANSWER = 'it_is_so';

    public function __construct(private Quantities $quantities, private TranslatorInterface $translator)
    {
    }

    /**
     * @template T
     *
     * @param FormBuilderInterface<T> $builder
     */
    public function listen(FormBuilderInterface $builder): void
    {
        $this->takeAnswer($builder);
        $builder->addEventListener(FormEvents::POST_SUBMIT, fn (FormEvent $event) => $this->ask($event->getForm()));
    }

    /**
     * The half of {@see listen} for a form that asks by itself.
     *
     * @template T
     *
     * @param FormBuilderInterface<T> $builder
     */
    public function takeAnswer(FormBuilderInterface $builder): void
    {
        // Nothing is asked before something was sent.
        $builder->addEventListener(FormEvents::PRE_SUBMIT, static function (FormEvent $event): void {
            $event->getForm()->add(self::ANSWER, CheckboxType::class, ['mapped' => false, 'required' => false, 'label' => 'Yes, it is so']);
        });
    }

    /**
     * @template T
     *
     * @param FormInterface<T> $form as it was sent
     */
    public function ask(FormInterface $form): void
    {
        if (true === $form->get(self::ANSWER)->getData()) {
            return;
        }
        $isAsked = false;
        foreach ($form as $field) {
            foreach (self::asked($field) as $name => [$asked, $value]) {
                $question = $this->question($asked, $value);
                if (null !== $question) {
                    $field->addError(new FormError($question, cause: $name));
                    $isAsked = true;
                }
            }
        }
        if ($isAsked) {
            $form->get(self::ANSWER)->addError(new FormError($this->translator->trans('Is it really so?')));
        }
    }

    /**
     * @template T
     *
     * @param FormInterface<T> $field
     *
     * @return iterable<string, array{AmountAsked, mixed}> what it asks for, with what was typed, by name
     */
    private static function asked(FormInterface $field): iterable
    {
        $config = $field->getConfig();
        $value = $field->getData();
        if ($config->hasOption('usual')) {
            yield $field->getName() => [AmountAsked::in($config->getOptions()), $value];
        } elseif ($config->hasOption('amounts')) {
            foreach (AmountSheetType::askedIn($config->getOptions()) as $name => $asked) {
                yield $name => [$asked, \is_array($value) ? $value[$name] ?? null : null];
            }
        }
    }

    /** @return string|null null when there is nothing to ask */
    private function question(AmountAsked $asked, mixed $value): ?string
    {
        $usual = $asked->usual;
        if (null === $usual || !$value instanceof Quantity || $usual->contains($value)) {
            return null;
        }

        return $this->translator->trans('%value% is unusual (most are %least% to %most%). If it is so, say so below.', [
            '%value%' => $this->quantities->show($value, $asked->measure),
            '%least%' => $this->quantities->show($value::of($usual->least, $usual->unit), $asked->measure),
            '%most%' => $this->quantities->show($value::of($usual->most, $usual->unit), $asked->measure),
        ]);
    }
}
