<?php

declare(strict_types=1);

namespace AwakeShed\Core\Strip;

/** One thing done at the carburetor bench, in the words it is stored in. */
final readonly class Move
{
    /**
     * @param int|null              $place of the part it is about
     * @param array<string, string> $said  by field; which ones hangs on the kind
     */
    public function __construct(public MoveKind $kind, public ?int $place = null, public array $said = [])
    {
    }

    /** @return array{kind: string, place: int|null, said: array<string, string>} */
    public function toArray(): array
    {
        return ['kind' => $this->kind->value, 'place' => $this->place, 'said' => $this->said];
    }

    /** @param array{kind: string, place: int|null, said: array<string, string>} $data */
    public static function fromArray(array $data): self
    {
        return new self(MoveKind::from($data['kind']), $data['place'], $data['said']);
    }
}
