<?php

declare(strict_types=1);

namespace AwakeShed\App\Account;

use Symfony\Component\Validator\Constraint;
use Symfony\Component\Validator\Constraints as Assert;

/** What a password of the shed must be: long, and none of those everybody uses. Empty is left to whoever asks for one. */
#[\Attribute(\Attribute::TARGET_PROPERTY)]
final class NewPassword extends Assert\Compound
{
    public const LEAST = 12;

    /** Bytes: what the hash looks at. */
    private const MOST = 72;

    /** @return list<Constraint> */
    protected function getConstraints(array $options): array
    {
        return [
            new Assert\Length(min: self::LEAST, minMessage: 'At least 12 characters, please; a few words will do.'),
            new Assert\Length(max: self::MOST, countUnit: Assert\Length::COUNT_BYTES, maxMessage: 'That is longer than can be kept: up to 72 characters.'),
            new NotCommon(),
        ];
    }
}
