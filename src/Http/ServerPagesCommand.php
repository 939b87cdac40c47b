<?php

declare(strict_types=1);

namespace AwakeShed\App\Http;

use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputArgument;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Output\OutputInterface;
use Twig\Environment;

/** Writes down the pages the web server shows by itself, when the application is not even asked. */
#[AsCommand('shed:server-pages', 'Writes the error pages of the web server into a folder; the build does it.')]
final class ServerPagesCommand extends Command
{
    private const PAGES = ['busy', 'too_large', 'malformed', 'not_found'];

    public function __construct(private readonly Environment $twig)
    {
        parent::__construct();
    }

    protected function configure(): void
    {
        $this->addArgument('folder', InputArgument::REQUIRED, 'Where to');
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $folder = $input->getArgument('folder');
        if (!\is_string($folder) || !is_dir($folder) && !mkdir($folder, 0o755, true)) {
            $output->writeln('That folder cannot be made.');

            return Command::FAILURE;
        }
        foreach (self::PAGES as $code) {
            file_put_contents("$folder/$code.html", $this->twig->render('error/error.html.twig', ['code' => $code, 'detail' => null, 'kept' => null, 'path' => '/']));
        }

        return Command::SUCCESS;
    }
}
