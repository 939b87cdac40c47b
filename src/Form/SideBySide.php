<?php

declare(strict_types=1);

namespace AwakeShed\App\Form;

use Symfony\Component\Form\ChoiceList\View\ChoiceView;
use Symfony\Component\Form\FormInterface;
use Symfony\Component\Form\FormView;
use Symfony\Contracts\Translation\TranslatorInterface;

/** What one person typed beside what another saved meanwhile. */
final readonly class SideBySide
{
    public function __construct(private TranslatorInterface $translator)
    {
    }

    /**
     * Asked under the lock, just before saving.
     *
     * @template T
     *
     * @param FormInterface<T> $sent  the form as it was sent, with the option `based_on`
     * @param FormInterface<T> $mine  a fresh one, filled with what was sent
     * @param FormInterface<T> $saved a fresh one, filled with what is saved now
     *
     * @throws ChangedSince when somebody saved something else since the form was opened
     */
    public function demandUnchanged(FormInterface $sent, FormInterface $mine, FormInterface $saved): void
    {
        $standing = $saved->createView();
        $mark = self::mark($standing);
        if (Carried::by($sent)->basedOn === $mark) {
            return;
        }
        $differences = $this->differences($mine->createView(), $standing, '');
        if ([] !== $differences) {
            throw new ChangedSince($differences, $mark);
        }
    }

    /** @param FormView $form of a form that was filled and not sent */
    public static function mark(FormView $form): string
    {
        return substr(hash('sha256', serialize(self::values($form))), 0, 32);
    }

    /** @return array<string, mixed> the leaves, nested by their names */
    private static function values(FormView $view): array
    {
        $values = [];
        foreach ($view as $name => $child) {
            if (self::isSkipped((string) $name)) {
                continue;
            }
            if (self::isLeaf($child)) {
                $values[(string) $name] = $child->vars['value'];
            } else {
                $values[(string) $name] = self::values($child);
            }
        }

        return $values;
    }

    /** @return list<Difference> */
    private function differences(FormView $mine, FormView $saved, string $above): array
    {
        $differences = [];
        foreach ($mine as $name => $child) {
            $other = $saved[$name] ?? null;
            if (null === $other || self::isSkipped((string) $name)) {
                continue;
            }
            $label = trim($above.' '.$this->label($child));
            if (!self::isLeaf($child)) {
                $differences = [...$differences, ...$this->differences($child, $other, $label)];
            } elseif ($this->shown($child) !== $this->shown($other)) {
                $differences[] = new Difference($label, $this->shown($child), $this->shown($other));
            }
        }

        return $differences;
    }

    private static function isSkipped(string $name): bool
    {
        return AsksWhenUnusual::ANSWER === $name;
    }

    private static function isLeaf(FormView $view): bool
    {
        return isset($view->vars['choices']) || 0 === \count($view->children);
    }

    private function label(FormView $view): string
    {
        $label = $view->vars['label'] ?? null;
        $domain = $view->vars['translation_domain'] ?? null;

        return match (true) {
            !\is_string($label) => '',
            false === $domain => $label,
            default => $this->translator->trans($label, domain: \is_string($domain) ? $domain : null),
        };
    }

    private function shown(FormView $view): string
    {
        $value = $view->vars['value'] ?? '';
        if (!isset($view->vars['choices'])) {
            $unit = $view->vars['unit'] ?? null;
            $text = \is_scalar($value) ? trim((string) $value) : '';

            return '' !== $text && \is_string($unit) ? "$text $unit" : $text;
        }
        $chosen = [];
        $domain = $view->vars['choice_translation_domain'] ?? null;
        foreach (\is_array($view->vars['choices']) ? $view->vars['choices'] : [] as $choice) {
            if ($choice instanceof ChoiceView && \is_string($choice->label) && \in_array($choice->value, \is_array($value) ? $value : [$value], true)) {
                $chosen[] = false === $domain ? $choice->label : $this->translator->trans($choice->label, domain: \is_string($domain) ? $domain : null);
            }
        }

        return implode(', ', $chosen);
    }
}
