<?php

declare(strict_types=1);

namespace AwakeShed\App\Exchange;

use AwakeShed\Core\Evidence\CaseFile;
use AwakeShed\Core\Evidence\CaseFormat;
use AwakeShed\Core\Evidence\CaseProblem;
use AwakeShed\Core\Evidence\UnreadableCase;

/**
 * The open case format as text: shape by the JSON Schema that ships with the shed, meaning by the core.
 *
 * @phpstan-import-type CaseDocument from CaseFormat
 */
final readonly class CaseFiles
{
    /** Far above any real case: 5000 findings with their readings. */
    public const MOST_BYTES = 4_000_000;

    /** MariaDB keeps no JSON deeper than 32 levels, and the record lays its own around a finding's. */
    private const DEEPEST = 24;

    public function __construct(private CaseFormat $format)
    {
    }

    /** @throws UnreadableCase with every problem and its JSON pointer */
    public function parse(string $json): CaseFile
    {
        if (\strlen($json) > self::MOST_BYTES) {
            throw new UnreadableCase([new CaseProblem('', 'case.too_large', 'The file is larger than 4 MB.')]);
        }
        try {
            $tree = json_decode($json, false, self::DEEPEST, \JSON_THROW_ON_ERROR);
        } catch (\JsonException $malformed) {
            throw \JSON_ERROR_DEPTH === $malformed->getCode() ? new UnreadableCase([new CaseProblem('', 'case.too_deep', \sprintf('Nested deeper than %d levels.', self::DEEPEST))]) : new UnreadableCase([new CaseProblem('', 'case.not_json', 'Not JSON: '.$malformed->getMessage().'.')]);
        }
        $problems = array_map(static fn (array $problem): CaseProblem => new CaseProblem($problem[0], 'case.shape', $problem[1]), JsonShape::problems($tree, CaseFormat::SCHEMA));
        if ([] !== $problems) {
            throw new UnreadableCase($problems);
        }
        /** @var CaseDocument $document */
        $document = json_decode($json, true, self::DEEPEST, \JSON_THROW_ON_ERROR);

        return $this->format->read($document);
    }

    public function print(CaseFile $case): string
    {
        return json_encode($this->format->write($case), \JSON_THROW_ON_ERROR | \JSON_PRETTY_PRINT | \JSON_UNESCAPED_SLASHES | \JSON_UNESCAPED_UNICODE)."\n";
    }
}
