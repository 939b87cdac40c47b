<?php

declare(strict_types=1);

namespace AwakeShed\Core\Cylinder;

/** What is thrown from the plug hole; the values are outcomes of the vocabulary's test `pull.ejecta`. */
enum Ejecta: string
{
    case Gas = 'gas';
    case Oil = 'oil';
    case Mixture = 'mixture';
}
