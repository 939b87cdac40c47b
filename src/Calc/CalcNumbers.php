<?php

declare(strict_types=1);

namespace AwakeShed\App\Calc;

use AwakeShed\Core\Units\Length;
use AwakeShed\Core\Units\Temperature;
use AwakeShed\Core\Units\Volume;

/** The numbers given to a calculation, complete and checked against its inputs. */
final readonly class CalcNumbers
{
    /** @param array<string, float> $numbers by name */
    public function __construct(private array $numbers)
    {
    }

    public function number(string $name): float
    {
        return $this->numbers[$name] ?? throw new \LogicException(\sprintf('The calculation does not declare "%s".', $name));
    }

    public function millilitres(string $name): Volume
    {
        return Volume::millilitres($this->number($name));
    }

    public function millimetres(string $name): Length
    {
        return Length::millimetres($this->number($name));
    }

    public function celsius(string $name): Temperature
    {
        return Temperature::celsius($this->number($name));
    }
}
