<?php

declare(strict_types=1);

namespace AwakeShed\App\Account;

use Symfony\Bundle\SecurityBundle\Security;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpFoundation\RedirectResponse;
use Symfony\Component\HttpKernel\Event\RequestEvent;
use Symfony\Component\Routing\Generator\UrlGeneratorInterface;

/** What stands between the password and the shed: the second factor, and a password of one's own. */
final readonly class Doorway
{
    public function __construct(private Security $security, private UrlGeneratorInterface $addresses)
    {
    }

    /** After the firewall (8). */
    #[AsEventListener(priority: 4)]
    public function onRequest(RequestEvent $event): void
    {
        $route = $event->getRequest()->attributes->get('_route');
        if (!$event->isMainRequest() || 'sign_out' === $route) {
            return;
        }
        $member = $this->security->getUser();
        if (!$member instanceof SessionMember) {
            return;
        }
        $wanted = match (true) {
            !$member->isProved() => 'second_factor',
            $member->mustChangePassword() => 'own_password',
            default => null,
        };
        if (null !== $wanted && $wanted !== $route) {
            $event->setResponse(new RedirectResponse($this->addresses->generate($wanted), RedirectResponse::HTTP_SEE_OTHER));
        }
    }
}
