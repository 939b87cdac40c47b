<?php

declare(strict_types=1);

namespace AwakeShed\App\Account;

use AwakeShed\App\Belonging\BelongsToShop;
use AwakeShed\App\Belonging\OfShop;
use AwakeShed\App\Reader\Look;
use AwakeShed\App\Reader\Preferences;
use AwakeShed\App\Reader\UnitSystem;
use AwakeShed\Core\Units\Length;
use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;
use Symfony\Component\Security\Core\User\EquatableInterface;
use Symfony\Component\Security\Core\User\PasswordAuthenticatedUserInterface;
use Symfony\Component\Security\Core\User\UserInterface;

/** A person of the shop who may sign in. */
#[ORM\Entity(repositoryClass: MemberRepository::class)]
#[ORM\Index(name: 'member_of_shop', columns: ['shop_id'])]
class Member implements BelongsToShop, UserInterface, PasswordAuthenticatedUserInterface, EquatableInterface, Preferences
{
    use OfShop;

    public const LONGEST_NAME = 60;

    #[ORM\Id, ORM\GeneratedValue, ORM\Column]
    private ?int $id = null;

    /** Compared byte by byte, so that an accent or a wide letter is another name; {@see SignInName} says what is written here. */
    #[ORM\Column(length: 60, unique: true, options: ['collation' => 'utf8mb4_bin'])]
    private string $signInName;

    #[ORM\Column(length: 60)]
    private string $name;

    /** Where a letter about a lost password goes; null: nowhere. */
    #[ORM\Column(length: 180, nullable: true)]
    private ?string $email = null;

    #[ORM\Column]
    private string $passwordHash = '';

    /** Somebody else chose the password, so it opens nothing but the page where another is chosen. */
    #[ORM\Column]
    private bool $mustChangePassword = false;

    #[ORM\Embedded]
    private SecondFactor $secondFactor;

    /** The name of the session this person was loaded for; null outside of one. Not stored. */
    private ?string $session = null;

    #[ORM\Column(enumType: Role::class, length: 20)]
    private Role $role;

    #[ORM\Column(enumType: UnitSystem::class, length: 20)]
    private UnitSystem $units = UnitSystem::TradeMixed;

    #[ORM\Column(enumType: Look::class, length: 20)]
    private Look $look = Look::Device;

    /** Whether single letters lead about, outside links and fields; a voice or a slip of the hand may type them unmeant. */
    #[ORM\Column(enumType: OnOff::class, length: 20)]
    private OnOff $letterKeys = OnOff::On;

    /** Whether a wait that is over is heard as well. */
    #[ORM\Column(enumType: OnOff::class, length: 20)]
    private OnOff $timerSound = OnOff::Off;

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
        $this->signInName = SignInName::fromTyped($signInName);
        $this->name = trim($name);
        $this->secondFactor = new SecondFactor();
        $this->role = $role;
        $this->joinedAt = $joinedAt;
    }

    /** Chosen by the person themselves. */
    public function changePassword(string $hash): void
    {
        $this->passwordHash = $hash;
        $this->mustChangePassword = false;
    }

    /** Chosen by somebody else, for the first time only. */
    public function givePassword(string $hash): void
    {
        $this->passwordHash = $hash;
        $this->mustChangePassword = true;
    }

    public function mustChangePassword(): bool
    {
        return $this->mustChangePassword;
    }

    public function call(string $name, ?string $email): void
    {
        $this->name = trim($name);
        $this->email = null === $email || '' === trim($email) ? null : trim($email);
    }

    /** For good: what they did stays, under a name that says nobody. */
    public function forget(string $as): void
    {
        $this->name = $as;
        $this->signInName = 'gone-'.$this->id;
        $this->email = null;
        $this->passwordHash = '';
        $this->secondFactor = new SecondFactor();
        $this->wires = [];
        $this->active = false;
    }

    public function secondFactor(): SecondFactor
    {
        return $this->secondFactor;
    }

    public function inSession(string $session): void
    {
        $this->session = $session;
    }

    public function getSession(): ?string
    {
        return $this->session;
    }

    /** What lies in the session file: who, and nothing that would have to be kept secret. */
    public function __serialize(): array
    {
        return ['id' => $this->id, 'signInName' => $this->signInName, 'role' => $this->role, 'session' => $this->session];
    }

    /** @param array{id: int|null, signInName: string, role: Role, session: string|null} $data */
    public function __unserialize(array $data): void
    {
        ['id' => $this->id, 'signInName' => $this->signInName, 'role' => $this->role, 'session' => $this->session] = $data;
    }

    /** With the first request after the sign-in they are a {@see SessionMember}; who has left by then is found no more. */
    public function isEqualTo(UserInterface $user): bool
    {
        return $user instanceof SessionMember && $user->getId() === $this->id && $user->getRole() === $this->role;
    }

    public function prefer(UnitSystem $units, Look $look): void
    {
        $this->units = $units;
        $this->look = $look;
    }

    public function goByLetters(OnOff $letterKeys): void
    {
        $this->letterKeys = $letterKeys;
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

    public function getId(): int
    {
        return $this->id ?? throw new \LogicException('A person has their number once they are saved.');
    }

    public function getSignInName(): string
    {
        return $this->signInName;
    }

    public function getName(): string
    {
        return $this->name;
    }

    public function getEmail(): ?string
    {
        return $this->email;
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

    public function hearTimers(OnOff $timerSound): void
    {
        $this->timerSound = $timerSound;
    }

    public function getTimerSound(): OnOff
    {
        return $this->timerSound;
    }

    public function getLetterKeys(): OnOff
    {
        return $this->letterKeys;
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
