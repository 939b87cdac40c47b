<?php

declare(strict_types=1);

namespace AwakeShed\App\Http;

use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpKernel\Event\ResponseEvent;

/** Says to the browser, with every page, that nothing from elsewhere and nothing inline is to be run or loaded. */
final class ResponseHeaders
{
    private const POLICY = "default-src 'none'; script-src 'self'; style-src 'self'; img-src 'self' blob:; font-src 'self'; "
        ."connect-src 'self'; manifest-src 'self'; worker-src 'self'; form-action 'self'; frame-ancestors 'none'; base-uri 'none'";

    /** On a request whose session could not be read: whoever sent it keeps it. */
    public const SAME_SESSION = '_same_session';

    #[AsEventListener]
    public function onResponse(ResponseEvent $event): void
    {
        if (!$event->isMainRequest()) {
            return;
        }
        $headers = $event->getResponse()->headers;
        $headers->set('Content-Security-Policy', self::POLICY);
        $headers->set('X-Content-Type-Options', 'nosniff');
        $headers->set('X-Frame-Options', 'DENY');
        // What is stricter by itself stays so.
        $headers->set('Referrer-Policy', 'no-referrer' === $headers->get('Referrer-Policy') ? 'no-referrer' : 'same-origin');
        $headers->set('Permissions-Policy', 'camera=(), microphone=(self), geolocation=()');
        $headers->set('Cross-Origin-Opener-Policy', 'same-origin');
        if (!$headers->has('X-Keep-Cache-Control')) {
            // What one person sees is not for a shared cache or the next person at the tablet.
            $headers->set('Cache-Control', 'private, no-store');
        }
        $headers->remove('X-Keep-Cache-Control');
    }

    /** After the session has written its cookie (-1000), or taken back that of one it found empty. */
    #[AsEventListener(priority: -1024)]
    public function keepSession(ResponseEvent $event): void
    {
        $request = $event->getRequest();
        if ($request->attributes->has(self::SAME_SESSION)) {
            $event->getResponse()->headers->removeCookie($request->getSession()->getName());
        }
    }
}
