<?php

declare(strict_types=1);

namespace AwakeShed\App\Plan;

use AwakeShed\App\Job\Job;
use Doctrine\Bundle\DoctrineBundle\Repository\ServiceEntityRepository;
use Doctrine\Persistence\ManagerRegistry;

/** @extends ServiceEntityRepository<Mark> */
final class MarkRepository extends ServiceEntityRepository
{
    /** Timed pieces that are looked back on: what was long ago was another shop. */
    private const LOOKED_BACK_ON = 500;

    public function __construct(ManagerRegistry $registry)
    {
        parent::__construct($registry, Mark::class);
    }

    /** @return list<Mark> of work that is not over */
    public function open(): array
    {
        /** @var list<Mark> */
        return $this->createQueryBuilder('mark')->join('mark.job', 'job')->addSelect('job')->leftJoin('mark.hands', 'hands')->addSelect('hands')
            ->where('mark.doneAt IS NULL AND job.gone = false')->orderBy('mark.id')->getQuery()->getResult();
    }

    /** The open mark of a piece of work, or a new one. */
    public function of(Job $job, string $kind): Mark
    {
        $mark = $this->findOneBy(['job' => $job, 'kind' => $kind, 'doneAt' => null]);
        if (null === $mark) {
            $mark = new Mark($job, $kind);
            $this->getEntityManager()->persist($mark);
        }

        return $mark;
    }

    /** @return array<string, list<array{float, float}>> reckoned and taken minutes of the last timed, by kind */
    public function timed(): array
    {
        /** @var list<Mark> $marks */
        $marks = $this->createQueryBuilder('mark')->where('mark.doneAt IS NOT NULL AND mark.startedAt IS NOT NULL')
            ->orderBy('mark.doneAt', 'DESC')->setMaxResults(self::LOOKED_BACK_ON)->getQuery()->getResult();
        $timed = [];
        foreach ($marks as $mark) {
            $one = $mark->timed();
            if (null !== $one) {
                $timed[$mark->getKind()][] = $one;
            }
        }

        return $timed;
    }
}
