<?php

declare(strict_types=1);

namespace AwakeShed\Tests\Core;

use AwakeShed\Core\Units\Quantity;
use AwakeShed\Tests\Kept;

/** Figures of whatever it is, to be kept. */
final readonly class Facts
{
    private function __construct()
    {
    }

    /** Of a quantity in the first of its units, of another thing all it shows. */
    public static function of(mixed $of): string
    {
        return match (true) {
            null === $of => 'none',
            \is_bool($of) => $of ? 'yes' : 'no',
            \is_int($of), \is_float($of) => Kept::figure($of),
            $of instanceof Quantity => Kept::figure($of->in($of::units()[0])).' '.$of::units()[0]->symbol(),
            $of instanceof \UnitEnum => $of->name,
            \is_array($of) => implode(', ', array_map(self::of(...), $of)),
            \is_object($of) => implode(', ', array_map(self::of(...), get_object_vars($of))),
            default => \is_string($of) ? $of : '',
        };
    }

    /** And whatever it says when it is asked without being told anything. */
    public static function said(mixed $by): string
    {
        $said = [self::of($by)];
        if (\is_object($by) && !$by instanceof Quantity && !$by instanceof \UnitEnum) {
            foreach ((new \ReflectionObject($by))->getMethods(\ReflectionMethod::IS_PUBLIC) as $method) {
                if (!$method->isStatic() && !$method->isConstructor() && 0 === $method->getNumberOfParameters()) {
                    try {
                        $answer = self::of($method->invoke($by));
                    } catch (\Throwable $refusal) {
                        $answer = 'refused: '.$refusal->getMessage();
                    }
                    $said[] = "{$method->getName()} $answer";
                }
            }
        }

        return implode('; ', $said);
    }
}
