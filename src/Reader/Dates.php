<?php

declare(strict_types=1);

namespace AwakeShed\App\Reader;

use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Symfony\Contracts\Cache\CacheInterface;
use Symfony\Contracts\Service\ResetInterface;

/** Writes dates as the reader does. Formatters are slow to make, so each is made once a request. */
final class Dates implements ResetInterface
{
    /** In the shop's time zone; it takes on one pattern after another, a thousandth of what another formatter costs. */
    private ?\IntlDateFormatter $formatter = null;

    /** Of day and minute. */
    private string $moments = '';

    /** @var array<string, string> by skeleton */
    private array $near = [];

    /** @var array<string, array<int, string>> what was written, by skeleton and moment */
    private array $said = [];

    /** @var array<string, \IntlDateFormatter> by time zone */
    private array $days = [];

    /** @param CacheInterface $patterns how a language writes what is asked for: slow to find out, and the same for good */
    public function __construct(private readonly Reader $reader, #[Autowire(service: 'cache.system')] private readonly CacheInterface $patterns)
    {
    }

    /** Another request, another reader. */
    public function reset(): void
    {
        $this->formatter = null;
        $this->moments = '';
        $this->near = $this->said = $this->days = [];
    }

    /** A bare date has no hour to move: shown in the zone it was written in. */
    public function day(\DateTimeInterface $date): string
    {
        $zone = $date->getTimezone();
        $formatter = $this->days[false === $zone ? '' : $zone->getName()]
            ??= new \IntlDateFormatter($this->reader->locale(), \IntlDateFormatter::MEDIUM, \IntlDateFormatter::NONE, $zone);

        return (string) $formatter->format($date);
    }

    /** Day and minute, in the shop's time zone. */
    public function moment(\DateTimeInterface $date): string
    {
        $formatter = $this->formatter();
        $formatter->setPattern($this->moments);

        return (string) $formatter->format($date);
    }

    /** The day with that of the week and without the year: of days that are near. */
    public function weekday(\DateTimeInterface $date): string
    {
        return $this->near($date, 'EEEMMMd');
    }

    /** Hour and minute. */
    public function clock(\DateTimeInterface $date): string
    {
        return $this->near($date, 'jm');
    }

    /** Both. */
    public function weekdayClock(\DateTimeInterface $date): string
    {
        return $this->near($date, 'EEEMMMdjm');
    }

    private function near(\DateTimeInterface $date, string $skeleton): string
    {
        // A plan says the same moment many times over.
        return $this->said[$skeleton][$date->getTimestamp()] ??= $this->written($date, $skeleton);
    }

    private function written(\DateTimeInterface $date, string $skeleton): string
    {
        $locale = $this->reader->locale();
        $formatter = $this->formatter();
        $formatter->setPattern($this->near[$skeleton] ??= $this->patterns->get('dates.'.$locale.'.'.$skeleton, static fn (): string => (string) (new \IntlDatePatternGenerator($locale))->getBestPattern($skeleton)));

        return (string) $formatter->format($date);
    }

    private function formatter(): \IntlDateFormatter
    {
        if (null === $this->formatter) {
            $this->formatter = new \IntlDateFormatter($this->reader->locale(), \IntlDateFormatter::MEDIUM, \IntlDateFormatter::SHORT, $this->reader->timezone());
            $this->moments = (string) $this->formatter->getPattern();
        }

        return $this->formatter;
    }
}
