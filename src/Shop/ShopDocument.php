<?php

declare(strict_types=1);

namespace AwakeShed\App\Shop;

use AwakeShed\App\Exchange\JsonShape;

/**
 * What the shop.json of an archive says, once it is held against its schema.
 *
 * @phpstan-type JobSheetArray array{case: string, label: string, owner: string, contact: string, remarks: string, taken_in: string, wanted_by: string|null, handed_back: string|null, photos: list<string>}
 */
final readonly class ShopDocument
{
    public const NAME = 'shop.json';
    public const FORMAT = 'awake-shed/shop';
    public const VERSION = 1;

    private const SCHEMA = __DIR__.'/data/shop.schema.json';
    private const DEEPEST = 12;

    /**
     * @param array<string, string> $schools by question
     * @param array<string, float>  $odds    by path
     * @param list<JobSheetArray>   $jobs
     */
    private function __construct(public array $schools, public array $odds, public array $jobs)
    {
    }

    /** @throws UnreadableShop with the places of what is wrong */
    public static function parse(string $text): self
    {
        $tree = json_decode($text, false, self::DEEPEST);
        if (!$tree instanceof \stdClass || self::FORMAT !== ($tree->format ?? null)) {
            throw UnreadableShop::noArchive();
        }
        $problems = JsonShape::problems($tree, self::SCHEMA);
        if ([] !== $problems) {
            throw UnreadableShop::wrong(self::NAME, array_map(static fn (array $problem): string => implode(': ', $problem), $problems));
        }
        /** @var array{schools?: array<string, string>, odds?: array<string, float>, jobs?: list<JobSheetArray>} $told */
        $told = json_decode($text, true, self::DEEPEST);

        return new self($told['schools'] ?? [], $told['odds'] ?? [], $told['jobs'] ?? []);
    }
}
