<?php

declare(strict_types=1);

namespace AwakeShed\App\Exchange;

use Opis\JsonSchema\Errors\ErrorFormatter;
use Opis\JsonSchema\Errors\ValidationError;
use Opis\JsonSchema\Validator;

/** Holds a document against a JSON Schema. */
final readonly class JsonShape
{
    private const MOST_ERRORS = 50;

    private function __construct()
    {
    }

    /**
     * The errors at the ends of the tree: what lies above them only says that something below is wrong. Of
     * alternatives none of which fits, the place itself is named, not every alternative.
     *
     * @param mixed  $tree   objects as \stdClass
     * @param string $schema a file of ours
     *
     * @return list<array{string, string}> JSON pointer and message of what is wrong; none where nothing is
     */
    public static function problems(mixed $tree, string $schema): array
    {
        $error = (new Validator(max_errors: self::MOST_ERRORS))->validate($tree, (string) file_get_contents($schema))->error();

        return null === $error ? [] : self::leaves($error);
    }

    /** @return list<array{string, string}> */
    private static function leaves(ValidationError $error): array
    {
        if ([] === $error->subErrors() || \in_array($error->keyword(), ['anyOf', 'oneOf'], true)) {
            $path = array_map(static fn (int|string $step): string => '/'.str_replace(['~', '/'], ['~0', '~1'], (string) $step), $error->data()->fullPath());

            return [[implode('', $path), (new ErrorFormatter())->formatErrorMessage($error)]];
        }

        $leaves = [];
        foreach ($error->subErrors() as $below) {
            \assert($below instanceof ValidationError);
            $leaves = [...$leaves, ...self::leaves($below)];
        }

        return $leaves;
    }
}
