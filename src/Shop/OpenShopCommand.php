<?php

declare(strict_types=1);

namespace AwakeShed\App\Shop;

use AwakeShed\App\Account\Links;
use AwakeShed\App\Account\NameTaken;
use AwakeShed\App\Account\People;
use AwakeShed\App\Account\Role;
use AwakeShed\App\Account\Shop;
use AwakeShed\App\Audit\Deed;
use AwakeShed\App\Audit\Trail;
use AwakeShed\App\Belonging\CurrentShop;
use AwakeShed\App\Once\Transaction;
use AwakeShed\App\Once\Turns;
use AwakeShed\App\Reader\UnitSystem;
use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;
use Symfony\Component\Console\Attribute\Argument;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Attribute\Option;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Output\OutputInterface;

/** One more shop in the same installation: with people, machines and prices of its own, and nothing in common. */
#[AsCommand('shed:open-shop', 'Opens one more shop in this installation, and prints the link by which its owner chooses a password')]
final readonly class OpenShopCommand
{
    public function __construct(private EntityManagerInterface $entities, private CurrentShop $shop, private Transaction $transaction, private Turns $turns, private People $people, private Links $links, private Trail $trail, private ClockInterface $clock)
    {
    }

    public function __invoke(
        OutputInterface $output,
        #[Argument('what the shop is called')]
        string $name,
        #[Argument('the name its owner signs in by')]
        string $owner,
        #[Option('where it is')]
        string $place = '',
        #[Option('the owner, as people say it')]
        string $called = '',
    ): int {
        try {
            $member = $this->transaction->run(function () use ($name, $owner, $place, $called) {
                // Two shops at once must not get one number.
                $this->turns->hold('shops');
                $last = $this->entities->getConnection()->fetchOne('SELECT COALESCE(MAX(id), 0) FROM shop');
                $id = 1 + (is_numeric($last) ? (int) $last : 0);
                $this->shop->enter($id);
                $this->entities->persist(new Shop($name, $place, UnitSystem::TradeMixed, false, $this->clock->now(), $id));
                $this->entities->flush();
                $member = $this->people->add($owner, '' === $called ? $owner : $called, Role::Owner, null, null, null);
                $this->trail->note(null, Deed::ShedOpened, $name);

                return $member;
            });
        } catch (NameTaken) {
            $output->writeln('Somebody in this installation signs in by that name, or by one that looks like it.');

            return Command::INVALID;
        }
        $output->writeln(\sprintf('Shop %d is open. Its owner chooses a password here, within three days:', $this->shop->id()));
        $output->writeln($this->links->make($member, Links::INVITATION, null));

        return Command::SUCCESS;
    }
}
