<?php

declare(strict_types=1);

namespace AwakeShed\App\Photo;

use League\Flysystem\Filesystem;
use League\Flysystem\FilesystemOperator;
use League\Flysystem\Local\LocalFilesystemAdapter;
use League\Flysystem\StorageAttributes;
use Symfony\Component\Console\Attribute\Argument;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Output\OutputInterface;

/** Between a folder and wherever the pictures lie, for bin/backup and bin/restore. */
#[AsCommand('shed:copy-photos', 'Copies every picture out into a folder, or in from one')]
final readonly class CopyPhotosCommand
{
    public function __construct(private FilesystemOperator $photos)
    {
    }

    public function __invoke(OutputInterface $output, #[Argument('out or in')] string $way, #[Argument('the folder')] string $folder): int
    {
        $there = new Filesystem(new LocalFilesystemAdapter($folder));
        [$from, $to] = match ($way) {
            'out' => [$this->photos, $there],
            'in' => [$there, $this->photos],
            default => [null, null],
        };
        if (null === $from || null === $to) {
            $output->writeln('The way is "out" or "in".');

            return Command::INVALID;
        }
        $copied = 0;
        foreach ($from->listContents('', true) as $file) {
            /** @var StorageAttributes $file */
            if ($file->isFile()) {
                $to->writeStream($file->path(), $from->readStream($file->path()));
                ++$copied;
            }
        }
        $output->writeln("$copied files.");

        return Command::SUCCESS;
    }
}
