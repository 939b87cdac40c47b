<?php

declare(strict_types=1);

namespace AwakeShed\Core\Money;

use AwakeShed\Core\Diagnosis\Cures;
use AwakeShed\Core\Diagnosis\Quote;
use AwakeShed\Core\Units\ImpossibleAmount;

/**
 * What a job may come to against what may be spent on it, and before which part of the work its owner is to be asked: the
 * first at which what was spent so far and is likely next may pass the limit.
 */
final readonly class Worth
{
    /** In the order in which the work is done. */
    private const ORDER = ['looking', 'fuel', 'oil', 'spark', 'carburetor', 'engine', 'rest'];

    /** A chance at which somebody is asked. */
    private const SURE = 0.9;

    /**
     * @param float|null  $limit  dollars: the lesser of what the owner will spend and what the machine is worth
     * @param string|null $before part of the work, where the verdict is to ask
     */
    private function __construct(public Quote $quote, public ?float $limit, public WorthVerdict $verdict, public ?string $before)
    {
    }

    /**
     * @param array<string, float> $chances by fault; 1 for what was put right already
     * @param float                $wage    dollars an hour
     * @param float                $base    hours of looking, jar and proving
     * @param float|null           $cap     dollars the owner will spend; null where nobody asked
     * @param float|null           $worth   dollars the machine is worth running; null where nobody said
     *
     * @throws ImpossibleAmount when one is outside its interval
     */
    public static function judged(array $chances, Cures $cures, float $wage, float $base, ?float $cap, ?float $worth): self
    {
        $quote = Quote::reckoned($chances, $cures, $wage, $base);
        $limits = array_filter([$cap, $worth], static fn (?float $one): bool => null !== $one);
        $limit = [] === $limits ? null : min($limits);
        if (null === $limit) {
            return new self($quote, null, WorthVerdict::NoLimit, null);
        }
        $within = $quote->within($limit);
        if ($within >= self::SURE) {
            return new self($quote, $limit, WorthVerdict::Within, null);
        }
        if ($within <= 1 - self::SURE) {
            return new self($quote, $limit, WorthVerdict::Beyond, null);
        }
        $sofar = [];
        foreach (self::ORDER as $part) {
            $sofar += array_filter($chances, static fn (string $fault): bool => Quote::partOf($fault) === $part, \ARRAY_FILTER_USE_KEY);
            if (Quote::reckoned($sofar, $cures, $wage, $base)->within($limit) < self::SURE) {
                return new self($quote, $limit, WorthVerdict::AskBefore, $part);
            }
        }

        throw new \LogicException('All the parts together are the whole, which is not sure to stay within.');
    }
}
