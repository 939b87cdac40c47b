<?php

declare(strict_types=1);

namespace AwakeShed\App\Evidence\Content;

use AwakeShed\Core\Evidence\Done;
use AwakeShed\Core\Evidence\Finding;
use AwakeShed\Core\Evidence\PutRight;

/** What an entry of a record says: one class a kind ({@see ContentKind}), each with the array it is stored as. */
interface Content
{
    public function kind(): ContentKind;

    /** @return list<Finding|PutRight|Done> what it adds to the case, in order */
    public function events(): array;

    /** @return array<string, mixed> as {@see ContentKind::read()} takes it */
    public function toArray(): array;
}
