<?php

declare(strict_types=1);

namespace AwakeShed\App\Form;

use AwakeShed\App\Http\ButtonForm;
use AwakeShed\App\Once\RequestKey;
use Symfony\Component\Form\AbstractTypeExtension;
use Symfony\Component\Form\Extension\Core\Type\FormType;
use Symfony\Component\Form\FormBuilderInterface;
use Symfony\Component\Form\FormError;
use Symfony\Component\Form\FormEvent;
use Symfony\Component\Form\FormEvents;
use Symfony\Component\Form\FormInterface;
use Symfony\Component\Form\FormView;
use Symfony\Component\Form\Util\ServerParams;
use Symfony\Component\OptionsResolver\OptionsResolver;
use Symfony\Component\Security\Csrf\CsrfToken;
use Symfony\Component\Security\Csrf\CsrfTokenManagerInterface;
use Symfony\Contracts\Translation\TranslatorInterface;

/**
 * What every form carries beside its fields, written by the form's first line (_parts/form.html.twig): the token of the
 * session; with `once` a request key, kept through refusals so that a resend is known; with `based_on` a mark of what it was
 * filled with, so that two people saving at once do not overwrite each other unseen. As fields of their own these three
 * cost more than all that a small form asks for (bin/bench).
 */
final class CarriedExtension extends AbstractTypeExtension
{
    public function __construct(private readonly CsrfTokenManagerInterface $tokens, private readonly CarriedFields $fields, private readonly TranslatorInterface $translator)
    {
    }

    public function buildForm(FormBuilderInterface $builder, array $options): void
    {
        // Only what has fields can be a form; what is within another says nothing (below).
        if (true !== $options['compound']) {
            return;
        }
        $carried = new Carried();
        $builder->setAttribute(Carried::ATTRIBUTE, $carried);
        $builder->addEventListener(FormEvents::PRE_SUBMIT, function (FormEvent $event) use ($carried, $options): void {
            $form = $event->getForm();
            if (!$form->isRoot()) {
                return;
            }
            $sent = $event->getData();
            if (\is_string($options['csrf_token_id']) && !$this->tokens->isTokenValid(new CsrfToken($options['csrf_token_id'], self::taken($sent, Carried::TOKEN))) && !(new ServerParams())->hasPostMaxSizeBeenExceeded()) {
                $form->addError(new FormError($this->translator->trans('The CSRF token is invalid. Please try to resubmit the form.', domain: 'validators')));
            }
            $carried->key = true === $options['once'] ? self::taken($sent, Carried::KEY) : '';
            $carried->basedOn = false === $options['based_on'] ? '' : self::taken($sent, Carried::BASED_ON);
            $event->setData($sent);
        });
    }

    public function finishView(FormView $view, FormInterface $form, array $options): void
    {
        if (null !== $view->parent || true !== $options['compound']) {
            return;
        }
        $carried = Carried::by($form);
        $token = $options['csrf_token_id'];
        $view->vars[Carried::ATTRIBUTE] = $this->fields->of(
            $form->getName(),
            \is_string($token) ? $token : null,
            match (true) {
                true !== $options['once'] => null,
                '' === $carried->key => RequestKey::fresh()->value,
                default => $carried->key,
            },
            match (true) {
                false === $options['based_on'] => null,
                $form->isSubmitted() => $carried->basedOn,
                \is_string($options['based_on']) => $options['based_on'],
                default => SideBySide::mark($view),
            },
        );
    }

    public function configureOptions(OptionsResolver $resolver): void
    {
        $resolver->setDefaults(['csrf_token_id' => ButtonForm::TOKEN_ID, 'once' => false, 'based_on' => false]);
        // None: a form that changes nothing, which may be sent from anywhere.
        $resolver->setAllowedTypes('csrf_token_id', ['string', 'null']);
        $resolver->setAllowedTypes('once', 'bool');
        // The mark itself; true: of the values that are shown.
        $resolver->setAllowedTypes('based_on', ['bool', 'string']);
    }

    public static function getExtendedTypes(): iterable
    {
        return [FormType::class];
    }

    /** What was sent under a name, taken out of the rest, so that it counts as no field too many. */
    private static function taken(mixed &$sent, string $name): string
    {
        if (!\is_array($sent)) {
            return '';
        }
        $value = $sent[$name] ?? '';
        unset($sent[$name]);

        return \is_string($value) ? $value : '';
    }
}
