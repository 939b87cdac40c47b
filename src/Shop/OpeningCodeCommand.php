<?php

declare(strict_types=1);

namespace AwakeShed\App\Shop;

use AwakeShed\App\Account\MemberRepository;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Output\OutputInterface;
use Symfony\Component\Routing\Generator\UrlGeneratorInterface;

#[AsCommand('shed:opening', 'Prints where the first owner of an empty shed begins; nothing when it is somebody\'s.')]
final class OpeningCodeCommand extends Command
{
    public function __construct(private readonly OpeningCode $code, private readonly MemberRepository $members, private readonly UrlGeneratorInterface $addresses)
    {
        parent::__construct();
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        if (!$this->members->hasAnybody()) {
            $output->writeln($this->addresses->generate('first_owner', ['code' => $this->code->current()], UrlGeneratorInterface::ABSOLUTE_URL));
        }

        return Command::SUCCESS;
    }
}
