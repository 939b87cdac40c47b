<?php

declare(strict_types=1);

namespace AwakeShed\App\Evidence;

use AwakeShed\App\Account\Role;
use Symfony\Component\Security\Core\Authentication\Token\TokenInterface;
use Symfony\Component\Security\Core\Authorization\AccessDecisionManagerInterface;
use Symfony\Component\Security\Core\Authorization\Voter\Vote;
use Symfony\Component\Security\Core\Authorization\Voter\Voter;

/**
 * Everybody corrects what they recorded themselves; a technician corrects anybody's. A cure stays a technician's
 * either way: taking back that it was taken back would declare it again.
 *
 * @extends Voter<self::CHANGE, Entry>
 */
final class EntryVoter extends Voter
{
    public const CHANGE = 'entry_change';

    public function __construct(private readonly AccessDecisionManagerInterface $decisions)
    {
    }

    protected function supports(string $attribute, mixed $subject): bool
    {
        return self::CHANGE === $attribute && $subject instanceof Entry;
    }

    protected function voteOnAttribute(string $attribute, mixed $subject, TokenInterface $token, ?Vote $vote = null): bool
    {
        $isOwn = $subject->by->signInName === $token->getUserIdentifier();
        // Most of what is on a page is one's own: the role is looked into for the rest.
        if (($isOwn && !$subject->saysPutRight()) || $this->decisions->decide($token, [Role::Technician->securityName()])) {
            return true;
        }
        if (!$isOwn) {
            $vote?->addReason('Somebody else recorded this; a technician can correct it.');
        }

        return false;
    }
}
