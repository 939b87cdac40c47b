<?php

declare(strict_types=1);

namespace AwakeShed\App\Http;

/** A request is to be handled again from its beginning; never seen outside {@see DoneAgain}. */
final class TryAgain extends \RuntimeException
{
    public function __construct(\Throwable $because, public readonly int $milliseconds)
    {
        parent::__construct('Once more: '.$because->getMessage(), previous: $because);
    }
}
