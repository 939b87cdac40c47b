<?php

declare(strict_types=1);

namespace AwakeShed\App\Plan;

use Doctrine\DBAL\Connection;

/** What the last plan says of one more machine; read off its row, of which nothing else is wanted at the desk. */
final readonly class Offers
{
    public function __construct(private Connection $database, private string $shopTimezone)
    {
    }

    /** @return array{half: \DateTimeImmutable, most: \DateTimeImmutable, nearly: \DateTimeImmutable}|null when a machine taken in now would be ready, one, four and nineteen times out of two, five and twenty; null before any plan was made */
    public function last(): ?array
    {
        /** @var array{begins_at: string, odds: string|null}|false $row */
        $row = $this->database->fetchAssociative('SELECT begins_at, JSON_EXTRACT(odds, ?) AS odds FROM plan_version WHERE shop_id = @shop ORDER BY id DESC LIMIT 1', ['$."'.TypicalJob::ID.'"']);
        if (false === $row || null === $row['odds']) {
            return null;
        }
        /** @var array{half: int, most: int, nearly: int} $odds */
        $odds = json_decode($row['odds'], true, flags: \JSON_THROW_ON_ERROR);
        $from = (new \DateTimeImmutable($row['begins_at']))->setTimezone(new \DateTimeZone($this->shopTimezone));
        $after = static fn (int $minutes): \DateTimeImmutable => $from->modify(\sprintf('%+d minutes', $minutes));

        return ['half' => $after($odds['half']), 'most' => $after($odds['most']), 'nearly' => $after($odds['nearly'])];
    }
}
