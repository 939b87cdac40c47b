<?php

declare(strict_types=1);

namespace AwakeShed\App\JobPage;

use AwakeShed\App\Evidence\Record;
use AwakeShed\App\Evidence\Recorder;
use AwakeShed\App\Job\Job;
use AwakeShed\App\TestCard\TestCard;
use AwakeShed\App\TestCard\TestCards;
use AwakeShed\Core\Evidence\Vocabulary;
use Twig\Attribute\AsTwigFunction;

/** The taps of a job's one next thing, as they stand at the same place on every page of the job. */
final readonly class NextTaps
{
    public function __construct(private Recorder $recorder, private TestCards $cards, private Vocabulary $vocabulary)
    {
    }

    /**
     * @param Record|null $record where the page has opened it already
     *
     * @return TestCard|string|null of a test its card, of an act its name; nothing where it is done on a page of its own
     */
    #[AsTwigFunction('next_taps')]
    public function of(Job $job, ?Record $record): TestCard|string|null
    {
        $next = $job->getWaitsFor();

        return match (true) {
            // A jar is read on a page of its own.
            str_starts_with($next, 'jar.') => null,
            isset($this->vocabulary->tests[$next]) => $this->cards->lay($record ?? $this->recorder->open($job), [$next])[0] ?? null,
            isset($this->vocabulary->acts[$next]) => $next,
            default => null,
        };
    }
}
