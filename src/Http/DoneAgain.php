<?php

declare(strict_types=1);

namespace AwakeShed\App\Http;

use Doctrine\DBAL\Exception\DeadlockException;
use Symfony\Component\DependencyInjection\Attribute\AsDecorator;
use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\DependencyInjection\ServicesResetterInterface;
use Symfony\Component\HttpKernel\Event\ExceptionEvent;
use Symfony\Component\HttpKernel\HttpKernelInterface;
use Symfony\Component\HttpKernel\TerminableInterface;

/**
 * A request that lost against another is handled once more, from its beginning and with nothing in memory: of two that
 * write the same row on two nodes of the database, the one whose commit comes second is undone, as is one of two that
 * wait for each other on one. What it was about to change did not happen, and what it had changed before goes by its
 * request key. Where there are several nodes, one that died in the middle is a reason too: the next answers instead.
 */
#[AsDecorator('http_kernel')]
final readonly class DoneAgain implements HttpKernelInterface, TerminableInterface
{
    /** Handlings of one request in all that lose against others. */
    private const TRIES = 6;

    /** Of the pauses, ms: one that lost waits a random part of it, longer each time. */
    private const PAUSE = 30;

    /** ms until another node of the database is asked for. */
    private const NEXT_NODE = 250;

    private const HANDLINGS = '_handlings';

    /**
     * @param HttpKernelInterface&TerminableInterface $kernel
     * @param float                                   $patience s in which another node of the database answers; 0 where there is none
     */
    public function __construct(
        private HttpKernelInterface $kernel,
        private ServicesResetterInterface $services,
        #[Autowire('%env(float:SHED_DB_PATIENCE)%')]
        private float $patience,
    ) {
    }

    public function handle(Request $request, int $type = self::MAIN_REQUEST, bool $catch = true): Response
    {
        $now = $request;
        while (true) {
            try {
                return $this->kernel->handle($now, $type, $catch);
            } catch (TryAgain $again) {
                $handlings = $now->attributes->getInt(self::HANDLINGS) + 1;
                usleep(1000 * $again->milliseconds);
                $this->services->reset();
                $now = self::anew($request, $handlings);
            }
        }
    }

    public function terminate(Request $request, Response $response): void
    {
        $this->kernel->terminate($request, $response);
    }

    /** Before anybody makes a page of the failure. */
    #[AsEventListener(priority: 4096)]
    public function onException(ExceptionEvent $event): void
    {
        $failure = $event->getThrowable();
        $handlings = 1 + $event->getRequest()->attributes->getInt(self::HANDLINGS);
        $pause = match (true) {
            !$event->isMainRequest() => null,
            self::lost($failure) => $handlings < self::TRIES ? random_int(self::PAUSE, 2 * self::PAUSE * $handlings) : null,
            $this->patience > 0.0 && Outage::Database === Outage::in($failure) && self::isTheSameTwice($event->getRequest()) => $handlings * self::NEXT_NODE < 1000 * $this->patience ? self::NEXT_NODE : null,
            default => null,
        };
        if (null !== $pause) {
            throw new TryAgain($failure, $pause);
        }
    }

    /** As it came in: not even the session it had opened, which may be on the connection that died. */
    private static function anew(Request $request, int $handlings): Request
    {
        return new Request($request->query->all(), $request->request->all(), [self::HANDLINGS => $handlings], $request->cookies->all(), $request->files->all(), $request->server->all(), $request->getContent());
    }

    private static function lost(\Throwable $failure): bool
    {
        foreach (Outage::causes($failure) as $cause) {
            if ($cause instanceof DeadlockException) {
                return true;
            }
        }

        return false;
    }

    /** Whether it may have been done already without being done twice now: it only reads, signs in, or carries a request key. */
    private static function isTheSameTwice(Request $request): bool
    {
        return $request->isMethodSafe() || 'sign_in' === $request->attributes->get('_route') || str_contains(http_build_query($request->request->all()), 'request_key');
    }
}
