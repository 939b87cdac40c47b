<?php

declare(strict_types=1);

namespace AwakeShed\App\Account;

/** What a browser says of itself, in a few words a person knows their devices by. */
final readonly class Device
{
    private const BROWSERS = ['Edg' => 'Edge', 'OPR' => 'Opera', 'Firefox' => 'Firefox', 'Chrome' => 'Chrome', 'Safari' => 'Safari'];
    private const SYSTEMS = ['Android' => 'Android', 'iPhone' => 'iPhone', 'iPad' => 'iPad', 'Windows' => 'Windows', 'Mac OS' => 'Mac', 'Linux' => 'Linux'];

    private function __construct()
    {
    }

    public static function fromUserAgent(string $agent): string
    {
        return implode(', ', array_filter([self::named(self::BROWSERS, $agent), self::named(self::SYSTEMS, $agent)], is_string(...)));
    }

    /** @param array<string, string> $marks in a browser's own words => what people call it; the first that is there */
    private static function named(array $marks, string $agent): ?string
    {
        foreach ($marks as $mark => $name) {
            if (str_contains($agent, $mark)) {
                return $name;
            }
        }

        return null;
    }
}
