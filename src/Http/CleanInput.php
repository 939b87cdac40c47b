<?php

declare(strict_types=1);

namespace AwakeShed\App\Http;

use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
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
        foreach ([$request->query, $request->request] as $bag) {
            if (!mb_check_encoding(serialize($bag->all()), 'UTF-8')) {
                $bag->replace(self::clean($bag->all()));
            }
        }
    }

    /**
     * @param array<mixed> $sent
     *
     * @return array<string, mixed>
     */
    private static function clean(array $sent): array
    {
        $clean = [];
        foreach ($sent as $name => $value) {
            // What lies deeper belongs to a form, which refuses such text by itself and shows where.
            $clean[mb_scrub((string) $name)] = \is_string($value) ? mb_scrub($value) : $value;
        }

        return $clean;
    }
}
