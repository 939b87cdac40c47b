<?php

declare(strict_types=1);

namespace AwakeShed\App\Job;

use AwakeShed\App\Account\Role;
use Symfony\Component\Security\Core\Authentication\Token\TokenInterface;
use Symfony\Component\Security\Core\Authorization\AccessDecisionManagerInterface;
use Symfony\Component\Security\Core\Authorization\Voter\Vote;
use Symfony\Component\Security\Core\Authorization\Voter\Voter;

/** @extends Voter<self::RECORD|self::PUT_RIGHT|self::HAND_BACK|self::IMPORT, Job|null> */
final class JobVoter extends Voter
{
    /** Record what one sees, take machines in, keep their facts. */
    public const RECORD = 'job_record';

    /** Declare a fault cured, which opens what it held closed. */
    public const PUT_RIGHT = 'job_put_right';
    public const HAND_BACK = 'job_hand_back';
    public const IMPORT = 'job_import';

    public function __construct(private readonly AccessDecisionManagerInterface $decisions)
    {
    }

    protected function supports(string $attribute, mixed $subject): bool
    {
        return \in_array($attribute, [self::RECORD, self::PUT_RIGHT, self::HAND_BACK, self::IMPORT], true)
            && (null === $subject || $subject instanceof Job);
    }

    protected function voteOnAttribute(string $attribute, mixed $subject, TokenInterface $token, ?Vote $vote = null): bool
    {
        $needed = match ($attribute) {
            self::RECORD => Role::Apprentice,
            self::PUT_RIGHT, self::HAND_BACK, self::IMPORT => Role::Technician,
        };
        $granted = $this->decisions->decide($token, [$needed->securityName()]);
        if (!$granted) {
            $vote?->addReason(\sprintf('This is for a %s.', $needed->value));
        }

        return $granted;
    }
}
