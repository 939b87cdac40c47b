<?php

declare(strict_types=1);

namespace AwakeShed\App\Audit;

use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\EntityManagerInterface;

/** The trail, read. */
final readonly class Notes
{
    public const PAGE = 60;

    public function __construct(private EntityManagerInterface $entities)
    {
    }

    /**
     * @param int|null $before number of a note: only older ones
     *
     * @return list<AuditNote> newest first, a page of them
     */
    public function latest(?Deed $what, ?int $before): array
    {
        $query = $this->entities->createQueryBuilder()->select('note')->from(AuditNote::class, 'note')->orderBy('note.id', 'DESC')->setMaxResults(self::PAGE);
        if (null !== $what) {
            $query->andWhere('note.what = :what')->setParameter('what', $what);
        }
        if (null !== $before) {
            $query->andWhere('note.id < :before')->setParameter('before', $before);
        }
        /** @var list<AuditNote> $notes */
        $notes = $query->getQuery()->getResult();

        return $notes;
    }

    /** @return int how many went */
    public function forgetBefore(\DateTimeImmutable $moment): int
    {
        return (int) $this->entities->getConnection()->executeStatement('DELETE FROM audit_note WHERE at < :moment', ['moment' => $moment], ['moment' => Types::DATETIME_IMMUTABLE]);
    }
}
