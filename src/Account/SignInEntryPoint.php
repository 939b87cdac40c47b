<?php

declare(strict_types=1);

namespace AwakeShed\App\Account;

use Symfony\Component\HttpFoundation\RedirectResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\Security\Core\Exception\AuthenticationException;
use Symfony\Component\Security\Http\EntryPoint\AuthenticationEntryPointInterface;

/** Leads to the sign-in page whoever's session has ended, and keeps a form they had sent. */
final readonly class SignInEntryPoint implements AuthenticationEntryPointInterface
{
    public function __construct(private AnonymousDoor $door)
    {
    }

    public function start(Request $request, ?AuthenticationException $authException = null): RedirectResponse
    {
        // The firewall notes in the session where they wanted to go, and would make one for it; the address says it.
        $request->getSession()->invalidate();

        return $this->door->toSignIn($request);
    }
}
