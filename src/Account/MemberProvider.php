<?php

declare(strict_types=1);

namespace AwakeShed\App\Account;

use AwakeShed\App\Belonging\CurrentShop;
use Symfony\Component\PasswordHasher\Hasher\PasswordHasherFactoryInterface;
use Symfony\Component\Security\Core\Exception\UnsupportedUserException;
use Symfony\Component\Security\Core\Exception\UserNotFoundException;
use Symfony\Component\Security\Core\User\UserInterface;
use Symfony\Component\Security\Core\User\UserProviderInterface;

/**
 * Finds who signs in, and with every later request whether that sign-in still holds.
 *
 * @implements UserProviderInterface<Member|SessionMember>
 */
final readonly class MemberProvider implements UserProviderInterface
{
    public function __construct(private MemberRepository $members, private OpenSessionRepository $sessions, private PasswordHasherFactoryInterface $hashers, private CurrentShop $shop)
    {
    }

    public function loadUserByIdentifier(string $identifier): Member
    {
        $member = $this->members->withSignInName($identifier);
        if (null === $member) {
            // A known name costs one check of a password; an unknown one must take as long, or the clock would tell who works here.
            $this->hashers->getPasswordHasher(Member::class)->hash('nobody is called so');

            throw new UserNotFoundException();
        }
        $this->shop->enter($member->shop());

        return $member;
    }

    public function refreshUser(UserInterface $user): SessionMember
    {
        $session = $user instanceof Member || $user instanceof SessionMember ? $user->getSession() : throw new UnsupportedUserException();
        $member = null === $session ? null : $this->sessions->stillOpen($session);
        if ($member?->getId() !== $user->getId()) {
            throw new UserNotFoundException();
        }
        $this->shop->entered($member->shop());

        return $member;
    }

    public function supportsClass(string $class): bool
    {
        // A proxy of the ORM is one of them, too.
        return SessionMember::class === $class || is_a($class, Member::class, true);
    }
}
