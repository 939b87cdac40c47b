<?php

declare(strict_types=1);

namespace AwakeShed\App\Photo;

use AwakeShed\App\Belonging\CurrentShop;
use Doctrine\ORM\EntityManagerInterface;
use League\Flysystem\FilesystemOperator;
use Psr\Clock\ClockInterface;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;
use Symfony\Component\Console\Output\OutputInterface;

/** A server killed while it stored a picture leaves a file nobody knows; a store restored by half lacks some. */
#[AsCommand('shed:mend-photos', 'Finds pictures without a record and records without a picture, and mends them with --yes.')]
final class MendPhotosCommand extends Command
{
    /** s: a younger file may be of a form that is still being worked on. */
    private const SETTLED = 3600;

    public function __construct(
        private readonly PhotoRepository $repository,
        private readonly FilesystemOperator $photos,
        private readonly PhotoStore $store,
        private readonly EntityManagerInterface $entities,
        private readonly ClockInterface $clock,
        private readonly CurrentShop $shop,
    ) {
        parent::__construct();
    }

    protected function configure(): void
    {
        $this->addOption('yes', null, InputOption::VALUE_NONE, 'Mend what is found: delete stray files, make small pictures anew, mark photos whose picture is lost as removed');
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        // Of all shops together: what is nobody's in one may be another's.
        $this->shop->everywhere(fn () => $this->mend(true === $input->getOption('yes'), $output));

        return Command::SUCCESS;
    }

    private function mend(bool $mends, OutputInterface $output): void
    {
        $lying = $this->lying();
        $strays = $lost = $small = 0;
        foreach ($this->repository->byFile() as $file => $photo) {
            [$hasFull, $hasSmall] = [isset($lying[PhotoSize::Full->value][$file]), isset($lying[PhotoSize::Small->value][$file])];
            unset($lying[PhotoSize::Full->value][$file], $lying[PhotoSize::Small->value][$file]);
            if (!$hasFull && null === $photo->getRemovedAt()) {
                ++$lost;
                $output->writeln(\sprintf('Photo %d of job %d: its picture is lost.', $photo->getId(), $photo->getJob()->getId()));
                if ($mends) {
                    $photo->remove($this->clock->now());
                }
            } elseif ($hasFull && !$hasSmall) {
                if (!$mends || $this->store->mendSmall($file)) {
                    ++$small;
                } else {
                    $output->writeln(\sprintf('Photo %d of job %d: its picture cannot be read; a backup may hold it whole.', $photo->getId(), $photo->getJob()->getId()));
                }
            }
        }
        $before = $this->clock->now()->getTimestamp() - self::SETTLED;
        foreach ($lying as $size => $files) {
            foreach ($files as $file => $modified) {
                if ($modified < $before) {
                    ++$strays;
                    if ($mends) {
                        $this->photos->delete("$size/$file");
                    }
                }
            }
        }
        $this->entities->flush();
        $output->writeln(\sprintf('%d files without a record, %d photos without a picture, %d without a small one%s', $strays, $lost, $small, $mends ? ': mended.' : '.'));
    }

    /** @return array<string, array<string, int>> size => file => when it was written */
    private function lying(): array
    {
        $lying = [];
        foreach (PhotoSize::cases() as $size) {
            foreach ($this->photos->listContents($size->value) as $file) {
                if ($file->isFile()) {
                    $lying[$size->value][basename($file->path())] = (int) $file->lastModified();
                }
            }
        }

        return $lying;
    }
}
