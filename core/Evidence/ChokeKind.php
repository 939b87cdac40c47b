<?php

declare(strict_types=1);

namespace AwakeShed\Core\Evidence;

enum ChokeKind: string
{
    case Manual = 'manual';
    case Auto = 'auto';
    case None = 'none';
}
