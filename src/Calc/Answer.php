<?php

declare(strict_types=1);

namespace AwakeShed\App\Calc;

use AwakeShed\App\Drawing\Drawing;
use AwakeShed\Core\Evidence\Finding;

/** What a calculation says: a verdict whose sentence uses the figures, the figures, and what a job may record of it. */
final readonly class Answer
{
    /**
     * @param string        $verdict  names the sentence, translations/calc
     * @param list<Figure>  $figures
     * @param list<Finding> $findings in the vocabulary's words; none where it has no word for it
     */
    public function __construct(
        public string $verdict,
        public VerdictTone $tone,
        public array $figures,
        public array $findings = [],
        public ?Drawing $drawing = null,
    ) {
    }

    /** @return array<string, mixed> for programs */
    public function plain(): array
    {
        return ['verdict' => $this->verdict] + array_column($this->figures, 'plain', 'key');
    }
}
