<?php

declare(strict_types=1);

namespace AwakeShed\App\Form;

use AwakeShed\App\Once\RequestKey;
use Symfony\Component\Form\AbstractTypeExtension;
use Symfony\Component\Form\Extension\Core\Type\FormType;
use Symfony\Component\Form\Extension\Core\Type\HiddenType;
use Symfony\Component\Form\FormBuilderInterface;
use Symfony\Component\Form\FormInterface;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\OptionsResolver\OptionsResolver;

/** Gives a form that asks for it a request key, and keeps it through refusals so that a resend is known. */
final class RequestKeyExtension extends AbstractTypeExtension
{
    public const FIELD = 'request_key';

    public function buildForm(FormBuilderInterface $builder, array $options): void
    {
        if (true === $options['once']) {
            $builder->add(self::FIELD, HiddenType::class, ['mapped' => false, 'data' => RequestKey::fresh()->value, 'error_bubbling' => false]);
        }
    }

    public function configureOptions(OptionsResolver $resolver): void
    {
        $resolver->setDefault('once', false);
        $resolver->setAllowedTypes('once', 'bool');
    }

    public static function getExtendedTypes(): iterable
    {
        return [FormType::class];
    }

    /**
     * @template T
     *
     * @param FormInterface<T> $form a submitted form with the option `once`
     */
    public static function keyOf(FormInterface $form, Request $request): RequestKey
    {
        $text = $form->get(self::FIELD)->getData();

        return RequestKey::sentWith($request, \is_string($text) ? $text : '');
    }
}
