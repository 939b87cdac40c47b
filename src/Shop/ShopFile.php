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
use AwakeShed\App\Waste\WasteRepository;
use Doctrine\ORM\EntityManagerInterface;
use League\Flysystem\FilesystemException;

/**
 * All a shop owns in the open formats, as one archive: cases, photos, the spec book, schools, odds, and lists as CSV. An
 * empty shed reads it in again, but for the lists; what the formats have no word for (acts, moves, who found what) stays in a backup.
 *
 * @phpstan-type JobSheetArray array{case: string, label: string, owner: string, contact: string, remarks: string, taken_in: string, wanted_by: string|null, handed_back: string|null, photos: list<string>}
 */
final readonly class ShopFile
{
    public const FORMAT = 'awake-shed/shop';
    private const VERSION = 1;

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
        $zip->addFromString('shop.json', self::json([
            'format' => self::FORMAT,
            'version' => self::VERSION,
            'shop' => ['name' => $shop?->getName() ?? '', 'place' => $shop?->getPlace() ?? '', 'units' => $shop?->getUnits()->value ?? 'trade_mixed'],
            'schools' => $this->schools->chosen(),
            'odds' => $this->ownOdds->all(),
            'jobs' => $sheets,
        ]));
        $zip->addFromString('spec-book.json', $this->book->json($this->pages->byName()));
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
     * @return int how many jobs were read in
     *
     * @throws UnreadableShop                          with what is wrong
     * @throws \AwakeShed\Core\Evidence\UnreadableCase when a case of it cannot be read
     * @throws \AwakeShed\App\Spec\UnreadableSpecs     when its spec book cannot be read
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
        $text = $zip->getFromName('shop.json');
        $told = false === $text ? null : json_decode($text, true, 12);
        if (!\is_array($told) || self::FORMAT !== ($told['format'] ?? null) || self::VERSION !== ($told['version'] ?? null)) {
            throw UnreadableShop::noArchive();
        }
        /** @var array<string, string> $schools */
        $schools = \is_array($told['schools'] ?? null) ? $told['schools'] : [];
        foreach ($schools as $question => $school) {
            $this->schools->choose($question, $school);
        }
        /** @var array<string, float> $odds */
        $odds = \is_array($told['odds'] ?? null) ? $told['odds'] : [];
        if ([] !== $odds) {
            $this->odds->change($odds, $by, RequestKey::fresh());
        }
        $book = $zip->getFromName('spec-book.json');
        foreach (false === $book ? [] : $this->book->parse($book) as $name => ['kind' => $kind, 'values' => $values]) {
            $page = $this->pages->named((string) $name) ?? new SpecPage((string) $name, $kind);
            $page->write($values);
            $this->entities->persist($page);
        }
        $this->entities->flush();
        /** @var list<JobSheetArray> $sheets */
        $sheets = \is_array($told['jobs'] ?? null) ? $told['jobs'] : [];
        foreach ($sheets as $sheet) {
            $this->readJob($zip, $sheet, $by);
        }
        $zip->close();

        return \count($sheets);
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

    /** @param JobSheetArray $sheet */
    private function readJob(\ZipArchive $zip, array $sheet, Member $by): void
    {
        $number = $this->intake->import($this->cases->parse((string) $zip->getFromName($sheet['case'])), $sheet['label'], $sheet['owner'], $by, RequestKey::fresh());
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
