<?php

declare(strict_types=1);

namespace AwakeShed\App\Evidence;

use AwakeShed\App\Account\Member;
use AwakeShed\App\Job\Job;
use Doctrine\Bundle\DoctrineBundle\Repository\ServiceEntityRepository;
use Doctrine\ORM\Query;
use Doctrine\Persistence\ManagerRegistry;

/** @extends ServiceEntityRepository<Entry> */
final class EntryRepository extends ServiceEntityRepository
{
    public function __construct(ManagerRegistry $registry)
    {
        parent::__construct($registry, Entry::class);
    }

    /** @return list<Entry> with their findings and people, oldest first, in one query */
    public function ofJob(Job $job): array
    {
        /** @var list<Entry> $entries */
        $entries = $this->createQueryBuilder('entry')
            ->addSelect('finding', 'person')
            ->leftJoin('entry.findings', 'finding')
            ->innerJoin('entry.by', 'person')
            ->where('entry.job = :job')->setParameter('job', $job)
            ->orderBy('entry.id')->addOrderBy('finding.id')
            ->getQuery()
            // Under a job's lock, what another request has struck meanwhile must be seen.
            ->setHint(Query::HINT_REFRESH, true)
            ->getResult();

        return $entries;
    }

    /** @return list<Entry> of a job, by others than this person, after the entry with that number; a few, oldest first */
    public function ofOthersSince(Job $job, int $since, Member $member): array
    {
        /** @var list<Entry> $entries */
        $entries = $this->createQueryBuilder('entry')
            ->where('entry.job = :job AND entry.id > :since AND entry.by <> :person')
            ->setParameter('job', $job)->setParameter('since', $since)->setParameter('person', $member)
            ->orderBy('entry.id')->setMaxResults(5)
            ->getQuery()->getResult();

        return $entries;
    }
}
