<?php

declare(strict_types=1);

namespace AwakeShed\Core\Jet;

/** What has to be done, and has to have failed to help, before a jet is opened. */
enum BeforeDrilling: string
{
    case EverythingCleaned = 'everything_cleaned';
    case GasketsTight = 'gaskets_tight';
    case NeedleTested = 'needle_tested';
}
