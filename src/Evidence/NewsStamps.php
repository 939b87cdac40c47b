<?php

declare(strict_types=1);

namespace AwakeShed\App\Evidence;

use AwakeShed\App\Job\Job;
use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Twig\Attribute\AsTwigFunction;

/**
 * Says, where the web server can tell it without asking anybody, up to which entry a job has been written: a file that
 * every open page of it looks at each second, at a two-hundredth of the price of a page (bin/bench). Its name is known
 * only to who was given a page of that job. What a stamp fails to say, the page asks for itself each minute.
 */
final readonly class NewsStamps
{
    private const FOLDER = '/news/';

    public function __construct(private string $runDir, #[Autowire('%kernel.secret%')] private string $secret)
    {
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
        $file = $this->runDir.$this->address($job);
        $new = $file.'.'.bin2hex(random_bytes(4));
        // Another word each time, so that of two that come in the wrong order neither is taken for known.
        if (false !== @file_put_contents($new, $entry.' '.bin2hex(random_bytes(4)))) {
            @rename($new, $file);
        }
    }
}
