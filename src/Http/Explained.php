<?php

declare(strict_types=1);

namespace AwakeShed\App\Http;

use AwakeShed\App\Words\StepWords;
use AwakeShed\App\Words\Words;

/** A failure that a page can explain to whoever caused it. */
interface Explained extends \Throwable
{
    /** @return string by which the page's text is called (templates/error) */
    public function text(): string;

    /** @return string|null a sentence about this very case, in the reader's words */
    public function detail(Words $words, StepWords $steps): ?string;
}
