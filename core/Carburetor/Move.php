<?php

declare(strict_types=1);

namespace AwakeShed\Core\Carburetor;

/**
 * One thing done at the carburetor bench, in the words it is stored in.
 *
 * @phpstan-import-type OrderArray from RemovalTemplate
 *
 * @phpstan-type MoveArray array{kind: string, place: int|null, said: array<string, string>, order?: OrderArray}
 */
final readonly class Move
{
    /**
     * @param int|null              $place of the part it is about
     * @param array<string, string> $said  by field; which ones hangs on the kind
     * @param RemovalTemplate|null  $order of the shop's own that a ledger is begun with
     */
    public function __construct(public MoveKind $kind, public ?int $place = null, public array $said = [], public ?RemovalTemplate $order = null)
    {
    }

    /** @return MoveArray */
    public function toArray(): array
    {
        return ['kind' => $this->kind->value, 'place' => $this->place, 'said' => $this->said] + (null === $this->order ? [] : ['order' => $this->order->toArray()]);
    }

    /** @param MoveArray $data */
    public static function fromArray(array $data): self
    {
        return new self(MoveKind::from($data['kind']), $data['place'], $data['said'], isset($data['order']) ? RemovalTemplate::fromArray($data['order']) : null);
    }
}
