<?php

declare(strict_types=1);

namespace AwakeShed\App\Diagnosis;

use AwakeShed\App\Account\Role;
use Symfony\Component\Security\Core\Authentication\Token\TokenInterface;
use Symfony\Component\Security\Core\Authorization\AccessDecisionManagerInterface;
use Symfony\Component\Security\Core\Authorization\Voter\Vote;
use Symfony\Component\Security\Core\Authorization\Voter\Voter;

/** @extends Voter<self::WRITE, null> */
final class OddsVoter extends Voter
{
    /** Hold other odds than those that ship; whoever works here may read them. */
    public const WRITE = 'odds_write';

    public function __construct(private readonly AccessDecisionManagerInterface $decisions)
    {
    }

    protected function supports(string $attribute, mixed $subject): bool
    {
        return self::WRITE === $attribute;
    }

    protected function voteOnAttribute(string $attribute, mixed $subject, TokenInterface $token, ?Vote $vote = null): bool
    {
        $granted = $this->decisions->decide($token, [Role::Owner->securityName()]);
        if (!$granted) {
            $vote?->addReason('The odds are changed by the owner of the shop.');
        }

        return $granted;
    }
}
