<?php

declare(strict_types=1);

namespace AwakeShed\App\Demo;

use AwakeShed\App\Account\Role;
use AwakeShed\App\Reader\UnitSystem;

/** The made-up people of the demo, with the passwords they are shown with; no real shop has them. */
enum SignIn: string
{
    case Owner = 'odalys';
    case Technician = 'tamsin';
    case Apprentice = 'wim';

    public function password(): string
    {
        return match ($this) {
            self::Owner => 'barn-keys-on-the-hook',
            self::Technician => 'tray-under-the-filler',
            self::Apprentice => 'never-pull-it-yet',
        };
    }

    public function fullName(): string
    {
        return match ($this) {
            self::Owner => 'Odalys Fennimore',
            self::Technician => 'Tamsin Brookwater',
            self::Apprentice => 'Wim Larkrise',
        };
    }

    public function role(): Role
    {
        return match ($this) {
            self::Owner => Role::Owner,
            self::Technician => Role::Technician,
            self::Apprentice => Role::Apprentice,
        };
    }

    public function units(): UnitSystem
    {
        return match ($this) {
            self::Owner => UnitSystem::Us,
            self::Technician => UnitSystem::TradeMixed,
            self::Apprentice => UnitSystem::Metric,
        };
    }
}
