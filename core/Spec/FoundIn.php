<?php

declare(strict_types=1);

namespace AwakeShed\Core\Spec;

enum FoundIn: string
{
    /** Written on the job: plate, or read on it. */
    case Machine = 'machine';
    case Page = 'page';

    /** Typical of its kind and size, unverified. */
    case EngineClass = 'class';
}
