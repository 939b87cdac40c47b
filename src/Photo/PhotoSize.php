<?php

declare(strict_types=1);

namespace AwakeShed\App\Photo;

enum PhotoSize: string
{
    case Full = 'full';
    case Small = 'small';
}
