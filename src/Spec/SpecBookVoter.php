<?php

declare(strict_types=1);

namespace AwakeShed\App\Spec;

use AwakeShed\App\Account\Role;
use Symfony\Component\Security\Core\Authentication\Token\TokenInterface;
use Symfony\Component\Security\Core\Authorization\AccessDecisionManagerInterface;
use Symfony\Component\Security\Core\Authorization\Voter\Vote;
use Symfony\Component\Security\Core\Authorization\Voter\Voter;

/** @extends Voter<self::WRITE, null> */
final class SpecBookVoter extends Voter
{
    /** Write into the shop's spec book; whoever works here may read it. */
    public const WRITE = 'spec_write';

    public function __construct(private readonly AccessDecisionManagerInterface $decisions)
    {
    }

    protected function supports(string $attribute, mixed $subject): bool
    {
        return self::WRITE === $attribute;
    }

    protected function voteOnAttribute(string $attribute, mixed $subject, TokenInterface $token, ?Vote $vote = null): bool
    {
        $granted = $this->decisions->decide($token, [Role::Technician->securityName()]);
        if (!$granted) {
            $vote?->addReason('The spec book is written by a technician.');
        }

        return $granted;
    }
}
