<?php

declare(strict_types=1);

namespace AwakeShed\App\Account;

use AwakeShed\App\Audit\Deed;
use AwakeShed\App\Audit\Trail;
use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;
use Symfony\Bundle\SecurityBundle\Security;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpKernel\Event\TerminateEvent;
use Symfony\Component\Security\Http\Authenticator\Passport\Badge\UserBadge;
use Symfony\Component\Security\Http\Event\LoginFailureEvent;
use Symfony\Component\Security\Http\Event\LoginSuccessEvent;
use Symfony\Component\Security\Http\Event\LogoutEvent;
use Symfony\Component\Security\Http\SecurityRequestAttributes;

/** Opens a session of a person's own at sign-in, notes now and then that it is used, and ends it at sign-out. */
final readonly class SessionKeeper
{
    /** s between two notes that a session is in use. */
    private const NOTED_EVERY = 300;

    public function __construct(
        private EntityManagerInterface $entities,
        private OpenSessionRepository $sessions,
        private KeptForms $kept,
        private Trail $trail,
        private ClockInterface $clock,
        private Security $security,
    ) {
    }

    #[AsEventListener(priority: 16)]
    public function onSignIn(LoginSuccessEvent $event): void
    {
        $member = $event->getUser();
        if (!$member instanceof Member) {
            return;
        }
        $this->open($member, $event->getRequest());
        $this->trail->note($member->getId(), Deed::SignedIn, $member->getName());
    }

    #[AsEventListener]
    public function onRefusal(LoginFailureEvent $event): void
    {
        // The name is noted there for a page of its own; ours is shown at once, and a refused stranger gets no session.
        $event->getRequest()->getSession()->remove(SecurityRequestAttributes::LAST_USERNAME);
        $badge = $event->getPassport()?->getBadge(UserBadge::class);
        $this->trail->note(null, Deed::SignInRefused, $badge instanceof UserBadge ? $badge->getUserIdentifier() : '');
    }

    #[AsEventListener]
    public function onSignOut(LogoutEvent $event): void
    {
        $user = $event->getToken()?->getUser();
        $member = $user instanceof SessionMember ? $this->entities->find(Member::class, $user->getId()) : null;
        if (null === $member || !$user instanceof SessionMember) {
            return;
        }
        $this->sessions->end($member, $this->clock->now(), only: $user->getSession());
        $this->kept->wipe($member);
        $this->trail->note($member->getId(), Deed::SignedOut, $member->getName());
        $response = $event->getResponse();
        if (null !== $response) {
            // Drafts and whatever else this device kept for the one who leaves it.
            $response->headers->set('Clear-Site-Data', '"storage"');
            WhoCookie::clear($response);
        }
    }

    #[AsEventListener]
    public function onTerminate(TerminateEvent $event): void
    {
        $member = $event->getRequest()->attributes->has('_firewall_context') ? $this->security->getUser() : null;
        $now = $this->clock->now();
        if ($member instanceof SessionMember && $now->getTimestamp() - $member->getSeenAt()->getTimestamp() >= self::NOTED_EVERY) {
            $this->sessions->seen($member->getSession(), $now);
        }
    }

    public function open(Member $member, Request $request): OpenSession
    {
        $session = new OpenSession($member, Device::fromUserAgent((string) $request->headers->get('User-Agent')), $this->clock->now());
        $this->entities->persist($session);
        $this->entities->flush();
        $member->inSession($session->getId());

        return $session;
    }
}
