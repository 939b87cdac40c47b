<?php

declare(strict_types=1);

namespace AwakeShed\App\Http;

/** A form from an earlier session, or from somewhere else altogether. */
final class StaleForm extends \RuntimeException
{
    public function __construct()
    {
        parent::__construct('The form is not of this session.');
    }
}
