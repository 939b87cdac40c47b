<?php

declare(strict_types=1);

namespace AwakeShed\App\Evidence;

use AwakeShed\Core\Evidence\Finding;
use AwakeShed\Core\Evidence\PutRight;
use Doctrine\ORM\Mapping as ORM;

/** One finding, or one cure, of an entry, as it was recorded; never changed afterwards. */
#[ORM\Entity]
#[ORM\Index(columns: ['test'])]
class RecordedFinding
{
    #[ORM\Id, ORM\GeneratedValue, ORM\Column]
    private ?int $id = null;

    #[ORM\ManyToOne(inversedBy: 'findings'), ORM\JoinColumn(nullable: false)]
    private NewEntry $entry;

    #[ORM\Column(length: 80, nullable: true)]
    private ?string $test = null;

    /** @var list<string> */
    #[ORM\Column]
    private array $outcomes = [];

    #[ORM\Column(nullable: true)]
    private ?float $number = null;

    #[ORM\Column(length: 80, nullable: true)]
    private ?string $putRight = null;

    /** @var array<string, mixed> */
    #[ORM\Column]
    private array $measured = [];

    /** @var array<string, mixed> */
    #[ORM\Column]
    private array $extras = [];

    public function __construct(NewEntry $entry, Finding|PutRight $event)
    {
        $this->entry = $entry;
        $this->extras = $event->extras;
        if ($event instanceof PutRight) {
            $this->putRight = $event->fault;

            return;
        }
        $this->test = $event->test;
        $this->outcomes = $event->outcomes;
        $this->number = $event->number;
        $this->measured = $event->measured;
    }
}
