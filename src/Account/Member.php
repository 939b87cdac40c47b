<?php

declare(strict_types=1);

namespace AwakeShed\App\Account;

use AwakeShed\Core\Units\Length;
use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;
use Symfony\Component\Security\Core\User\PasswordAuthenticatedUserInterface;
use Symfony\Component\Security\Core\User\UserInterface;

/** A person of the shop who may sign in. */
#[ORM\Entity(repositoryClass: MemberRepository::class)]
class Member implements UserInterface, PasswordAuthenticatedUserInterface
{
    public const LONGEST_NAME = 60;

    #[ORM\Id, ORM\GeneratedValue, ORM\Column]
    private ?int $id = null;

    #[ORM\Column(length: 60, unique: true)]
    private string $signInName;

    #[ORM\Column(length: 60)]
    private string $name;

    #[ORM\Column]
    private string $passwordHash = '';

    #[ORM\Column(enumType: Role::class, length: 20)]
    private Role $role;

    #[ORM\Column(enumType: UnitSystem::class, length: 20)]
    private UnitSystem $units = UnitSystem::TradeMixed;

    #[ORM\Column(enumType: Look::class, length: 20)]
    private Look $look = Look::Device;

    /** @var list<float> the cleaning wires they own, mm */
    #[ORM\Column]
    private array $wires = [];

    #[ORM\Column]
    private bool $active = true;

    #[ORM\Column(type: Types::DATETIME_IMMUTABLE)]
    private \DateTimeImmutable $joinedAt;

    /** @throws \InvalidArgumentException when a name is empty or too long */
    public function __construct(string $signInName, string $name, Role $role, \DateTimeImmutable $joinedAt)
    {
        foreach ([$signInName, $name] as $text) {
            if ('' === trim($text) || mb_strlen($text) > self::LONGEST_NAME) {
                throw new \InvalidArgumentException('A person has a name of 1 to 60 characters.');
            }
        }
        $this->signInName = mb_strtolower(trim($signInName));
        $this->name = trim($name);
        $this->role = $role;
        $this->joinedAt = $joinedAt;
    }

    public function changePassword(string $hash): void
    {
        $this->passwordHash = $hash;
    }

    public function prefer(UnitSystem $units, Look $look): void
    {
        $this->units = $units;
        $this->look = $look;
    }

    /** @param list<Length> $wires the cleaning wires they own */
    public function ownWires(array $wires): void
    {
        $this->wires = array_map(static fn (Length $wire): float => round($wire->inMillimetres(), 4), $wires);
    }

    /** @return list<Length> */
    public function getWires(): array
    {
        return array_map(static fn (float|int $millimetres): Length => Length::millimetres((float) $millimetres), $this->wires);
    }

    public function appoint(Role $role): void
    {
        $this->role = $role;
    }

    /** Signs the person out for good; what they recorded stays theirs. */
    public function leave(): void
    {
        $this->active = false;
    }

    public function comeBack(): void
    {
        $this->active = true;
    }

    public function getId(): ?int
    {
        return $this->id;
    }

    public function getSignInName(): string
    {
        return $this->signInName;
    }

    public function getName(): string
    {
        return $this->name;
    }

    public function getRole(): Role
    {
        return $this->role;
    }

    public function getUnits(): UnitSystem
    {
        return $this->units;
    }

    public function getLook(): Look
    {
        return $this->look;
    }

    public function isActive(): bool
    {
        return $this->active;
    }

    public function getJoinedAt(): \DateTimeImmutable
    {
        return $this->joinedAt;
    }

    public function getPassword(): string
    {
        return $this->passwordHash;
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

    public function eraseCredentials(): void
    {
    }
}
