<?php

declare(strict_types=1);

namespace AwakeShed\App\Shop;

use AwakeShed\App\Account\MemberRepository;
use AwakeShed\App\Account\Role;
use AwakeShed\App\Account\Shop;
use AwakeShed\App\Audit\Deed;
use AwakeShed\App\Audit\Trail;
use AwakeShed\App\Belonging\CurrentShop;
use AwakeShed\Core\Refusal;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputArgument;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;
use Symfony\Component\Console\Output\OutputInterface;

#[AsCommand('shed:shop-file', 'Writes all the shop owns into an archive of open formats, or reads one into an empty shed with --in.')]
final class ShopExchangeCommand extends Command
{
    public function __construct(private readonly ShopFile $file, private readonly MemberRepository $members, private readonly Trail $trail, private readonly CurrentShop $shop)
    {
        parent::__construct();
    }

    protected function configure(): void
    {
        $this->addArgument('file', InputArgument::REQUIRED, 'The archive, a zip')->addOption('shop', null, InputOption::VALUE_REQUIRED, 'The number of the shop, where there are several', (string) Shop::FIRST)->addOption('in', null, InputOption::VALUE_NONE, 'Read it in instead');
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $file = $input->getArgument('file');
        $file = \is_string($file) ? $file : '';
        $shop = $input->getOption('shop');
        $this->shop->enter(\is_string($shop) ? (int) $shop : Shop::FIRST);
        if (true !== $input->getOption('in')) {
            $this->file->write($file);
            $this->trail->note(null, Deed::Exported, basename($file));
            $output->writeln('Written.');

            return Command::SUCCESS;
        }
        $owner = $this->members->findOneBy(['role' => Role::Owner, 'active' => true]);
        if (null === $owner) {
            $output->writeln('The shed has no owner yet: open it first, then read the archive in.');

            return Command::FAILURE;
        }
        try {
            $output->writeln(\sprintf('%d jobs read in.', $this->file->read($file, $owner)));
            $this->trail->note(null, Deed::Imported, basename($file));

            return Command::SUCCESS;
        } catch (Refusal $refusal) {
            $output->writeln($refusal->getMessage());

            return Command::FAILURE;
        }
    }
}
