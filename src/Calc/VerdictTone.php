<?php

declare(strict_types=1);

namespace AwakeShed\App\Calc;

/** How an answer is to be taken. */
enum VerdictTone: string
{
    case Good = 'good';
    case Ask = 'ask';
    case Bad = 'bad';

    /** A figure, and no judgement. */
    case Plain = 'plain';
}
