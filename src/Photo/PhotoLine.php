<?php

declare(strict_types=1);

namespace AwakeShed\App\Photo;

use AwakeShed\App\Account\RecordedBy;

/** A photo as a page shows it, read off its row. */
final readonly class PhotoLine implements RecordedBy
{
    /** @param string|null $gate where it was taken: a gate, or a place of the mat */
    public function __construct(public int $id, public ?string $gate, public string $caption, private string $signInName)
    {
    }

    public function madeBy(): string
    {
        return $this->signInName;
    }
}
