<?php

declare(strict_types=1);

namespace AwakeShed\Core\Gate;

use AwakeShed\Core\Evidence\CaseFile;
use AwakeShed\Core\Evidence\Cycle;
use AwakeShed\Core\Evidence\MachineKind;
use AwakeShed\Core\Table;

/** All that the state of a machine closes (data/closures.json). */
final readonly class Closures
{
    /** @param list<Closure> $all */
    private function __construct(public array $all)
    {
    }

    public static function shipped(): self
    {
        /** @var array{closures: list<array{id: string, thing: string, state?: list<string|null>, place?: list<string>, unless_state?: list<string>, unless?: array<string, list<string>>, unless_act?: string, blocks: list<string>, until: non-empty-list<string>, kinds?: list<string>, cycles?: list<string>}>} $data */
        $data = Table::read(__DIR__.'/data/closures.json');

        return new self(array_map(static fn (array $one): Closure => new Closure(
            $one['id'],
            $one['thing'],
            $one['state'] ?? [],
            $one['place'] ?? [],
            $one['unless_state'] ?? [],
            $one['unless'] ?? [],
            $one['unless_act'] ?? null,
            $one['blocks'],
            $one['until'],
            isset($one['kinds']) ? array_map(MachineKind::from(...), $one['kinds']) : null,
            isset($one['cycles']) ? array_map(Cycle::from(...), $one['cycles']) : null,
        ), $data['closures']));
    }

    /** @return list<Closure> those that hold as the machine stands */
    public function holding(CaseFile $case): array
    {
        return array_values(array_filter($this->all, static fn (Closure $closure): bool => $closure->holds($case)));
    }
}
