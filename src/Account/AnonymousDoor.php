<?php

declare(strict_types=1);

namespace AwakeShed\App\Account;

use AwakeShed\App\Http\KeptInput;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpFoundation\RedirectResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpKernel\Event\RequestEvent;
use Symfony\Component\Routing\Generator\UrlGeneratorInterface;

/**
 * Sends whoever has no session to the sign-in page before anything is begun for them: no session file, no look into
 * what they sent. Only a form from a device where somebody's session ran out is kept, for that somebody.
 */
final readonly class AnonymousDoor
{
    /** Among the defaults of a route that needs no sign-in: its feature says so itself. */
    public const OPEN = '_open';

    public function __construct(private UrlGeneratorInterface $addresses, private WhoCookie $who, private KeptForms $kept, private KnownSessions $sessions)
    {
    }

    /** After the router (32), before the firewall (8). */
    #[AsEventListener(priority: 10)]
    public function onRequest(RequestEvent $event): void
    {
        $request = $event->getRequest();
        $route = $request->attributes->get('_route');
        // What begins so is Symfony's own, where the shed is worked on.
        if (!$event->isMainRequest() || \is_string($route) && str_starts_with($route, '_') || $request->attributes->getBoolean(self::OPEN) || $this->hasSession($request)) {
            return;
        }
        $event->setResponse($this->toSignIn($request));
    }

    /** @return RedirectResponse that leads back to where they wanted to go */
    public function toSignIn(Request $request): RedirectResponse
    {
        $parameters = [];
        $member = $request->isMethodSafe() ? null : $this->who->read($request);
        if (null !== $member && self::isFromUs($request)) {
            $kept = KeptInput::fromRequest($request);
            if (null !== $kept) {
                $this->kept->keep($member, $kept);
                $parameters = ['kept' => 1];
            }
        } elseif ($request->isMethod('GET') && 'shed' !== $request->attributes->get('_route')) {
            $parameters = ['to' => $request->getPathInfo()];
        }

        return new RedirectResponse($this->addresses->generate('sign_in', $parameters), RedirectResponse::HTTP_SEE_OTHER);
    }

    /** A cookie alone is no session: anybody can send one. */
    private function hasSession(Request $request): bool
    {
        return $request->hasPreviousSession() && $this->sessions->has($request->cookies->getString($request->getSession()->getName()));
    }

    /** Another site must not put words into somebody's next session. */
    private static function isFromUs(Request $request): bool
    {
        return $request->getSchemeAndHttpHost() === $request->headers->get('Origin');
    }
}
