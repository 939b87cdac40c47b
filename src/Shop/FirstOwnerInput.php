<?php

declare(strict_types=1);

namespace AwakeShed\App\Shop;

use AwakeShed\App\Account\Member;
use AwakeShed\App\Account\NewPassword;
use AwakeShed\App\Account\Shop;
use AwakeShed\App\Reader\UnitSystem;
use Symfony\Component\Validator\Constraints as Assert;

/** What is asked once, before the shed is anybody's. */
final class FirstOwnerInput
{
    #[Assert\NotBlank(message: 'What is the shop called?', normalizer: 'trim'), Assert\Length(max: Shop::LONGEST)]
    public ?string $shop = null;

    #[Assert\Length(max: Shop::LONGEST)]
    public ?string $place = null;

    #[Assert\NotNull]
    public ?UnitSystem $units = UnitSystem::TradeMixed;

    /** @var array<string, string|null> question of the trade => school */
    public array $schools = [];

    #[Assert\NotBlank(message: 'What is your name?', normalizer: 'trim'), Assert\Length(max: Member::LONGEST_NAME)]
    public ?string $name = null;

    #[Assert\NotBlank(message: 'What will you sign in as?'), Assert\Length(max: Member::LONGEST_NAME), Assert\Regex('/^\S+$/', message: 'Without spaces, please: it is typed on phones.')]
    public ?string $signInName = null;

    #[Assert\Email, Assert\Length(max: 180)]
    public ?string $email = null;

    #[Assert\NotBlank(message: 'Choose a password.'), NewPassword]
    public ?string $password = null;
}
