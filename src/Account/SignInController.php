<?php

declare(strict_types=1);

namespace AwakeShed\App\Account;

use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\RequestStack;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\RateLimiter\RateLimiterFactoryInterface;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Core\Exception\AuthenticationException;
use Symfony\Component\Security\Http\Attribute\IsCsrfTokenValid;
use Symfony\Component\Security\Http\SecurityRequestAttributes;

/** The pages before the door. None of them begins a session. */
final class SignInController extends AbstractController
{
    /** Refused sign-ins are forwarded here with their reason. */
    #[Route('/sign-in', name: 'sign_in', defaults: [AnonymousDoor::OPEN => '1'], methods: ['GET', 'POST'])]
    public function signIn(Request $request, RequestStack $requests, Shops $shops, MemberRepository $members): Response
    {
        if (null !== $this->getUser()) {
            return $this->redirectToRoute('shed');
        }
        $error = $request->attributes->get(SecurityRequestAttributes::AUTHENTICATION_ERROR);
        // What was sent is with the request that was refused; this one only shows the page, and must not read its body.
        $sent = $requests->getMainRequest()->request ?? $request->request;
        $to = $request->query->getString('to', $sent->getString('_target_path'));

        return $this->render('account/sign_in.html.twig', [
            'error' => $error instanceof AuthenticationException ? $error : null,
            'last_name' => $sent->getString('name'),
            // A place of ours only: two slashes, or one turned about, would name another host.
            'to' => 1 === preg_match('#\A/(?![/\\\\])[^\x00-\x1F\\\\]*\z#', $to) ? $to : '',
            'is_kept' => $request->query->has('kept'),
            'is_demo' => true === $shops->only()?->isDemo(),
            'is_empty' => !$members->hasAnybody(),
        ], new Response(status: null === $error ? Response::HTTP_OK : Response::HTTP_UNPROCESSABLE_ENTITY));
    }

    /** Says the same to everybody, in the same time; what happens, happens after the answer. */
    #[Route('/lost-password', name: 'lost_password', defaults: [AnonymousDoor::OPEN => '1'], methods: ['GET', 'POST'])]
    #[IsCsrfTokenValid('authenticate', methods: ['POST'])]
    public function lost(Request $request, LostPassword $lost, RateLimiterFactoryInterface $lostPasswordLimiter): Response
    {
        $isAsked = $request->isMethod('POST');
        if ($isAsked) {
            $name = mb_substr($request->getPayload()->getString('name'), 0, Member::LONGEST_NAME);
            // For one name as for one address: else a mailbox could be filled from many.
            if ($lostPasswordLimiter->create('from '.$request->getClientIp())->consume()->isAccepted() && $lostPasswordLimiter->create('for '.SignInName::fromTyped($name))->consume()->isAccepted()) {
                $lost->ask($name);
            }
        }

        return $this->render('account/lost_password.html.twig', ['is_asked' => $isAsked]);
    }

    /** The firewall answers before this is reached. */
    #[Route('/sign-out', name: 'sign_out', methods: ['POST'])]
    public function signOut(): never
    {
        throw new \LogicException('The firewall signs people out.');
    }
}
