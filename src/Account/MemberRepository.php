<?php

declare(strict_types=1);

namespace AwakeShed\App\Account;

use AwakeShed\App\Belonging\CurrentShop;
use Doctrine\Bundle\DoctrineBundle\Repository\ServiceEntityRepository;
use Doctrine\Persistence\ManagerRegistry;

/** @extends ServiceEntityRepository<Member> */
final class MemberRepository extends ServiceEntityRepository
{
    public function __construct(ManagerRegistry $registry, private readonly CurrentShop $shop)
    {
        parent::__construct($registry, Member::class);
    }

    /** @return list<Member> those who may sign in first, by name */
    public function everybody(): array
    {
        return $this->findBy([], ['active' => 'DESC', 'name' => 'ASC']);
    }

    /** Of any shop: no two people of one installation sign in by the same name. */
    public function withSignInName(string $signInName): ?Member
    {
        return $this->shop->everywhere(fn (): ?Member => $this->findOneBy(['signInName' => SignInName::fromTyped($signInName)]));
    }

    /** A name that is taken, or that a reader would take for one that is. */
    public function isLikeAnother(string $signInName): bool
    {
        $looks = SignInName::looks($signInName);
        foreach ($this->shop->everywhere(fn (): array => $this->createQueryBuilder('person')->select('person.signInName')->getQuery()->getSingleColumnResult()) as $name) {
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

    /** In any shop. */
    public function hasAnybody(): bool
    {
        return $this->shop->everywhere(fn (): int => $this->count([])) > 0;
    }
}
