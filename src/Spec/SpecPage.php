<?php

declare(strict_types=1);

namespace AwakeShed\App\Spec;

use AwakeShed\App\Belonging\BelongsToShop;
use AwakeShed\App\Belonging\OfShop;
use AwakeShed\Core\Evidence\MachineKind;
use AwakeShed\Core\Spec\SourceClass;
use AwakeShed\Core\Spec\SpecFigure;
use AwakeShed\Core\Spec\SpecValue;
use Doctrine\ORM\Mapping as ORM;

/** A page of the shop's spec book: one model of machine or engine, looked up once and kept. */
#[ORM\Entity(repositoryClass: SpecPageRepository::class)]
#[ORM\UniqueConstraint(name: 'spec_page_name', columns: ['shop_id', 'name'])]
class SpecPage implements BelongsToShop
{
    use OfShop;

    public const LONGEST_NAME = 120;
    public const LONGEST_NOTE = 200;

    #[ORM\Id, ORM\GeneratedValue, ORM\Column]
    private ?int $id = null;

    #[ORM\Column(length: 120)]
    private string $name;

    #[ORM\Column(enumType: MachineKind::class, length: 30, nullable: true)]
    private ?MachineKind $kind;

    /** @var array<string, array{amount: float|int, source: string, note: string}> by figure */
    #[ORM\Column]
    private array $figures = [];

    /** @throws \InvalidArgumentException when the name is empty or too long */
    public function __construct(string $name, ?MachineKind $kind)
    {
        $this->call($name, $kind);
    }

    /** @throws \InvalidArgumentException when the name is empty or too long */
    public function call(string $name, ?MachineKind $kind): void
    {
        if ('' === trim($name) || mb_strlen(trim($name)) > self::LONGEST_NAME) {
            throw new \InvalidArgumentException('A page of the spec book has a name of up to 120 characters.');
        }
        $this->name = trim($name);
        $this->kind = $kind;
    }

    /** @param iterable<SpecValue> $values all there are; what is not among them is taken out */
    public function write(iterable $values): void
    {
        $this->figures = [];
        foreach ($values as $value) {
            $this->figures[$value->figure->value] = ['amount' => $value->amount, 'source' => $value->source->value, 'note' => mb_substr($value->note, 0, self::LONGEST_NOTE)];
        }
    }

    /** @return array<string, SpecValue> by the figure's name, in the book's order */
    public function values(): array
    {
        $values = [];
        foreach (SpecFigure::cases() as $figure) {
            $known = $this->figures[$figure->value] ?? null;
            if (null !== $known) {
                $values[$figure->value] = new SpecValue($figure, (float) $known['amount'], SourceClass::from($known['source']), $known['note']);
            }
        }

        return $values;
    }

    public function getId(): int
    {
        return $this->id ?? throw new \LogicException('A page has its number once it is saved.');
    }

    public function getName(): string
    {
        return $this->name;
    }

    public function getKind(): ?MachineKind
    {
        return $this->kind;
    }
}
