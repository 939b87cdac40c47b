<?php

declare(strict_types=1);

namespace AwakeShed\App\Form;

use AwakeShed\App\Unit\Measure;
use AwakeShed\App\Unit\Quantities;
use AwakeShed\Core\Units\Interval;
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
        // Nothing is asked before something was sent.
        $builder->addEventListener(FormEvents::PRE_SUBMIT, static function (FormEvent $event): void {
            $event->getForm()->add(self::ANSWER, CheckboxType::class, ['mapped' => false, 'required' => false, 'label' => 'Yes, it is so']);
        });
        $builder->addEventListener(FormEvents::POST_SUBMIT, function (FormEvent $event): void {
            $form = $event->getForm();
            if (true === $form->get(self::ANSWER)->getData()) {
                return;
            }
            $questions = array_filter(array_map($this->question(...), iterator_to_array($form)), \is_string(...));
            foreach ($questions as $name => $question) {
                $form->get((string) $name)->addError(new FormError($question));
            }
            if ([] !== $questions) {
                $form->get(self::ANSWER)->addError(new FormError($this->translator->trans('Is it really so?')));
            }
        });
    }

    /**
     * @template T
     *
     * @param FormInterface<T> $field
     *
     * @return string|null null when there is nothing to ask
     */
    private function question(FormInterface $field): ?string
    {
        $config = $field->getConfig();
        $usual = $config->getOption('usual');
        $measure = $config->getOption('measure');
        $value = $field->getData();
        if (!$usual instanceof Interval || !$measure instanceof Measure || !$value instanceof Quantity || $usual->contains($value)) {
            return null;
        }

        return $this->translator->trans('%value% is unusual (most are %least% to %most%). If it is so, say so below and save again.', [
            '%value%' => $this->quantities->show($value, $measure),
            '%least%' => $this->quantities->show($value::of($usual->least, $usual->unit), $measure),
            '%most%' => $this->quantities->show($value::of($usual->most, $usual->unit), $measure),
        ]);
    }
}
