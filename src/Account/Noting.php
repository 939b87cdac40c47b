<?php

declare(strict_types=1);

namespace AwakeShed\App\Account;

use AwakeShed\App\Audit\Deed;
use AwakeShed\App\Audit\Trail;
use Symfony\Bundle\SecurityBundle\Security;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Event\ExceptionEvent;
use Symfony\Component\HttpKernel\Event\ResponseEvent;
use Symfony\Component\Security\Core\Exception\AccessDeniedException;

/** Puts on the trail what leaves the shed as a file, and what somebody wanted to do and may not. */
final readonly class Noting
{
    /** Drawings and pictures are looked at; these are taken away. */
    private const TAKEN = '#\A(text/csv|application/json|application/zip)#';

    public function __construct(private Security $security, private Trail $trail)
    {
    }

    #[AsEventListener]
    public function onResponse(ResponseEvent $event): void
    {
        $response = $event->getResponse();
        if ($event->isMainRequest() && Response::HTTP_OK === $response->getStatusCode() && $response->headers->has('Content-Disposition')
            && 1 === preg_match(self::TAKEN, (string) $response->headers->get('Content-Type'))) {
            $this->trail->note($this->who(), Deed::Exported, $event->getRequest()->getPathInfo());
        }
    }

    /** Before the page that says so is made (-64). */
    #[AsEventListener(priority: 32)]
    public function onException(ExceptionEvent $event): void
    {
        $who = $event->getThrowable() instanceof AccessDeniedException ? $this->who() : null;
        if (null !== $who) {
            $this->trail->note($who, Deed::Refused, $event->getRequest()->getMethod().' '.$event->getRequest()->getPathInfo());
        }
    }

    private function who(): ?int
    {
        $member = $this->security->getUser();

        return $member instanceof SessionMember ? $member->getId() : null;
    }
}
