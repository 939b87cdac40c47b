<?php

declare(strict_types=1);

namespace AwakeShed\App\Account;

use Doctrine\Bundle\DoctrineBundle\Repository\ServiceEntityRepository;
use Doctrine\Persistence\ManagerRegistry;

/** @extends ServiceEntityRepository<Member> */
final class MemberRepository extends ServiceEntityRepository
{
    public function __construct(ManagerRegistry $registry)
    {
        parent::__construct($registry, Member::class);
    }

    /** @return list<Member> those who may sign in first, by name */
    public function everybody(): array
    {
        return $this->findBy([], ['active' => 'DESC', 'name' => 'ASC']);
    }

    public function withSignInName(string $signInName): ?Member
    {
        return $this->findOneBy(['signInName' => mb_strtolower(trim($signInName))]);
    }

    /** The shop must never lock itself out: somebody has to be able to keep the list of people. */
    public function isLastOwner(Member $member): bool
    {
        return Role::Owner === $member->getRole() && $member->isActive()
            && 1 === $this->count(['role' => Role::Owner, 'active' => true]);
    }
}
