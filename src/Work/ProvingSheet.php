<?php

declare(strict_types=1);

namespace AwakeShed\App\Work;

use AwakeShed\Core\Proving\ColdStart;
use AwakeShed\Core\Proving\ExpectedSmoke;
use AwakeShed\Core\Proving\SpeedLimit;
use AwakeShed\Core\Proving\SurgeWatch;
use AwakeShed\Core\Proving\Within;
use AwakeShed\Core\Units\Temperature;

/** What is read off a machine's record before it runs and while it is proved. */
final readonly class ProvingSheet
{
    /**
     * @param list<Within>        $within
     * @param list<ExpectedSmoke> $smoke
     * @param list<TriedStart>    $attempts    oldest first
     * @param Temperature         $air         outdoors now, as the weather says
     * @param bool                $isSimulated whether a stand-in says it, and nothing may be filled in by it
     * @param float|null          $stoodHours  since it ran last by this record; null where it never did
     */
    public function __construct(
        public array $within,
        public array $smoke,
        public array $attempts,
        public SurgeWatch $surge,
        public ?ColdStart $cold,
        public SpeedLimit $limit,
        public Temperature $air,
        public bool $isSimulated,
        public ?float $stoodHours,
    ) {
    }

    public function isReady(): bool
    {
        return [] === array_filter($this->within, static fn (Within $one): bool => true !== $one->isReady);
    }
}
