<?php

declare(strict_types=1);

namespace AwakeShed\App\Account;

use Doctrine\Bundle\DoctrineBundle\Repository\ServiceEntityRepository;
use Doctrine\DBAL\Types\Types;
use Doctrine\Persistence\ManagerRegistry;

/** @extends ServiceEntityRepository<OpenSession> */
final class OpenSessionRepository extends ServiceEntityRepository
{
    public function __construct(ManagerRegistry $registry)
    {
        parent::__construct($registry, OpenSession::class);
    }

    /** The session with its person, as one statement; null when it was ended or never was. */
    public function stillOpen(string $id): ?OpenSession
    {
        /** @var OpenSession|null $session */
        $session = $this->createQueryBuilder('session')->addSelect('person')
            ->innerJoin('session.member', 'person')
            ->where('session.id = :id AND session.endedAt IS NULL AND person.active = true')->setParameter('id', $id)
            ->getQuery()->getOneOrNullResult();

        return $session;
    }

    /** Without any entity: a recording asks twice a second. */
    public function isOpen(string $id): bool
    {
        return false !== $this->getEntityManager()->getConnection()->fetchOne(
            'SELECT 1 FROM open_session s JOIN member m ON m.id = s.member_id WHERE s.id = ? AND s.ended_at IS NULL AND m.active = 1',
            [$id],
        );
    }

    /** @return list<OpenSession> a person's open ones, seen last first */
    public function ofMember(Member $member): array
    {
        return $this->findBy(['member' => $member, 'endedAt' => null], ['seenAt' => 'DESC']);
    }

    /** Ends one session of a person, or all but one, or all. */
    public function end(Member $member, \DateTimeImmutable $at, ?string $only = null, ?string $but = null): void
    {
        $this->getEntityManager()->getConnection()->executeStatement(
            'UPDATE open_session SET ended_at = :at WHERE member_id = :member AND ended_at IS NULL AND id = COALESCE(:only, id) AND id <> COALESCE(:but, \'\')',
            ['at' => $at, 'member' => $member->getId(), 'only' => $only, 'but' => $but],
            ['at' => Types::DATETIME_IMMUTABLE],
        );
    }

    public function seen(string $id, \DateTimeImmutable $at): void
    {
        $this->getEntityManager()->getConnection()->executeStatement('UPDATE open_session SET seen_at = :at WHERE id = :id', ['at' => $at, 'id' => $id], ['at' => Types::DATETIME_IMMUTABLE]);
    }
}
