<?php

declare(strict_types=1);

namespace AwakeShed\App\Life;

use AwakeShed\App\Account\ByMember;
use AwakeShed\App\Account\Member;
use AwakeShed\App\Account\RecordedBy;
use AwakeShed\App\Belonging\BelongsToShop;
use AwakeShed\App\Belonging\OfShop;
use AwakeShed\App\Job\Machine;
use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;

/** One thing known of a machine, by whom and since when; what is known otherwise later stands after it, and nothing is deleted. */
#[ORM\Entity, ORM\Table('life_note')]
class LifeNote implements BelongsToShop, RecordedBy
{
    use ByMember;
    use OfShop;

    public const LONGEST = 200;

    #[ORM\Id, ORM\GeneratedValue, ORM\Column]
    private ?int $id = null;

    #[ORM\ManyToOne, ORM\JoinColumn(nullable: false)]
    private Machine $machine;

    #[ORM\Column(enumType: LifeTopic::class, length: 20)]
    private LifeTopic $topic;

    #[ORM\Column(length: 200)]
    private string $text;

    #[ORM\ManyToOne, ORM\JoinColumn(nullable: false)]
    private Member $by;

    #[ORM\Column(type: Types::DATETIME_IMMUTABLE)]
    private \DateTimeImmutable $at;

    #[ORM\Column(type: Types::DATETIME_IMMUTABLE, nullable: true)]
    private ?\DateTimeImmutable $takenBackAt = null;

    public function __construct(Machine $machine, LifeTopic $topic, string $text, Member $by, \DateTimeImmutable $at)
    {
        $this->machine = $machine;
        $this->topic = $topic;
        $this->text = mb_substr(trim($text), 0, self::LONGEST);
        $this->by = $by;
        $this->at = $at;
    }

    public function takeBack(\DateTimeImmutable $at): void
    {
        $this->takenBackAt ??= $at;
    }

    public function getId(): int
    {
        return $this->id ?? throw new \LogicException('A note has its number once it is saved.');
    }

    public function getMachine(): Machine
    {
        return $this->machine;
    }

    public function getTopic(): LifeTopic
    {
        return $this->topic;
    }

    public function getText(): string
    {
        return $this->text;
    }

    public function getAt(): \DateTimeImmutable
    {
        return $this->at;
    }
}
