<?php

declare(strict_types=1);

namespace AwakeShed\App\Evidence;

use AwakeShed\App\Job\Job;
use Doctrine\DBAL\Connection;
use Doctrine\DBAL\Exception as DatabaseException;
use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Twig\Attribute\AsTwigFunction;

/**
 * Says, where the web server can tell it without asking anybody, up to which entry a job has been written: a file that
 * every open page of it looks at each second, at a two-hundredth of the price of a page (bin/bench). Its name is known
 * only to who was given a page of that job. Where several web servers share a shed it is a row besides, and each copies
 * what is new to its own files. What a stamp fails to say, the page asks for itself each minute.
 */
final readonly class NewsStamps
{
    private const FOLDER = '/news/';

    /** s that are read again each time: clocks of two databases differ, and a commit comes after its moment. */
    private const OVERLAP = 10;

    public function __construct(
        private string $runDir,
        #[Autowire('%kernel.secret%')]
        private string $secret,
        #[Autowire('%env(bool:SHED_SHARED)%')]
        private bool $isShared,
        private Connection $database,
    ) {
    }

    /** The address of a job's stamp. */
    #[AsTwigFunction('news_stamp')]
    public function address(Job $job): string
    {
        return self::FOLDER.substr(hash_hmac('sha256', 'news of '.$job->getId(), $this->secret), 0, 32);
    }

    /** After the entry is saved for good. What cannot be written is no reason to refuse what was saved. */
    public function stamp(Job $job, int $entry): void
    {
        // Another word each time, so that of two that come in the wrong order neither is taken for known.
        $word = $entry.' '.bin2hex(random_bytes(4));
        $this->write($this->address($job), $word);
        if ($this->isShared) {
            try {
                $this->database->executeStatement('INSERT INTO news (address, word, at) VALUES (?, ?, UTC_TIMESTAMP()) ON DUPLICATE KEY UPDATE word = VALUES(word), at = VALUES(at)', [$this->address($job), $word]);
            } catch (DatabaseException) {
                // Of two nodes at once the other has said that there is something new.
            }
        }
    }

    /**
     * Copies what other web servers stamped to this one's files.
     *
     * @param array<string, string> $known by address, as this returned it last
     *
     * @return array<string, string> the words of the last seconds
     */
    public function relay(array $known): array
    {
        /** @var array<string, string> $new */
        $new = $this->database->fetchAllKeyValue('SELECT address, word FROM news WHERE at >= UTC_TIMESTAMP() - INTERVAL ? SECOND', [self::OVERLAP]);
        foreach (array_diff_assoc($new, $known) as $address => $word) {
            $this->write($address, $word);
        }

        return $new;
    }

    private function write(string $address, string $word): void
    {
        $file = $this->runDir.$address;
        $new = $file.'.'.bin2hex(random_bytes(4));
        if (false !== @file_put_contents($new, $word)) {
            @rename($new, $file);
        }
    }
}
