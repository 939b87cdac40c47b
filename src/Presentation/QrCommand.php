<?php

declare(strict_types=1);

namespace AwakeShed\App\Presentation;

use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputArgument;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Output\OutputInterface;

#[AsCommand('shed:qr', 'Prints a text as a QR code for a phone to read off the terminal.')]
final class QrCommand extends Command
{
    protected function configure(): void
    {
        $this->addArgument('text', InputArgument::REQUIRED, 'What it says, an address mostly');
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $text = $input->getArgument('text');
        $output->write(QrCode::encoding(\is_string($text) ? $text : '')->text());

        return Command::SUCCESS;
    }
}
