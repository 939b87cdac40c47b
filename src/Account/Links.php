<?php

declare(strict_types=1);

namespace AwakeShed\App\Account;

use AwakeShed\App\Audit\Deed;
use AwakeShed\App\Audit\Trail;
use AwakeShed\App\Belonging\CurrentShop;
use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;
use Symfony\Component\Routing\Generator\UrlGeneratorInterface;

/** Makes one-time links, and honours each once. */
final readonly class Links
{
    /** h: over a weekend for somebody invited; short for a lost password, which travels by mail. */
    public const INVITATION = 72;
    public const LOST = 1;

    public function __construct(private EntityManagerInterface $entities, private UrlGeneratorInterface $addresses, private Trail $trail, private ClockInterface $clock, private CurrentShop $shop)
    {
    }

    /**
     * Earlier links of the person lose their worth. The caller flushes nothing: it is written at once.
     *
     * @param int      $hours it is good for
     * @param int|null $by    who made it; null: the person themselves asked, or the command line
     *
     * @return string an address with host
     */
    public function make(Member $member, int $hours, ?int $by): string
    {
        $token = Token::fresh();
        $this->forget($member);
        $this->entities->persist(new OneTimeLink($token, $member, $this->clock->now()->modify(\sprintf('+%d hours', $hours))));
        $this->entities->flush();
        $this->trail->note($by, Deed::LinkMade, $member->getName());

        return $this->addresses->generate('welcome', ['token' => $token], UrlGeneratorInterface::ABSOLUTE_URL);
    }

    public function find(#[\SensitiveParameter] string $token): ?OneTimeLink
    {
        $link = $this->shop->enterBy(fn (): ?OneTimeLink => $this->entities->find(OneTimeLink::class, Token::digest($token)));

        return true === $link?->isGood($this->clock->now()) ? $link : null;
    }

    /** @return bool false when another request used it first */
    public function use(OneTimeLink $link): bool
    {
        $connection = $this->entities->getConnection();
        $isFirst = 1 === $connection->executeStatement('DELETE FROM one_time_link WHERE digest = ?', [$link->getDigest()]);
        $this->entities->detach($link);
        if ($isFirst) {
            $this->forget($link->getMember());
            $this->trail->note($link->getMember()->getId(), Deed::LinkUsed, $link->getMember()->getName());
        }

        return $isFirst;
    }

    private function forget(Member $member): void
    {
        $this->entities->getConnection()->executeStatement('DELETE FROM one_time_link WHERE member_id = ?', [$member->getId()]);
    }
}
