<?php

declare(strict_types=1);

namespace AwakeShed\Core\Proving;

use AwakeShed\Core\Evidence\Finding;
use AwakeShed\Core\Units\ImpossibleAmount;

/**
 * One try at starting, as it went: it is a finding of "start.plain", and these are its measured figures in the open
 * case format, so that whoever reads the record reads the attempts.
 */
final readonly class Attempt
{
    public const TEST = 'start.plain';

    /** Figure => [least, most, symbol] (common practice, drawn wide). */
    public const BOUNDS = [
        'pulls' => [1.0, 60.0, 'pulls'],
        'primes' => [0.0, 20.0, 'primes'],
        'caught_s' => [0.0, 120.0, 's'],
        'choke_off_s' => [0.0, 900.0, 's'],
        'air_c' => [-40.0, 55.0, '°C'],
        'stood_h' => [0.0, 200_000.0, 'h'],
    ];

    /**
     * @param array<key-of<self::BOUNDS>, float> $figures those that were counted or read; an electric start has no pulls
     * @param ChokeStep|null                     $choke   null where nobody said
     *
     * @throws ImpossibleAmount when one is outside its bounds
     */
    public function __construct(public array $figures = [], public ?ChokeStep $choke = null, public string $outcome = 'runs')
    {
        foreach ($figures as $figure => $value) {
            ImpossibleAmount::unlessBetween($value, ...self::BOUNDS[$figure]);
        }
    }

    /** The attempt behind a finding; null where it is none, or nothing of it was counted. */
    public static function fromFinding(Finding $finding): ?self
    {
        if (self::TEST !== $finding->test || [] === $finding->measured) {
            return null;
        }
        $figures = [];
        foreach (self::BOUNDS as $figure => [$least, $most]) {
            $value = $finding->measured[$figure] ?? null;
            // What another shop's file says beyond them is no figure of an attempt.
            if ((\is_int($value) || \is_float($value)) && $value >= $least && $value <= $most) {
                $figures[$figure] = (float) $value;
            }
        }
        $choke = $finding->measured['choke'] ?? null;

        return new self($figures, \is_string($choke) ? ChokeStep::tryFrom($choke) : null, $finding->outcomes[0] ?? '');
    }

    public function finding(): Finding
    {
        return Finding::observed(self::TEST, $this->outcome)->measuring($this->figures + (null === $this->choke ? [] : ['choke' => $this->choke->value]));
    }

    public function caught(): bool
    {
        return \in_array($this->outcome, ['runs', 'runs_rough'], true);
    }
}
