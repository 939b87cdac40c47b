<?php

declare(strict_types=1);

namespace AwakeShed\App\Account;

use AwakeShed\App\Belonging\CurrentShop;
use Doctrine\ORM\EntityManagerInterface;
use Symfony\Contracts\Service\ResetInterface;
use Twig\Attribute\AsTwigFunction;

/** Knows the shop this shed is of, once it is open. */
final class Shops implements ResetInterface
{
    private ?bool $usesStandIns = null;

    public function __construct(private readonly EntityManagerInterface $entities, private readonly CurrentShop $shop)
    {
    }

    /** Asked several times a page, of the database once. */
    #[AsTwigFunction('uses_stand_ins')]
    public function usesStandIns(): bool
    {
        return $this->usesStandIns ??= 1 === $this->entities->getConnection()->fetchOne('SELECT uses_stand_ins FROM shop WHERE id = @shop');
    }

    public function current(): ?Shop
    {
        return $this->shop->isKnown() ? $this->entities->find(Shop::class, $this->shop->id()) : null;
    }

    /** At the door, before it is known who comes: the shop behind it, where there is one only. */
    public function only(): ?Shop
    {
        $shops = $this->entities->getRepository(Shop::class)->findBy([], limit: 2);

        return 1 === \count($shops) ? $shops[0] : null;
    }

    /** The shop whose calendar has that link; whoever has it is in that shop. */
    public function withFeed(#[\SensitiveParameter] string $token): ?Shop
    {
        $shop = $this->entities->getRepository(Shop::class)->findOneBy(['feedHash' => Token::digest($token)]);
        if (null !== $shop) {
            $this->shop->enter($shop->getId());
        }

        return $shop;
    }

    public function reset(): void
    {
        $this->usesStandIns = null;
    }
}
