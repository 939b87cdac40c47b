<?php

declare(strict_types=1);

namespace AwakeShed\App\Reader;

use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Symfony\Contracts\Cache\CacheInterface;
use Symfony\Contracts\Service\ResetInterface;

/**
 * Writes dates as the reader does. A formatter is slow to make, and so is what a language's pattern is: one formatter takes
 * on pattern after pattern, and the patterns are kept.
 */
final class Dates implements ResetInterface
{
    private const DAY = 'day';
    private const MOMENT = 'moment';

    private ?\IntlDateFormatter $formatter = null;

    /** What the formatter is set to, form and zone: setting either costs more than to write a date. */
    private string $set = '';

    /** @var array<string, string> by form: a day, a moment, or a skeleton of what is asked for */
    private array $patterns = [];

    /** @var array<string, array<int, string>> what was written, by form and zone, and by moment: a plan says the same many times over */
    private array $said = [];

    /** @param CacheInterface $kept how a language writes what is asked for: the same for good */
    public function __construct(private readonly Reader $reader, #[Autowire(service: 'cache.system')] private readonly CacheInterface $kept)
    {
    }

    /** Another request, another reader. */
    public function reset(): void
    {
        $this->formatter = null;
        $this->patterns = $this->said = [];
        $this->set = '';
    }

    /** A bare date has no hour to move: shown in the zone it was written in. */
    public function day(\DateTimeInterface $date): string
    {
        $zone = $date->getTimezone();

        return $this->written($date, self::DAY, false === $zone ? null : $zone);
    }

    /** Day and minute, in the shop's time zone. */
    public function moment(\DateTimeInterface $date): string
    {
        return $this->written($date, self::MOMENT);
    }

    /** The day with that of the week and without the year: of days that are near. */
    public function weekday(\DateTimeInterface $date): string
    {
        return $this->written($date, 'EEEMMMd');
    }

    /** Hour and minute. */
    public function clock(\DateTimeInterface $date): string
    {
        return $this->written($date, 'jm');
    }

    /** Both. */
    public function weekdayClock(\DateTimeInterface $date): string
    {
        return $this->written($date, 'EEEMMMdjm');
    }

    /** @param \DateTimeZone|null $zone the shop's, unless another is named */
    private function written(\DateTimeInterface $date, string $form, ?\DateTimeZone $zone = null): string
    {
        $set = $form.' '.$zone?->getName();
        $said = &$this->said[$set][$date->getTimestamp()];
        if (null === $said) {
            $locale = $this->reader->locale();
            $this->formatter ??= new \IntlDateFormatter($locale, \IntlDateFormatter::MEDIUM, \IntlDateFormatter::SHORT);
            if ($set !== $this->set) {
                $this->formatter->setTimeZone($zone ?? $this->reader->timezone());
                $this->formatter->setPattern($this->patterns[$form] ??= $this->kept->get('dates.'.$locale.'.'.$form, static fn (): string => self::pattern($locale, $form)));
                $this->set = $set;
            }
            $said = (string) $this->formatter->format($date);
        }

        return $said;
    }

    private static function pattern(string $locale, string $form): string
    {
        return (string) match ($form) {
            self::DAY => (new \IntlDateFormatter($locale, \IntlDateFormatter::MEDIUM, \IntlDateFormatter::NONE))->getPattern(),
            self::MOMENT => (new \IntlDateFormatter($locale, \IntlDateFormatter::MEDIUM, \IntlDateFormatter::SHORT))->getPattern(),
            default => (new \IntlDatePatternGenerator($locale))->getBestPattern($form),
        };
    }
}
