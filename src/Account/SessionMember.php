<?php

declare(strict_types=1);

namespace AwakeShed\App\Account;

use AwakeShed\App\Reader\Look;
use AwakeShed\App\Reader\Preferences;
use AwakeShed\App\Reader\UnitSystem;
use AwakeShed\Core\Units\Length;
use Symfony\Component\Security\Core\User\EquatableInterface;
use Symfony\Component\Security\Core\User\UserInterface;

/**
 * Who is signed in, as much of them as any page needs, off one plain row: an empty page made from objects of the ORM
 * would take half as long again (bin/bench). Who needs the person themselves asks for a {@see Member}.
 */
final readonly class SessionMember implements UserInterface, EquatableInterface, Preferences
{
    /** @param list<float> $wires mm */
    public function __construct(
        private int $id,
        private string $signInName,
        private string $name,
        private Role $role,
        private UnitSystem $units,
        private Look $look,
        private OnOff $letterKeys,
        private OnOff $timerSound,
        private array $wires,
        private bool $mustChangePassword,
        private string $session,
        private bool $isProved,
        private \DateTimeImmutable $seenAt,
        private int $shop,
    ) {
    }

    public function shop(): int
    {
        return $this->shop;
    }

    public function getId(): int
    {
        return $this->id;
    }

    public function getName(): string
    {
        return $this->name;
    }

    public function getRole(): Role
    {
        return $this->role;
    }

    /** @return list<string> */
    public function getRoles(): array
    {
        return [$this->role->securityName()];
    }

    public function getUserIdentifier(): string
    {
        return '' === $this->signInName ? throw new \LogicException('A member has a sign-in name.') : $this->signInName;
    }

    public function getUnits(): UnitSystem
    {
        return $this->units;
    }

    public function getLook(): Look
    {
        return $this->look;
    }

    public function getLetterKeys(): OnOff
    {
        return $this->letterKeys;
    }

    public function getTimerSound(): OnOff
    {
        return $this->timerSound;
    }

    /** @return list<Length> */
    public function getWires(): array
    {
        return array_map(Length::millimetres(...), $this->wires);
    }

    public function mustChangePassword(): bool
    {
        return $this->mustChangePassword;
    }

    public function getSession(): string
    {
        return $this->session;
    }

    /** Whether the second factor was shown, where the person has one. */
    public function isProved(): bool
    {
        return $this->isProved;
    }

    /** When it was last noted that the session is in use. */
    public function getSeenAt(): \DateTimeImmutable
    {
        return $this->seenAt;
    }

    /** What lies in the session file: who, and nothing that would have to be kept secret. */
    public function __serialize(): array
    {
        return ['id' => $this->id, 'role' => $this->role, 'session' => $this->session, 'signInName' => $this->signInName];
    }

    /** @param array{id: int, role: Role, session: string, signInName: string} $data what else there is, is read anew at every request */
    public function __unserialize(array $data): void
    {
        ['id' => $this->id, 'role' => $this->role, 'session' => $this->session, 'signInName' => $this->signInName] = $data;
    }

    /** Another role ends every session at its next request: what was granted at sign-in no longer holds. */
    public function isEqualTo(UserInterface $user): bool
    {
        return $user instanceof self && $user->id === $this->id && $user->role === $this->role;
    }

    public function eraseCredentials(): void
    {
    }
}
