<?php

declare(strict_types=1);

namespace AwakeShed\App\Photo;

use AwakeShed\App\Account\Role;
use Symfony\Component\Security\Core\Authentication\Token\TokenInterface;
use Symfony\Component\Security\Core\Authorization\AccessDecisionManagerInterface;
use Symfony\Component\Security\Core\Authorization\Voter\Vote;
use Symfony\Component\Security\Core\Authorization\Voter\Voter;

/**
 * Everybody removes the pictures they took; a technician removes anybody's.
 *
 * @extends Voter<self::REMOVE, Photo>
 */
final class PhotoVoter extends Voter
{
    public const REMOVE = 'photo_remove';

    public function __construct(private readonly AccessDecisionManagerInterface $decisions)
    {
    }

    protected function supports(string $attribute, mixed $subject): bool
    {
        return self::REMOVE === $attribute && $subject instanceof Photo;
    }

    protected function voteOnAttribute(string $attribute, mixed $subject, TokenInterface $token, ?Vote $vote = null): bool
    {
        return $subject->getBy()->getUserIdentifier() === $token->getUserIdentifier()
            || $this->decisions->decide($token, [Role::Technician->securityName()]);
    }
}
