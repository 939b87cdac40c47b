<?php

declare(strict_types=1);

namespace AwakeShed\Core\Money;

/** Whether a job is worth doing, as far as is known. */
enum WorthVerdict: string
{
    /** Nobody has said what it may cost or what it is worth. */
    case NoLimit = 'no_limit';

    /** Hardly more than may be spent, whatever is found. */
    case Within = 'within';

    /** It may come to more: the customer is asked before a part of the work. */
    case AskBefore = 'ask_before';

    /** It hardly comes to so little: the customer is asked before anything more. */
    case Beyond = 'beyond';
}
