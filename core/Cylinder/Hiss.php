<?php

declare(strict_types=1);

namespace AwakeShed\Core\Cylinder;

/** Where the air of a leak-down test is heard to go, which names the part that lets it. */
enum Hiss: string
{
    case Carburetor = 'carburetor';
    case Muffler = 'muffler';
    case Breather = 'breather';
    case HeadJoint = 'head_joint';
    case NotHeard = 'not_heard';

    /** @return string|null id of the suspect, for the reader's words; null when nothing was heard */
    public function suspect(): ?string
    {
        return match ($this) {
            self::Carburetor => 'intake_valve',
            self::Muffler => 'exhaust_valve',
            self::Breather => 'rings',
            self::HeadJoint => 'head_gasket',
            self::NotHeard => null,
        };
    }
}
