<?php

declare(strict_types=1);

namespace AwakeShed\App\Account;

use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpFoundation\RedirectResponse;
use Symfony\Component\Routing\Generator\UrlGeneratorInterface;
use Symfony\Component\Security\Http\Event\LoginSuccessEvent;

/** Leads somebody who was signed out while saving back to what they had typed. */
final readonly class BackToKeptInput
{
    public function __construct(private UrlGeneratorInterface $addresses)
    {
    }

    #[AsEventListener]
    public function onSignIn(LoginSuccessEvent $event): void
    {
        if ($event->getRequest()->getSession()->has(SignInEntryPoint::KEPT)) {
            $event->setResponse(new RedirectResponse($this->addresses->generate('kept'), RedirectResponse::HTTP_SEE_OTHER));
        }
    }
}
