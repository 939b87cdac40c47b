<?php

declare(strict_types=1);

namespace AwakeShed\App\Form;

use AwakeShed\App\Once\RequestKey;
use Symfony\Component\Form\FormInterface;
use Symfony\Component\Form\FormView;
use Symfony\Component\HttpFoundation\Request;

/** What a form brought back beside its fields: its request key, and the mark of what it was filled with. */
final class Carried
{
    public const TOKEN = '_token';
    public const KEY = 'request_key';
    public const BASED_ON = 'based_on';

    /** By which a form's builder keeps its own, and a view what it shows of it. */
    public const ATTRIBUTE = 'carried';

    public string $key = '';
    public string $basedOn = '';

    /**
     * @template T
     *
     * @param FormInterface<T> $form a submitted form with the option `once`
     */
    public static function keyOf(FormInterface $form, Request $request): RequestKey
    {
        return RequestKey::sentWith($request, self::by($form)->key);
    }

    /**
     * @template T
     *
     * @param FormInterface<T> $form
     */
    public static function by(FormInterface $form): self
    {
        $carried = $form->getConfig()->getAttribute(self::ATTRIBUTE);

        return $carried instanceof self ? $carried : new self();
    }

    /** Sent again, the form knowingly replaces what has that mark. */
    public static function rebase(FormView $form, string $mark): void
    {
        $name = $form->vars['name'] ?? '';
        $form->vars[self::ATTRIBUTE] = [self::nameIn(\is_string($name) ? $name : '', self::BASED_ON) => $mark] + self::shownBy($form);
    }

    /** @return array<string, string> the hidden fields of a view, by their names as they are sent */
    public static function shownBy(FormView $form): array
    {
        $shown = [];
        $fields = $form->vars[self::ATTRIBUTE] ?? null;
        foreach (\is_array($fields) ? $fields : [] as $name => $value) {
            $shown[(string) $name] = \is_string($value) ? $value : '';
        }

        return $shown;
    }

    /** @return string of a hidden field in the form as it is sent */
    public static function nameIn(string $form, string $field): string
    {
        return '' === $form ? $field : $form.'['.$field.']';
    }
}
