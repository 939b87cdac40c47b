<?php

declare(strict_types=1);

namespace AwakeShed\App\Account;

use AwakeShed\App\Belonging\CurrentShop;
use AwakeShed\App\Reader\Look;
use AwakeShed\App\Reader\UnitSystem;
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

    /**
     * Whose session it is; null when it was ended or never was, or they have left. The database is told in the same breath
     * whose shed this is about ({@see CurrentShop}).
     */
    public function stillOpen(string $id): ?SessionMember
    {
        /** @var array{id: int, sign_in_name: string, name: string, role: string, units: string, look: string, letter_keys: string, timer_sound: string, wires: string, must_change_password: int, is_proved: int, seen_at: string, shop_id: int|string}|false $row */
        $row = $this->getEntityManager()->getConnection()->fetchAssociative(
            'SELECT m.id, m.sign_in_name, m.name, m.role, m.units, m.look, m.letter_keys, m.timer_sound, m.wires, m.must_change_password, s.is_proved, s.seen_at, @shop := m.shop_id AS shop_id
             FROM open_session s JOIN member m ON m.id = s.member_id WHERE s.id = ? AND s.ended_at IS NULL AND m.active = 1',
            [$id],
        );
        if (false === $row) {
            return null;
        }
        /** @var list<float|int> $wires */
        $wires = json_decode($row['wires'], true, 4, \JSON_THROW_ON_ERROR);

        return new SessionMember(
            $row['id'],
            $row['sign_in_name'],
            $row['name'],
            Role::from($row['role']),
            UnitSystem::from($row['units']),
            Look::from($row['look']),
            OnOff::from($row['letter_keys']),
            OnOff::from($row['timer_sound']),
            array_map(floatval(...), $wires),
            1 === $row['must_change_password'],
            $id,
            1 === $row['is_proved'],
            new \DateTimeImmutable($row['seen_at']),
            (int) $row['shop_id'],
        );
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
