<?php

declare(strict_types=1);

namespace AwakeShed\App\Device\Mail;

use AwakeShed\App\Belonging\CurrentShop;

/** What the stand-in has taken, as files in the run folder, a folder a shop. */
final readonly class Outbox
{
    private const MOST = 50;

    public function __construct(private string $runDir, private CurrentShop $shop)
    {
    }

    public function folder(): string
    {
        return $this->runDir.'/outbox/'.($this->shop->isKnown() ? $this->shop->id() : 0);
    }

    /** @return list<array{name: string, to: string, subject: string, at: \DateTimeImmutable, bytes: int}> the latest first */
    public function letters(): array
    {
        $files = glob($this->folder().'/*.eml');
        if (false === $files) {
            return [];
        }
        rsort($files);

        return array_map(static function (string $file): array {
            $head = (string) file_get_contents($file, length: 4096);
            $said = static fn (string $name): string => 1 === preg_match('/^'.$name.': (.*(?:\r?\n[ \t].*)*)/m', $head, $found) ? (string) iconv_mime_decode(trim($found[1]), \ICONV_MIME_DECODE_CONTINUE_ON_ERROR, 'UTF-8') : '';

            return ['name' => basename($file, '.eml'), 'to' => $said('To'), 'subject' => $said('Subject'), 'at' => new \DateTimeImmutable('@'.(int) filemtime($file)), 'bytes' => (int) filesize($file)];
        }, \array_slice($files, 0, self::MOST));
    }

    /** @return string|null the letter whole; null where there is none of that name */
    public function read(string $name): ?string
    {
        $file = $this->folder().'/'.basename($name).'.eml';

        return is_file($file) ? (string) file_get_contents($file) : null;
    }
}
