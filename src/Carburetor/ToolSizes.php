<?php

declare(strict_types=1);

namespace AwakeShed\App\Carburetor;

use AwakeShed\Core\Carburetor\PartsLedger;
use Doctrine\ORM\EntityManagerInterface;

/** Remembers which tool fitted which part of a carburetor type. */
final readonly class ToolSizes
{
    public function __construct(private EntityManagerInterface $entities)
    {
    }

    /** @return array<string, string> part => size */
    public function forType(string $type): array
    {
        $sizes = [];
        foreach ($this->entities->getRepository(ToolSize::class)->findBy(['type' => $type]) as $size) {
            $sizes[$size->getPart()] = $size->getSize();
        }

        return $sizes;
    }

    /**
     * A memory, no record: it is written after what it comes from is saved, and nothing is lost with it.
     *
     * @param array<string, string> $said
     */
    public function remember(PartsLedger $ledger, ?int $place, array $said): void
    {
        $part = $said['kind'] ?? ($ledger->parts[$place ?? 0] ?? null)?->kind;
        if (null === $ledger->type || null === $part || !isset($said['size'])) {
            return;
        }
        // Straight to the connection: two taps at once may both be the first to say it.
        $this->entities->getConnection()->executeStatement(
            'INSERT INTO tool_size (shop_id, type, part, size) VALUES (@shop, ?, ?, ?) ON DUPLICATE KEY UPDATE size = VALUES(size)',
            [$ledger->type->id, $part, mb_substr($said['size'], 0, PartsLedger::LONGEST)],
        );
    }
}
