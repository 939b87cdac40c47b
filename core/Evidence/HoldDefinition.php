<?php

declare(strict_types=1);

namespace AwakeShed\Core\Evidence;

/** A hard rule: while an outcome stands unreleased, the tests it names are closed. */
final readonly class HoldDefinition
{
    /**
     * @param array<string, list<string>> $whenAny          test => the outcomes that set the hold
     * @param list<string>                $blocks           test ids; "start.*" names every test that begins so
     * @param list<string>                $untilPutRightAny faults of which one put right afterwards releases it
     * @param string|null                 $untilNewFinding  the test whose later, different finding releases it
     * @param list<MachineKind>|null      $kinds            null: every kind
     * @param non-empty-list<string>      $waysOut          acts and tests that lead out of it
     * @param bool                        $isMendedInHand   with the carburetor off or open
     */
    public function __construct(
        public string $id,
        public array $whenAny,
        public array $blocks,
        public array $untilPutRightAny,
        public ?string $untilNewFinding,
        public ?array $kinds,
        public array $waysOut,
        public bool $isMendedInHand,
    ) {
    }

    public function isSetBy(Finding $finding): bool
    {
        return $finding->saysAnyOf($this->whenAny[$finding->test] ?? []);
    }

    public function blocks(string $test): bool
    {
        return TestPattern::matchesAny($this->blocks, $test);
    }
}
