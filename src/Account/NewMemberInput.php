<?php

declare(strict_types=1);

namespace AwakeShed\App\Account;

use Symfony\Component\Validator\Constraints as Assert;

/** What the form for a new person holds. */
final class NewMemberInput
{
    #[Assert\NotBlank, Assert\Length(max: Member::LONGEST_NAME)]
    public ?string $name = null;

    #[Assert\NotBlank, Assert\Length(max: Member::LONGEST_NAME), Assert\Regex('/^\S+$/', message: 'Without spaces, please: it is typed on phones.')]
    public ?string $signInName = null;

    #[Assert\NotNull]
    public ?Role $role = Role::Apprentice;

    #[Assert\Email, Assert\Length(max: 180)]
    public ?string $email = null;

    #[NewPassword]
    public ?string $password = null;
}
