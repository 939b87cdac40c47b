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
        return $this->findOneBy(['signInName' => SignInName::fromTyped($signInName)]);
    }

    /** A name that is taken, or that a reader would take for one that is. */
    public function isLikeAnother(string $signInName): bool
    {
        $looks = SignInName::looks($signInName);
        foreach ($this->createQueryBuilder('person')->select('person.signInName')->getQuery()->getSingleColumnResult() as $name) {
            if (\is_string($name) && (SignInName::fromTyped($signInName) === $name || '' !== $looks && SignInName::looks($name) === $looks)) {
                return true;
            }
        }

        return false;
    }

    /** Active ones, as the transaction sees them. */
    public function countOwners(): int
    {
        return $this->count(['role' => Role::Owner, 'active' => true]);
    }

    public function hasAnybody(): bool
    {
        return $this->count([]) > 0;
    }
}
