<?php

declare(strict_types=1);

namespace AwakeShed\App\Sheet;

/** Paper of a shop: nothing stands on it that the shop has not written. */
final class SheetPaper extends \TCPDF
{
    /** No line of the library's own at the foot. */
    public function __construct(string $format)
    {
        parent::__construct('P', 'mm', $format, true, 'UTF-8', false);
        $this->tcpdflink = false;
    }
}
