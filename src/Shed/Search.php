<?php

declare(strict_types=1);

namespace AwakeShed\App\Shed;

/** How machines are looked for by what was typed: as pieces of a statement about `job j`. */
final readonly class Search
{
    /**
     * @param string|null  $among     a table `found` of the numbers of those that may be meant; null where that would be most of them
     * @param list<string> $amongWith its values
     * @param string       $where     what else must hold of a job
     * @param list<string> $whereWith its values
     */
    public function __construct(public ?string $among, public array $amongWith, public string $where, public array $whereWith)
    {
    }
}
