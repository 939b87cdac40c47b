<?php

declare(strict_types=1);

namespace AwakeShed\App\Account;

use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpFoundation\RedirectResponse;
use Symfony\Component\Routing\Generator\UrlGeneratorInterface;
use Symfony\Component\Security\Http\Event\LoginSuccessEvent;

/** Leads somebody who was signed out while saving back to what they had typed, and marks the device as theirs. */
final readonly class BackToKeptInput
{
    public function __construct(private UrlGeneratorInterface $addresses, private KeptForms $kept, private WhoCookie $who)
    {
    }

    #[AsEventListener]
    public function onSignIn(LoginSuccessEvent $event): void
    {
        $member = $event->getUser();
        if (!$member instanceof Member) {
            return;
        }
        if ($this->kept->has($member)) {
            $event->setResponse(new RedirectResponse($this->addresses->generate('kept'), RedirectResponse::HTTP_SEE_OTHER));
        }
        $response = $event->getResponse();
        if (null !== $response) {
            $this->who->give($response, $member, $event->getRequest());
        }
    }
}
