<?php

declare(strict_types=1);

namespace AwakeShed\App\Audit;

use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;
use Symfony\Component\HttpFoundation\RequestStack;

/** Where deeds are noted, in the transaction of the deed where there is one. */
final readonly class Trail
{
    public function __construct(private EntityManagerInterface $entities, private ClockInterface $clock, private RequestStack $requests)
    {
    }

    /**
     * @param int|null             $by     number of who did it; null: nobody signed in
     * @param array<string, mixed> $before only what the deed changed
     * @param array<string, mixed> $after
     */
    public function note(?int $by, Deed $what, string $subject, array $before = [], array $after = []): void
    {
        // Not through the unit of work: a note must not flush what somebody else has not finished.
        // What somebody unknown did at the door belongs to the shop behind it where there is one, else to none.
        $this->entities->getConnection()->executeStatement(
            'INSERT INTO audit_note (at, member_id, what, subject, said_before, says_now, address, shop_id)
             VALUES (:at, :member, :what, :subject, :before, :after, :address, COALESCE(@shop, (SELECT MIN(id) FROM shop HAVING COUNT(*) = 1), 0))',
            [
                'at' => $this->clock->now(),
                'member' => $by,
                'what' => $what->value,
                'subject' => mb_substr(mb_scrub($subject), 0, 120),
                'before' => $before,
                'after' => $after,
                'address' => (string) $this->requests->getMainRequest()?->getClientIp(),
            ],
            ['at' => Types::DATETIME_IMMUTABLE, 'before' => Types::JSON, 'after' => Types::JSON],
        );
    }

    /**
     * What is different between two sides, named once on each.
     *
     * @param array<string, mixed> $before
     * @param array<string, mixed> $after
     */
    public function change(?int $by, Deed $what, string $subject, array $before, array $after): void
    {
        $changed = array_keys(array_filter($before + $after, static fn (mixed $either, string $key): bool => ($before[$key] ?? null) !== ($after[$key] ?? null), \ARRAY_FILTER_USE_BOTH));
        if ([] !== $changed) {
            $this->note($by, $what, $subject, array_intersect_key($before, array_flip($changed)), array_intersect_key($after, array_flip($changed)));
        }
    }
}
