<?php

declare(strict_types=1);

namespace AwakeShed\App\Account;

use Symfony\Component\HttpFoundation\IpUtils;
use Symfony\Component\HttpFoundation\RequestStack;
use Symfony\Component\Security\Core\Authentication\Token\TokenInterface;
use Symfony\Component\Security\Core\Exception\CustomUserMessageAccountStatusException;
use Symfony\Component\Security\Core\Exception\DisabledException;
use Symfony\Component\Security\Core\User\UserCheckerInterface;
use Symfony\Component\Security\Core\User\UserInterface;

/** Keeps out those who have left the shop, and those who would use the demo's well-known passwords from elsewhere. */
final readonly class ActiveMemberChecker implements UserCheckerInterface
{
    private const THIS_MACHINE = ['127.0.0.0/8', '::1'];

    public function __construct(private Shops $shops, private RequestStack $requests)
    {
    }

    public function checkPreAuth(UserInterface $user): void
    {
    }

    public function checkPostAuth(UserInterface $user, ?TokenInterface $token = null): void
    {
        // After the password was proved, so that a stranger cannot learn who has worked here.
        if ($user instanceof Member && !$user->isActive()) {
            throw new DisabledException();
        }
        $from = (string) $this->requests->getMainRequest()?->getClientIp();
        if (true === $this->shops->current()?->isDemo() && !IpUtils::checkIp($from, self::THIS_MACHINE)) {
            throw new CustomUserMessageAccountStatusException('The demo’s sign-ins work on the machine it runs on only. A shed of your own begins with bin/start --own.');
        }
    }
}
