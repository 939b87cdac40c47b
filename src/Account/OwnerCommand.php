<?php

declare(strict_types=1);

namespace AwakeShed\App\Account;

use AwakeShed\App\Audit\Deed;
use AwakeShed\App\Audit\Trail;
use AwakeShed\App\Belonging\CurrentShop;
use Doctrine\ORM\EntityManagerInterface;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputArgument;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;
use Symfony\Component\Console\Output\OutputInterface;

/** The way back in for whoever sits at the shed's own computer, when no owner can sign in. */
#[AsCommand('shed:owner', 'Prints a one-time link for an owner\'s new password; makes somebody owner, or takes a lost second factor off.')]
final class OwnerCommand extends Command
{
    public function __construct(private readonly MemberRepository $members, private readonly Links $links, private readonly EntityManagerInterface $entities, private readonly Trail $trail, private readonly CurrentShop $shop)
    {
        parent::__construct();
    }

    protected function configure(): void
    {
        $this
            ->addArgument('name', InputArgument::OPTIONAL, 'Who: the name they sign in by; left out, the owners are listed')
            ->addOption('appoint', null, InputOption::VALUE_NONE, 'Make them owner, and bring them back if they had left')
            ->addOption('without-second-factor', null, InputOption::VALUE_NONE, 'Take their second factor off');
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $name = $input->getArgument('name');
        if (!\is_string($name)) {
            foreach ($this->shop->everywhere($this->members->everybody(...)) as $member) {
                $output->writeln(\sprintf('%-20s %-12s %s%s', $member->getSignInName(), $member->getRole()->value, $member->getName(), $member->isActive() ? '' : ' (left)'));
            }

            return Command::SUCCESS;
        }
        $member = $this->members->withSignInName($name);
        if (null === $member) {
            $output->writeln('Nobody signs in by that name. Without a name, everybody is listed.');

            return Command::INVALID;
        }
        $this->shop->enter($member->shop());
        if (true === $input->getOption('appoint')) {
            $this->trail->change(null, Deed::RoleChanged, $member->getName(), ['role' => $member->getRole()->value], ['role' => Role::Owner->value]);
            $member->comeBack();
            $member->appoint(Role::Owner);
        }
        if (true === $input->getOption('without-second-factor')) {
            $member->secondFactor()->end();
            $this->trail->note(null, Deed::SecondFactorOff, $member->getName());
        }
        if (Role::Owner !== $member->getRole() || !$member->isActive()) {
            $output->writeln('That is no owner of this shed. With --appoint they become one.');

            return Command::INVALID;
        }
        $this->entities->flush();
        $output->writeln('Good once, for an hour:');
        $output->writeln($this->links->make($member, Links::LOST, null));

        return Command::SUCCESS;
    }
}
