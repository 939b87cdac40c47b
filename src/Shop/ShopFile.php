<?php

declare(strict_types=1);

namespace AwakeShed\App\Shop;

use AwakeShed\App\Account\Member;
use AwakeShed\App\Account\Shops;
use AwakeShed\App\Carburetor\WantedPart;
use AwakeShed\App\Carburetor\WantedPartRepository;
use AwakeShed\App\Diagnosis\OwnShares;
use AwakeShed\App\Diagnosis\ShopOdds;
use AwakeShed\App\Evidence\Recorder;
use AwakeShed\App\Exchange\CaseFiles;
use AwakeShed\App\Intake\Intake;
use AwakeShed\App\Job\Job;
use AwakeShed\App\Job\JobRepository;
use AwakeShed\App\Oil\Shelf;
use AwakeShed\App\Oil\Stock;
use AwakeShed\App\Once\RequestKey;
use AwakeShed\App\Once\Transaction;
use AwakeShed\App\Photo\PhotoRepository;
use AwakeShed\App\Photo\PhotoSize;
use AwakeShed\App\Photo\PhotoStore;
use AwakeShed\App\Presentation\CsvText;
use AwakeShed\App\School\Schools;
use AwakeShed\App\Shelf\PartsShelf;
use AwakeShed\App\Shelf\ShelfList;
use AwakeShed\App\Spec\SpecBookFile;
use AwakeShed\App\Spec\SpecPage;
use AwakeShed\App\Spec\SpecPageRepository;
use AwakeShed\App\Spec\SpecProblem;
use AwakeShed\App\Spec\UnreadableSpecs;
use AwakeShed\App\Waste\WasteRepository;
use AwakeShed\Core\Evidence\CaseFile;
use AwakeShed\Core\Evidence\MachineKind;
use AwakeShed\Core\Evidence\UnreadableCase;
use AwakeShed\Core\Spec\SpecValue;
use Doctrine\ORM\EntityManagerInterface;
use League\Flysystem\FilesystemException;

/**
 * All a shop owns in the open formats, as one archive: cases, photos, the spec book, schools, odds, and lists as CSV. An
 * empty shed reads it in again, but for the lists; what the formats have no word for (acts, moves, who found what) stays in a backup.
 *
 * @phpstan-import-type JobSheetArray from ShopDocument
 */
final readonly class ShopFile
{
    private const SPEC_BOOK = 'spec-book.json';

    public function __construct(
        private EntityManagerInterface $entities,
        private JobRepository $jobs,
        private Recorder $recorder,
        private CaseFiles $cases,
        private PhotoRepository $photos,
        private PhotoStore $store,
        private SpecPageRepository $pages,
        private SpecBookFile $book,
        private Schools $schools,
        private WasteRepository $waste,
        private Shops $shops,
        private Intake $intake,
        private OwnShares $ownOdds,
        private ShopOdds $odds,
        private Shelf $shelf,
        private WantedPartRepository $wanted,
        private PartsShelf $partsShelf,
        private ShelfList $shelfList,
        private Transaction $transaction,
    ) {
    }

    /** @param string $file to be written; it is replaced */
    public function write(string $file): void
    {
        $zip = new \ZipArchive();
        if (true !== $zip->open($file, \ZipArchive::CREATE | \ZipArchive::OVERWRITE)) {
            throw new \RuntimeException('The archive cannot be written.');
        }
        $sheets = [];
        foreach ($this->jobs->all() as $job) {
            $sheets[] = $this->add($zip, $job);
        }
        $shop = $this->shops->current();
        $zip->addFromString(ShopDocument::NAME, self::json([
            'format' => ShopDocument::FORMAT,
            'version' => ShopDocument::VERSION,
            'shop' => ['name' => $shop?->getName() ?? '', 'place' => $shop?->getPlace() ?? '', 'units' => $shop?->getUnits()->value ?? 'trade_mixed'],
            'schools' => $this->schools->chosen(),
            'odds' => $this->ownOdds->all(),
            'jobs' => $sheets,
        ]));
        $zip->addFromString(self::SPEC_BOOK, $this->book->json($this->pages->byName()));
        $poured = (function (): iterable {
            foreach ($this->waste->ledger() as ['at' => $at, 'job' => $job, 'stream' => $stream, 'can' => $can, 'ml' => $ml]) {
                yield [$at, $job, $stream, $can ?? '', $ml];
            }
        })();
        $zip->addFromString('waste.csv', CsvText::fromRows(['at', 'job', 'stream', 'can', 'ml'], $poured));
        $zip->addFromString('oil.csv', CsvText::fromRows(['oil', 'left_ml', 'used_ml'], array_map(static fn (Stock $stock): array => [$stock->name, $stock->left->inMillilitres(), $stock->used->inMillilitres()], $this->shelf->stocks())));
        $zip->addFromString('parts.csv', CsvText::fromRows(['state', 'quantity', 'part', 'job'], array_map(static fn (WantedPart $part): array => [$part->getState()->value, $part->getQuantity(), $part->getName(), $part->getJob()->getId()], $this->wanted->open())));
        $zip->addFromString('shelf.csv', $this->shelfList->write($this->partsShelf->all()));
        $zip->close();
    }

    /**
     * All of it or nothing: what can be looked at is, before anything is written, and what is refused later is undone. Files of
     * pictures that were stored by then are nobody's, as shed:mend-photos finds them.
     *
     * @return int how many jobs were read in
     *
     * @throws UnreadableShop                           with what is wrong
     * @throws \AwakeShed\Core\Evidence\UnknownWord     for a school that is none
     * @throws \AwakeShed\Core\Diagnosis\ImpossibleOdds
     * @throws \AwakeShed\App\Photo\UnusablePhoto
     */
    public function read(string $file, Member $by): int
    {
        if (0 !== $this->jobs->count([])) {
            throw UnreadableShop::notEmpty();
        }
        $zip = new \ZipArchive();
        if (true !== $zip->open($file, \ZipArchive::RDONLY)) {
            throw UnreadableShop::noArchive();
        }
        $shop = ShopDocument::parse((string) $zip->getFromName(ShopDocument::NAME));
        $pages = $this->pagesIn($zip);
        $cases = array_map(fn (array $sheet): CaseFile => $this->caseIn($zip, $sheet), $shop->jobs);
        $this->transaction->run(function () use ($zip, $shop, $pages, $cases, $by): void {
            foreach ($shop->schools as $question => $school) {
                $this->schools->choose($question, $school);
            }
            if ([] !== $shop->odds) {
                $this->odds->change($shop->odds, $by, RequestKey::fresh());
            }
            foreach ($pages as $name => ['kind' => $kind, 'values' => $values]) {
                $page = $this->pages->named((string) $name) ?? new SpecPage((string) $name, $kind);
                $page->write($values);
                $this->entities->persist($page);
            }
            $this->entities->flush();
            foreach ($shop->jobs as $place => $sheet) {
                $this->readJob($zip, $sheet, $cases[$place], $by);
            }
        });
        $zip->close();

        return \count($cases);
    }

    /** @return JobSheetArray */
    private function add(\ZipArchive $zip, Job $job): array
    {
        $case = \sprintf('cases/job-%d.json', $job->getId());
        $zip->addFromString($case, $this->cases->print($this->recorder->open($job)->case()));
        $pictures = [];
        foreach ($this->photos->ofJob($job) as $photo) {
            try {
                $picture = \sprintf('photos/job-%d/%d.jpg', $job->getId(), $photo->getId());
                $zip->addFromString($picture, (string) stream_get_contents($this->store->read($photo, PhotoSize::Full)));
                $pictures[] = $picture;
            } catch (FilesystemException) {
                // A picture that is lost is said by shed:mend-photos; the rest goes out.
            }
        }
        $machine = $job->getMachine();

        return [
            'case' => $case, 'label' => $machine->getLabel(), 'owner' => $machine->getOwnerName(), 'contact' => $machine->getOwnerContact(), 'remarks' => $job->getRemarks(),
            'taken_in' => $job->getTakenInAt()->format(\DATE_ATOM), 'wanted_by' => $job->getWantedBy()?->format('Y-m-d'), 'handed_back' => $job->getHandedBackAt()?->format(\DATE_ATOM), 'photos' => $pictures,
        ];
    }

    /**
     * @return array<string, array{kind: ?MachineKind, values: array<string, SpecValue>}> by name
     *
     * @throws UnreadableShop
     */
    private function pagesIn(\ZipArchive $zip): array
    {
        $book = $zip->getFromName(self::SPEC_BOOK);
        try {
            return false === $book ? [] : $this->book->parse($book);
        } catch (UnreadableSpecs $unreadable) {
            throw UnreadableShop::wrong(self::SPEC_BOOK, array_map(static fn (SpecProblem $problem): string => "$problem->place: $problem->message", $unreadable->problems));
        }
    }

    /**
     * @param JobSheetArray $sheet
     *
     * @throws UnreadableShop where it cannot be read, or one of its pictures is not there
     */
    private function caseIn(\ZipArchive $zip, array $sheet): CaseFile
    {
        foreach ([$sheet['case'], ...$sheet['photos']] as $name) {
            if (false === $zip->locateName($name)) {
                throw UnreadableShop::wrong($name, ['it is not in the archive.']);
            }
        }
        try {
            return $this->cases->parse((string) $zip->getFromName($sheet['case']));
        } catch (UnreadableCase $unreadable) {
            throw UnreadableShop::wrong($sheet['case'], [$unreadable->getMessage()]);
        }
    }

    /** @param JobSheetArray $sheet */
    private function readJob(\ZipArchive $zip, array $sheet, CaseFile $case, Member $by): void
    {
        $number = $this->intake->import($case, $sheet['label'], $sheet['owner'], $by, RequestKey::fresh(), new \DateTimeImmutable($sheet['taken_in']));
        $job = $this->jobs->withMachine($number) ?? throw new \LogicException('What was imported is a job.');
        $job->getMachine()->describe($sheet['label'], $job->getMachine()->facts(), $sheet['owner'], $sheet['contact']);
        $job->wantedFor(null === $sheet['wanted_by'] ? null : new \DateTimeImmutable($sheet['wanted_by']), $sheet['remarks']);
        foreach (array_chunk($sheet['photos'], PhotoStore::MOST_AT_ONCE) as $pictures) {
            $paths = [];
            foreach ($pictures as $picture) {
                $paths[] = $path = (string) tempnam(sys_get_temp_dir(), 'shed');
                file_put_contents($path, (string) $zip->getFromName($picture));
            }
            $this->store->addTrusted($job, $by, $paths);
            array_map(unlink(...), $paths);
        }
        if (null !== $sheet['handed_back']) {
            $job->handBack(new \DateTimeImmutable($sheet['handed_back']));
        }
        $this->entities->flush();
    }

    /** @param array<string, mixed> $document */
    private static function json(array $document): string
    {
        return json_encode($document, \JSON_THROW_ON_ERROR | \JSON_PRETTY_PRINT | \JSON_UNESCAPED_SLASHES | \JSON_UNESCAPED_UNICODE)."\n";
    }
}
