<?php

declare(strict_types=1);

namespace AwakeShed\App\Account;

use AwakeShed\App\Http\KeptInput;
use Symfony\Component\HttpFoundation\RedirectResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\Routing\Generator\UrlGeneratorInterface;
use Symfony\Component\Security\Core\Exception\AuthenticationException;
use Symfony\Component\Security\Http\EntryPoint\AuthenticationEntryPointInterface;

/** Leads to the sign-in page, and keeps a form that was sent after its session had run out. */
final readonly class SignInEntryPoint implements AuthenticationEntryPointInterface
{
    public const KEPT = 'kept_input';

    public function __construct(private UrlGeneratorInterface $addresses)
    {
    }

    public function start(Request $request, ?AuthenticationException $authException = null): RedirectResponse
    {
        // Only what one of our own pages sent: another site must not put words into somebody's next session.
        $kept = $this->isFromUs($request) ? KeptInput::of($request) : null;
        if (null !== $kept) {
            $request->getSession()->set(self::KEPT, $kept);
        }

        return new RedirectResponse($this->addresses->generate('sign_in'), RedirectResponse::HTTP_SEE_OTHER);
    }

    private function isFromUs(Request $request): bool
    {
        return $request->getSchemeAndHttpHost() === $request->headers->get('Origin');
    }
}
