<?php

declare(strict_types=1);

namespace AwakeShed\App\Sheet;

use AwakeShed\App\Account\Token;
use AwakeShed\App\Belonging\CurrentShop;
use AwakeShed\App\Job\Job;
use Doctrine\Bundle\DoctrineBundle\Repository\ServiceEntityRepository;
use Doctrine\Persistence\ManagerRegistry;

/** @extends ServiceEntityRepository<SentSheet> */
final class SentSheetRepository extends ServiceEntityRepository
{
    public function __construct(ManagerRegistry $registry, private readonly CurrentShop $shop)
    {
        parent::__construct($registry, SentSheet::class);
    }

    /** @return list<SentSheet> the latest first */
    public function ofJob(Job $job): array
    {
        /** @var list<SentSheet> $sheets */
        $sheets = $this->createQueryBuilder('sheet')->addSelect('person')->innerJoin('sheet.by', 'person')
            ->where('sheet.job = :job')->setParameter('job', $job)->orderBy('sheet.id', 'DESC')->getQuery()->getResult();

        return $sheets;
    }

    /** What went out carries its owner's name: it goes, and its link with it. */
    public function forget(Job $job): void
    {
        foreach ($this->ofJob($job) as $sheet) {
            $copy = $this->getEntityManager()->find(SheetCopy::class, $sheet->getSha256());
            if (null !== $copy) {
                $this->getEntityManager()->remove($copy);
            }
            $this->getEntityManager()->remove($sheet);
        }
    }

    public function behind(string $token): ?SentSheet
    {
        return $this->shop->enterBy(fn (): ?SentSheet => $this->findOneBy(['tokenHash' => Token::digest($token)]));
    }

    public function copyOf(SentSheet $sheet): SheetCopy
    {
        return $this->getEntityManager()->find(SheetCopy::class, $sheet->getSha256()) ?? throw new \LogicException('What went out is kept.');
    }
}
