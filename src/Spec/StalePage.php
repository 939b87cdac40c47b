<?php

declare(strict_types=1);

namespace AwakeShed\App\Spec;

/** A page of the spec book that somebody else saved first. */
final class StalePage extends \RuntimeException
{
}
