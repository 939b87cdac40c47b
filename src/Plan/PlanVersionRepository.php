<?php

declare(strict_types=1);

namespace AwakeShed\App\Plan;

use Doctrine\Bundle\DoctrineBundle\Repository\ServiceEntityRepository;
use Doctrine\Persistence\ManagerRegistry;

/**
 * @extends ServiceEntityRepository<PlanVersion>
 *
 * @phpstan-import-type Odds from PlanVersion
 * @phpstan-import-type Change from PlanVersion
 * @phpstan-import-type Save from PlanVersion
 * @phpstan-import-type Laid from ShownPlan
 */
final class PlanVersionRepository extends ServiceEntityRepository
{
    /** Versions that are kept: some days of a busy shop. */
    private const KEPT = 100;

    public function __construct(ManagerRegistry $registry)
    {
        parent::__construct($registry, PlanVersion::class);
    }

    public function last(): ?PlanVersion
    {
        return $this->findOneBy([], ['id' => 'DESC']);
    }

    /** The last one as pages show it; null where nobody has made a plan yet. */
    public function shown(\DateTimeZone $zone): ?ShownPlan
    {
        /** @var array{id: int, begins_at: string, plan: string, odds: string, savings: string, changes: string, resources: string, made_at: string}|false $row */
        $row = $this->getEntityManager()->getConnection()->fetchAssociative("SELECT id, begins_at, plan, odds, savings, changes, JSON_EXTRACT(problem, '$.resources') AS resources, made_at FROM plan_version WHERE shop_id = @shop ORDER BY id DESC LIMIT 1");
        if (false === $row) {
            return null;
        }
        /** @var Laid $plan */
        $plan = self::decoded($row['plan']);
        /** @var array<string, Odds> $odds */
        $odds = self::decoded($row['odds']);
        /** @var list<Save> $savings */
        $savings = self::decoded($row['savings']);
        /** @var list<Change> $changes */
        $changes = self::decoded($row['changes']);
        /** @var list<array{id: string, open?: list<array{int, int}>}> $resources */
        $resources = self::decoded($row['resources']);

        return new ShownPlan($row['id'], (new \DateTimeImmutable($row['begins_at']))->setTimezone($zone), $plan, $odds, $savings, $changes, $resources, new \DateTimeImmutable($row['made_at']));
    }

    /** Adds one and lets go of those too old to matter. */
    public function keep(PlanVersion $version): void
    {
        $entities = $this->getEntityManager();
        $entities->persist($version);
        $entities->flush();
        // Counted, not reckoned from the number: numbers are shared with other shops, and have gaps on three nodes.
        $database = $entities->getConnection();
        $last = $database->fetchOne('SELECT id FROM plan_version WHERE shop_id = @shop ORDER BY id DESC LIMIT 1 OFFSET '.self::KEPT);
        if (false !== $last) {
            $database->executeStatement('DELETE FROM plan_version WHERE shop_id = @shop AND id <= ?', [$last]);
        }
    }

    /** @return array<mixed> */
    private static function decoded(string $json): array
    {
        $decoded = json_decode($json, true, flags: \JSON_THROW_ON_ERROR);

        return \is_array($decoded) ? $decoded : [];
    }
}
