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

    public static function of(string $agent): string
    {
        $named = static function (array $marks) use ($agent): ?string {
            foreach ($marks as $mark => $name) {
                if (str_contains($agent, $mark)) {
                    return $name;
                }
            }

            return null;
        };

        return implode(', ', array_filter([$named(self::BROWSERS), $named(self::SYSTEMS)]));
    }
}
