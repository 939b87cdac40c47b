<?php

declare(strict_types=1);

namespace AwakeShed\App\Account;

use Symfony\Component\Security\Core\Authentication\Token\TokenInterface;
use Symfony\Component\Security\Core\Exception\DisabledException;
use Symfony\Component\Security\Core\User\UserCheckerInterface;
use Symfony\Component\Security\Core\User\UserInterface;

/** Keeps out those who have left the shop. */
final class ActiveMemberChecker implements UserCheckerInterface
{
    public function checkPreAuth(UserInterface $user): void
    {
    }

    public function checkPostAuth(UserInterface $user, ?TokenInterface $token = null): void
    {
        // After the password was proved, so that a stranger cannot learn who has worked here.
        if ($user instanceof Member && !$user->isActive()) {
            throw new DisabledException();
        }
    }
}
