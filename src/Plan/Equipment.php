<?php

declare(strict_types=1);

namespace AwakeShed\App\Plan;

use AwakeShed\App\Belonging\BelongsToShop;
use AwakeShed\App\Belonging\KeyedByShop;
use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;

/** What the shop's people share, and when an engine may be heard; there is one of it for each shop. */
#[ORM\Entity]
class Equipment implements BelongsToShop
{
    use KeyedByShop;

    /** Setting => least and most. */
    public const BOUNDS = ['lifts' => [1, 20], 'bath_places' => [1, 50], 'bath_minutes' => [1, 240], 'pad_since' => [0, 1440], 'pad_until' => [0, 1440], 'latitude' => [-65, 65]];

    #[ORM\Id, ORM\Column(name: 'shop_id')]
    private int $shopId;

    #[ORM\Column(type: Types::SMALLINT)]
    private int $lifts = 1;

    /** Carburetors that go into the bath at once. */
    #[ORM\Column(type: Types::SMALLINT)]
    private int $bathPlaces = 3;

    #[ORM\Column(type: Types::SMALLINT)]
    private int $bathMinutes = 10;

    /** Minutes since midnight between which an engine may run outdoors, as far as there is daylight (common practice; local rules come first). */
    #[ORM\Column(type: Types::SMALLINT)]
    private int $padSince = 540;

    #[ORM\Column(type: Types::SMALLINT)]
    private int $padUntil = 1080;

    #[ORM\Column]
    private bool $runsOnSundays = false;

    /** Degrees north, for the daylight; south is below nothing. */
    #[ORM\Column]
    private int $latitude = 46;

    /** The user's own day for the first snow, which comes before any climate's. */
    #[ORM\Column(type: Types::DATE_IMMUTABLE, nullable: true)]
    private ?\DateTimeImmutable $firstSnow = null;

    /** @param array<key-of<self::BOUNDS>, int> $settings each within its bounds */
    public function set(array $settings, bool $runsOnSundays, ?\DateTimeImmutable $firstSnow): void
    {
        $settings += $this->all();
        $this->lifts = $settings['lifts'];
        $this->bathPlaces = $settings['bath_places'];
        $this->bathMinutes = $settings['bath_minutes'];
        $this->padSince = $settings['pad_since'];
        $this->padUntil = max($settings['pad_since'], $settings['pad_until']);
        $this->latitude = $settings['latitude'];
        $this->runsOnSundays = $runsOnSundays;
        $this->firstSnow = $firstSnow;
    }

    /** @return array{lifts: int, bath_places: int, bath_minutes: int, pad_since: int, pad_until: int, latitude: int} */
    public function all(): array
    {
        return ['lifts' => $this->lifts, 'bath_places' => $this->bathPlaces, 'bath_minutes' => $this->bathMinutes, 'pad_since' => $this->padSince, 'pad_until' => $this->padUntil, 'latitude' => $this->latitude];
    }

    public function runsOnSundays(): bool
    {
        return $this->runsOnSundays;
    }

    public function getFirstSnow(): ?\DateTimeImmutable
    {
        return $this->firstSnow;
    }

    /**
     * When an engine may run outdoors on a day: within the hours, and by daylight.
     *
     * @return array{int, int}|null minutes since midnight; null where it may not
     */
    public function padHours(\DateTimeImmutable $day): ?array
    {
        if (7 === (int) $day->format('N') && !$this->runsOnSundays) {
            return null;
        }
        [$rise, $set] = Daylight::of($day, $this->latitude);
        $since = max($this->padSince, $rise);
        $until = min($this->padUntil, $set);

        return $since < $until ? [$since, $until] : null;
    }
}
