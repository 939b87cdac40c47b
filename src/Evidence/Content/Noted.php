<?php

declare(strict_types=1);

namespace AwakeShed\App\Evidence\Content;

/**
 * A line somebody wrote beside something of the job: a finding, a step, or the whole of it. It changes nothing of the case.
 *
 * @phpstan-type NotedArray array{about: string, text: string}
 */
final readonly class Noted implements Content
{
    /** Characters of a note. */
    public const LONGEST = 500;

    /** What a note is about that is about no test, act or step. */
    public const JOB = 'job';

    /** @param string $about a test, an act or a step by its id, or {@see self::JOB} */
    public function __construct(public string $about, public string $text)
    {
    }

    public function kind(): ContentKind
    {
        return ContentKind::Noted;
    }

    public function events(): array
    {
        return [];
    }

    /** @return NotedArray */
    public function toArray(): array
    {
        return ['about' => $this->about, 'text' => $this->text];
    }

    /** @param NotedArray $stored */
    public static function fromArray(array $stored): self
    {
        return new self($stored['about'], $stored['text']);
    }
}
