<?php

declare(strict_types=1);

namespace AwakeShed\App\Account;

use Symfony\Component\Security\Core\Authentication\Token\TokenInterface;
use Symfony\Component\Security\Core\Authorization\AccessDecisionManagerInterface;
use Symfony\Component\Security\Core\Authorization\Voter\Vote;
use Symfony\Component\Security\Core\Authorization\Voter\Voter;

/**
 * Everybody mends what they made themselves, be it a photo, a timer, a recording or what was poured; a technician mends
 * anybody's.
 *
 * @extends Voter<self::MEND, RecordedBy>
 */
final class OwnVoter extends Voter
{
    public const MEND = 'mend';

    public function __construct(private readonly AccessDecisionManagerInterface $decisions)
    {
    }

    protected function supports(string $attribute, mixed $subject): bool
    {
        return self::MEND === $attribute && $subject instanceof RecordedBy;
    }

    protected function voteOnAttribute(string $attribute, mixed $subject, TokenInterface $token, ?Vote $vote = null): bool
    {
        $isGranted = $subject->madeBy() === $token->getUserIdentifier()
            || $this->decisions->decide($token, [Role::Technician->securityName()]);
        if (!$isGranted) {
            $vote?->addReason('Somebody else made this; a technician can change it.');
        }

        return $isGranted;
    }
}
