<?php

declare(strict_types=1);

namespace AwakeShed\App\Shop;

use AwakeShed\Core\StatedRefusal;

/** An archive that is none of a shop's, or a shed it would be laid over. */
final class UnreadableShop extends StatedRefusal
{
    public static function notEmpty(): self
    {
        return new self('shop.not_empty', 'There are machines in this shed already; an archive is read into an empty one.');
    }

    public static function noArchive(): self
    {
        return new self('shop.no_archive', 'That is no archive of a shop: a zip with shop.json in it.');
    }

    /**
     * @param string                 $file     of the archive
     * @param non-empty-list<string> $problems with their places
     */
    public static function wrong(string $file, array $problems): self
    {
        $why = implode("\n", $problems);

        return new self('shop.wrong', $file.': '.$why, ['file' => $file, 'why' => $why]);
    }
}
