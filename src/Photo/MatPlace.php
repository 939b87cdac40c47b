<?php

declare(strict_types=1);

namespace AwakeShed\App\Photo;

use AwakeShed\Core\Carburetor\Bench;

/** A place on the mat of a bench, as a photo is filed under it: “place-7” at the carburetor, “off-7” of a teardown. */
final readonly class MatPlace
{
    private const PREFIX = ['place' => Bench::Carburetor, 'off' => Bench::Teardown];

    public function __construct(public Bench $bench, public int $number)
    {
    }

    /** Null for what is no place on a mat, such as a gate. */
    public static function parse(string $filed): ?self
    {
        return 1 === preg_match('/^(place|off)-(\d{1,3})$/', $filed, $read) ? new self(self::PREFIX[$read[1]], (int) $read[2]) : null;
    }

    public function __toString(): string
    {
        return array_search($this->bench, self::PREFIX, true).'-'.$this->number;
    }
}
