<?php

declare(strict_types=1);

namespace AwakeShed\App\Http;

/** Where sessions are kept, as far as a page about a failure has to know. */
interface SessionPlace
{
    /** What keeps them does not answer: for the rest of this request nothing is asked of it and nothing is changed. */
    public function giveUp(): void;
}
