<?php

declare(strict_types=1);

namespace AwakeShed\App\Account;

use Doctrine\ORM\EntityManagerInterface;
use Symfony\Contracts\Service\ResetInterface;
use Twig\Attribute\AsTwigFunction;

/** Knows the shop, once it is open. */
final class Shops implements ResetInterface
{
    private ?bool $usesStandIns = null;

    public function __construct(private readonly EntityManagerInterface $entities)
    {
    }

    /** Asked several times a page, of the database once. */
    #[AsTwigFunction('uses_stand_ins')]
    public function usesStandIns(): bool
    {
        return $this->usesStandIns ??= 1 === $this->entities->getConnection()->fetchOne('SELECT uses_stand_ins FROM shop WHERE id = ?', [Shop::ONLY]);
    }

    public function current(): ?Shop
    {
        return $this->entities->find(Shop::class, Shop::ONLY);
    }

    public function reset(): void
    {
        $this->usesStandIns = null;
    }
}
