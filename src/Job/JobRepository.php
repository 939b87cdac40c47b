<?php

declare(strict_types=1);

namespace AwakeShed\App\Job;

use AwakeShed\Core\Gate\Stand;
use Doctrine\Bundle\DoctrineBundle\Repository\ServiceEntityRepository;
use Doctrine\ORM\QueryBuilder;
use Doctrine\Persistence\ManagerRegistry;

/** @extends ServiceEntityRepository<Job> */
final class JobRepository extends ServiceEntityRepository
{
    public function __construct(ManagerRegistry $registry)
    {
        parent::__construct($registry, Job::class);
    }

    /** @return list<ShedRow> one page of the shed, as asked */
    public function rows(ShedQuery $query): array
    {
        $builder = $this->asked($query)
            ->select(\sprintf(
                'NEW %s(job.id, machine.kind, machine.label, machine.ownerName, job.wantedBy, job.takenInAt, job.stand, job.waitsFor, job.handedBackAt)',
                ShedRow::class,
            ));
        match ($query->sort) {
            // Machines nobody has named a day for come last.
            ShedSort::Wanted => $builder->addSelect('CASE WHEN job.wantedBy IS NULL THEN 1 ELSE 0 END AS HIDDEN undated')
                ->orderBy('undated')->addOrderBy('job.wantedBy')->addOrderBy('job.id'),
            ShedSort::Newest => $builder->orderBy('job.takenInAt', 'DESC')->addOrderBy('job.id', 'DESC'),
            ShedSort::Machine => $builder->orderBy('machine.label')->addOrderBy('job.id'),
        };
        /** @var list<ShedRow> $rows */
        $rows = $builder->setFirstResult(($query->page - 1) * ShedQuery::PAGE)->setMaxResults(ShedQuery::PAGE)->getQuery()->getResult();

        return $rows;
    }

    /** How many machines match, by where they stand; the filter by stand itself is left out. */
    public function counts(ShedQuery $query): ShedCounts
    {
        $builder = $this->createQueryBuilder('job')
            ->select('job.stand AS stand', 'CASE WHEN job.handedBackAt IS NULL THEN 0 ELSE 1 END AS gone', 'COUNT(job.id) AS number')
            ->groupBy('job.stand', 'gone');
        if (null !== $query->kind || '' !== $query->find) {
            $builder->innerJoin('job.machine', 'machine');
        }
        self::narrow($builder, $query);
        /** @var list<array{stand: Stand, gone: int|string, number: int|string}> $rows */
        $rows = $builder->getQuery()->getResult();
        $byStand = array_fill_keys(array_map(static fn (Stand $stand): string => $stand->value, Stand::cases()), 0);
        $handedBack = 0;
        foreach ($rows as $row) {
            if (1 === (int) $row['gone']) {
                $handedBack += (int) $row['number'];
            } else {
                $byStand[$row['stand']->value] += (int) $row['number'];
            }
        }

        return new ShedCounts($byStand, $handedBack);
    }

    /** The job with its machine and the person who took it in, in one query. */
    public function withMachine(int $id): ?Job
    {
        /** @var Job|null $job */
        $job = $this->createQueryBuilder('job')
            ->addSelect('machine', 'person')
            ->innerJoin('job.machine', 'machine')
            ->innerJoin('job.takenInBy', 'person')
            ->where('job.id = :id')->setParameter('id', $id)
            ->getQuery()->getOneOrNullResult();

        return $job;
    }

    /** @return iterable<Job> every job, a few hundred at a time in memory */
    public function all(): iterable
    {
        /** @var iterable<Job> $jobs */
        $jobs = $this->createQueryBuilder('job')->addSelect('machine')->innerJoin('job.machine', 'machine')->orderBy('job.id')->getQuery()->toIterable();

        return $jobs;
    }

    private function asked(ShedQuery $query): QueryBuilder
    {
        $builder = $this->createQueryBuilder('job')->innerJoin('job.machine', 'machine');
        self::narrow($builder, $query);
        if ($query->handedBack) {
            return $builder->andWhere('job.handedBackAt IS NOT NULL');
        }
        $builder->andWhere('job.handedBackAt IS NULL');
        if (null !== $query->stand) {
            $builder->andWhere('job.stand = :stand')->setParameter('stand', $query->stand);
        }

        return $builder;
    }

    private static function narrow(QueryBuilder $builder, ShedQuery $query): void
    {
        if (null !== $query->kind) {
            $builder->andWhere('machine.kind = :kind')->setParameter('kind', $query->kind);
        }
        if ('' !== $query->find) {
            $number = ctype_digit(ltrim($query->find, '#')) ? (int) ltrim($query->find, '#') : null;
            $builder->andWhere('machine.label LIKE :text OR machine.ownerName LIKE :text'.(null === $number ? '' : ' OR job.id = :number'))
                ->setParameter('text', '%'.addcslashes($query->find, '%_\\').'%');
            if (null !== $number) {
                $builder->setParameter('number', $number);
            }
        }
    }
}
