<?php

declare(strict_types=1);

namespace AwakeShed\App\Calc;

use AwakeShed\App\Calc\Input\UnreadableInput;

/** What a calculation was told, complete and checked against its inputs. */
final readonly class Given
{
    /** @param array<string, mixed> $values by the input's name */
    public function __construct(public array $values)
    {
    }

    /**
     * @param array<string, mixed> $plain as the command line takes them
     *
     * @throws UnreadableInput at the first that cannot be taken
     */
    public static function read(Calculation $calculation, array $plain): self
    {
        $values = [];
        foreach ($calculation->inputs() as $name => $input) {
            $values[$name] = $input->read($plain[$name] ?? null);
        }

        return new self($values);
    }

    /**
     * @template T of object
     *
     * @param class-string<T> $type
     *
     * @return T
     */
    public function get(string $name, string $type): object
    {
        return $this->find($name, $type) ?? throw new \LogicException(\sprintf('The calculation does not declare "%s" as one that is always there.', $name));
    }

    /**
     * @template T of object
     *
     * @param class-string<T> $type
     *
     * @return T|null null for an optional input that was not given
     */
    public function find(string $name, string $type): ?object
    {
        $value = $this->values[$name] ?? null;

        return $value instanceof $type ? $value : null;
    }

    /**
     * @template T of object
     *
     * @param class-string<T> $type
     *
     * @return list<T>
     */
    public function all(string $name, string $type): array
    {
        $found = [];
        foreach (\is_array($this->values[$name] ?? null) ? $this->values[$name] : [] as $value) {
            if ($value instanceof $type) {
                $found[] = $value;
            }
        }

        return $found;
    }
}
