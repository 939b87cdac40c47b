<?php

declare(strict_types=1);

namespace AwakeShed\App\Http;

use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpFoundation\InputBag;
use Symfony\Component\HttpKernel\Event\RequestEvent;

/**
 * Lets no text past the door that is not UTF-8: it can be neither shown, nor stored, nor compared. What cannot be read
 * in it is replaced by a mark, so that whoever sent it sees where.
 */
final class CleanInput
{
    #[AsEventListener(priority: 512)]
    public function onRequest(RequestEvent $event): void
    {
        if (!$event->isMainRequest()) {
            return;
        }
        $request = $event->getRequest();
        self::clean($request->query);
        self::clean($request->request);
    }

    /** @param InputBag<string|int|float|bool> $bag */
    private static function clean(InputBag $bag): void
    {
        $sent = $bag->all();
        if (mb_check_encoding($sent, 'UTF-8')) {
            return;
        }
        $clean = [];
        foreach ($sent as $name => $value) {
            // What lies deeper belongs to a form, which refuses such text by itself and shows where.
            $clean[mb_scrub((string) $name)] = \is_string($value) ? mb_scrub($value) : $value;
        }
        $bag->replace($clean);
    }
}
