<?php

declare(strict_types=1);

namespace AwakeShed\App\Shed;

use AwakeShed\App\Job\JobRepository;
use AwakeShed\Core\Progress\Progress;
use Doctrine\ORM\QueryBuilder;

/** The machines in the shed, as they are asked for. */
final readonly class ShedList
{
    public function __construct(private JobRepository $jobs)
    {
    }

    /**
     * One page of the shed, as asked: first the numbers, off an index alone however far down the page is, then what
     * is shown of those few.
     *
     * @return list<ShedRow>
     */
    public function rows(ShedQuery $query): array
    {
        $numbers = $this->asked($query)->select('job.id');
        match ($query->sort) {
            // A search reads every text once; said this way, the database does that off the index of the texts instead of
            // fetching twenty thousand rows in the order of their days.
            ShedSort::Wanted => '' === $query->find
                ? $numbers->orderBy('job.due')->addOrderBy('job.id')
                : $numbers->addSelect('COALESCE(job.due, job.due) AS HIDDEN day')->orderBy('day')->addOrderBy('job.id'),
            ShedSort::Newest => $numbers->orderBy('job.takenInAt', 'DESC')->addOrderBy('job.id', 'DESC'),
            ShedSort::Machine => $numbers->orderBy('job.searchText')->addOrderBy('job.id'),
        };
        $ids = $numbers->setFirstResult(($query->page - 1) * ShedQuery::PAGE)->setMaxResults(ShedQuery::PAGE)->getQuery()->getSingleColumnResult();
        $ids = array_filter($ids, \is_int(...));
        if ([] === $ids) {
            return [];
        }
        /** @var list<ShedRow> $rows */
        $rows = $this->jobs->createQueryBuilder('job')
            ->select(\sprintf(
                'NEW %s(job.id, machine.kind, machine.label, machine.ownerName, job.wantedBy, job.takenInAt, job.stand, job.waitsFor, job.handedBackAt, withWhom.name)',
                ShedRow::class,
            ))
            ->innerJoin('job.machine', 'machine')
            ->leftJoin('job.withWhom', 'withWhom')
            ->where('job.id IN (:ids)')->setParameter('ids', $ids)
            ->getQuery()->getResult();
        $places = array_flip($ids);
        usort($rows, static fn (ShedRow $a, ShedRow $b): int => $places[$a->id] <=> $places[$b->id]);

        return $rows;
    }

    /** How many machines match, by where they stand; the filter by stand itself is left out. */
    public function counts(ShedQuery $query): ShedCounts
    {
        $inShed = $this->jobs->createQueryBuilder('job')
            ->select('job.stand AS stand', 'COUNT(job.id) AS number')
            ->where('job.handedBackAt IS NULL')
            ->groupBy('job.stand');
        self::narrow($inShed, $query);
        /** @var list<array{stand: Progress, number: int|string}> $rows */
        $rows = $inShed->getQuery()->getResult();
        $byStand = array_fill_keys(array_map(static fn (Progress $stand): string => $stand->value, Progress::cases()), 0);
        foreach ($rows as $row) {
            $byStand[$row['stand']->value] = (int) $row['number'];
        }
        $gone = $this->jobs->createQueryBuilder('job')->select('COUNT(job.id)')->where('job.handedBackAt IS NOT NULL');
        self::narrow($gone, $query);

        return new ShedCounts($byStand, (int) $gone->getQuery()->getSingleScalarResult());
    }

    private function asked(ShedQuery $query): QueryBuilder
    {
        $builder = $this->jobs->createQueryBuilder('job');
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
            $builder->andWhere('job.kind = :kind')->setParameter('kind', $query->kind);
        }
        if ('' !== $query->find) {
            $number = ctype_digit(ltrim($query->find, '#')) ? (int) ltrim($query->find, '#') : null;
            $builder->andWhere('job.searchText LIKE :text'.(null === $number ? '' : ' OR job.id = :number'))
                ->setParameter('text', '%'.addcslashes(mb_strtolower($query->find), '%_\\').'%');
            if (null !== $number) {
                $builder->setParameter('number', $number);
            }
        }
    }
}
