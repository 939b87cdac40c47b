<?php

declare(strict_types=1);

namespace AwakeShed\App\Account;

use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Symfony\Component\HttpFoundation\Cookie;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;

/**
 * Says whose device this was when its session ran out, so that a form sent late is kept for that person and for nobody
 * else. It opens nothing by itself.
 */
final readonly class WhoCookie
{
    private const NAME = 'shed_who';
    private const DAYS = 60;

    private string $key;

    public function __construct(#[Autowire('%kernel.secret%')] #[\SensitiveParameter] string $secret)
    {
        $this->key = hash_hkdf('sha256', $secret, 32, 'awake-shed who cookie');
    }

    public function give(Response $response, Member $member, Request $request): void
    {
        $id = (string) $member->getId();
        $response->headers->setCookie(Cookie::create(self::NAME, $id.'.'.$this->mark($id), time() + self::DAYS * 86400, '/', null, $request->isSecure(), true, false, Cookie::SAMESITE_LAX));
    }

    public static function clear(Response $response): void
    {
        $response->headers->clearCookie(self::NAME);
    }

    /** @return int|null number of the person; null when nobody's, or not made here */
    public function read(Request $request): ?int
    {
        [$id, $mark] = [...explode('.', $request->cookies->getString(self::NAME), 2), ''];

        return ctype_digit($id) && hash_equals($this->mark($id), $mark) ? (int) $id : null;
    }

    private function mark(string $id): string
    {
        return hash_hmac('sha256', $id, $this->key);
    }
}
