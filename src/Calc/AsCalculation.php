<?php

declare(strict_types=1);

namespace AwakeShed\App\Calc;

/** On a calculation: what it is called, where it stands, and what it is of. */
#[\Attribute(\Attribute::TARGET_CLASS)]
final readonly class AsCalculation
{
    /**
     * @param string      $name by which it is called, e.g. "hydrolock"
     * @param string|null $act  the vocabulary's test it belongs to, whose gates come before it; null for mere arithmetic
     */
    public function __construct(public string $name, public Topic $topic, public ?string $act = null)
    {
    }

    /** @param class-string<Calculation> $calculation */
    public static function of(string $calculation): self
    {
        return ((new \ReflectionClass($calculation))->getAttributes(self::class)[0] ?? throw new \LogicException($calculation.' does not say what it is called.'))->newInstance();
    }
}
