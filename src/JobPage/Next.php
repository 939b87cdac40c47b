<?php

declare(strict_types=1);

namespace AwakeShed\App\JobPage;

/** Where the one next thing of a job is done. */
final readonly class Next
{
    /**
     * @param string $words   of the button
     * @param string $href    the page, at the place on it
     * @param string $address of the page by itself
     */
    public function __construct(public string $words, public string $href, public string $address)
    {
    }
}
