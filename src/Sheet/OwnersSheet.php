<?php

declare(strict_types=1);

namespace AwakeShed\App\Sheet;

use AwakeShed\App\Drawing\LineDrawing;
use AwakeShed\App\Job\Job;
use AwakeShed\App\Money\JobMoney;
use AwakeShed\App\Photo\Photo;

/** What an owner gets with the machine, in words; all of it follows from the record. */
final readonly class OwnersSheet
{
    /**
     * @param list<string>                        $facts    of the machine and the stay, each a line
     * @param list<SheetSection>                  $sections
     * @param list<array{string, string, string}> $numbers  what was looked at, before, after
     * @param list<Photo>                         $photos
     */
    public function __construct(
        public string $shop,
        public Job $job,
        public string $title,
        public array $facts,
        public LineDrawing $line,
        public array $sections,
        public array $numbers,
        public array $photos,
        public JobMoney $money,
    ) {
    }
}
