<?php

declare(strict_types=1);

namespace AwakeShed\App\Presentation;

use AwakeShed\Core\Evidence\HoldDefinition;
use AwakeShed\Core\Evidence\Vocabulary;
use AwakeShed\Core\Gate\Blocker;
use AwakeShed\Core\Gate\BlockerKind;
use AwakeShed\Core\Progress\Ask;
use AwakeShed\Core\Progress\Asks;
use Twig\Attribute\AsTwigFunction;

/** The acts that lead out of what keeps something closed, and what answers what is asked, at the place. */
final readonly class WaysExtension
{
    public function __construct(private Vocabulary $vocabulary, private Asks $asks)
    {
    }

    /** @return list<string> acts; none where a look opens it, or a cure that is no single act */
    #[AsTwigFunction('ways_of')]
    public function ofBlocker(Blocker $blocker): array
    {
        return match ($blocker->kind) {
            BlockerKind::Act => [$blocker->until],
            BlockerKind::Hold => $this->ofHold($blocker->until),
            BlockerKind::Look, BlockerKind::LookAgain => [],
        };
    }

    /** @return list<string> */
    #[AsTwigFunction('ways_of_hold')]
    public function ofHold(string $id): array
    {
        $hold = array_values(array_filter($this->vocabulary->holds, static fn (HoldDefinition $one): bool => $one->id === $id))[0] ?? null;

        return array_values(array_filter($hold->waysOut ?? [], fn (string $way): bool => isset($this->vocabulary->acts[$way])));
    }

    /** @return list<string> looks and acts that answer what is asked */
    #[AsTwigFunction('answers_of')]
    public function answers(Ask $ask): array
    {
        return $this->asks->answers($ask);
    }
}
