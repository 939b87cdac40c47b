<?php

declare(strict_types=1);

namespace AwakeShed\Tests\App\Http;

use AwakeShed\App\Http\DoneAgain;
use AwakeShed\Tests\App\ShedTestCase;
use Doctrine\DBAL\Driver\PDO\Exception as DriverException;
use Doctrine\DBAL\Exception\ConnectionLost;
use Doctrine\DBAL\Exception\DeadlockException;
use Symfony\Component\EventDispatcher\EventDispatcherInterface;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\DependencyInjection\ServicesResetterInterface;
use Symfony\Component\HttpKernel\Event\ControllerEvent;
use Symfony\Component\HttpKernel\Event\ExceptionEvent;
use Symfony\Component\HttpKernel\HttpKernelInterface;
use Symfony\Component\HttpKernel\KernelEvents;
use Symfony\Component\HttpKernel\TerminableInterface;

final class DoneAgainTest extends ShedTestCase
{
    private int $handled = 0;
    private int $forgotten = 0;
    private ?DoneAgain $again = null;

    public function testWhatLostIsDoneAgainFromItsBeginning(): void
    {
        [$again, $response] = $this->handled(self::deadlock(), times: 3);
        self::assertSame(200, $response?->getStatusCode());
        self::assertSame(4, $this->handled);
        self::assertSame(3, $this->forgotten, 'Nothing of a handling that lost may be left in memory.');
    }

    public function testWhatLosesOnAndOnIsSaidSo(): void
    {
        [$failure] = $this->handled(self::deadlock(), times: 100);
        self::assertInstanceOf(DeadlockException::class, $failure);
        self::assertSame(6, $this->handled);
    }

    public function testADatabaseThatIsGoneIsWaitedForOnlyWhereThereIsAnother(): void
    {
        self::assertInstanceOf(ConnectionLost::class, $this->handled(self::gone(), times: 1)[0]);
        self::assertSame(1, $this->handled);
        self::assertSame(200, $this->handled(self::gone(), times: 1, patience: 3.0)[1]?->getStatusCode());
        self::assertSame(2, $this->handled);
    }

    public function testWhatMayHaveBeenDoneIsOnlyDoneAgainWhereItIsKnownByItsKey(): void
    {
        $post = Request::create('/somewhere', 'POST', ['count' => '1']);
        self::assertInstanceOf(ConnectionLost::class, $this->handled(self::gone(), times: 1, patience: 3.0, request: $post)[0]);
        self::assertSame(1, $this->handled);
        $keyed = Request::create('/somewhere', 'POST', ['form' => ['request_key' => 'a', 'count' => '1']]);
        self::assertSame(200, $this->handled(self::gone(), times: 1, patience: 3.0, request: $keyed)[1]?->getStatusCode());
    }

    public function testAFailureOfAnotherKindIsLeftToItsPage(): void
    {
        self::assertInstanceOf(\DomainException::class, $this->handled(new \DomainException('no'), times: 1, patience: 3.0)[0]);
        self::assertSame(1, $this->handled);
    }

    /** As a browser sees it: the finding is there once, and its page follows. */
    public function testAFindingThatLostIsRecordedOnce(): void
    {
        // Else the next request would begin with listeners of its own.
        $this->browser->disableReboot();
        $this->signIn();
        $job = $this->job();
        $token = $this->token();
        $lost = 0;
        self::service(EventDispatcherInterface::class)->addListener(KernelEvents::CONTROLLER, static function (ControllerEvent $event) use (&$lost): void {
            if ($event->isMainRequest() && $event->getRequest()->isMethod('POST') && $lost++ < 2) {
                throw self::deadlock();
            }
        });
        $key = '0191d3c0-7a1e-7c3a-9b1e-1f1f1f1f1f1f';
        $this->browser->request('POST', '/jobs/'.$job->getId().'/findings', ['test' => 'look.oil_smell', 'outcome' => 'gas', 'back' => 'history', '_token' => $token, 'request_key' => $key]);
        self::assertSame(3, $lost);
        self::assertResponseStatusCodeSame(303);
        $this->browser->followRedirect();
        self::assertResponseIsSuccessful();
        self::assertCount(1, $this->record($this->again($job))->entries);
    }

    /** @return array{\Throwable|null, Response|null} */
    private function handled(\Throwable $failure, int $times, float $patience = 0.0, ?Request $request = null): array
    {
        $this->handled = $this->forgotten = 0;
        $kernel = new class($this->fails($failure, $times)) implements HttpKernelInterface, TerminableInterface {
            /** @param \Closure(HttpKernelInterface, Request): Response $handle */
            public function __construct(private readonly \Closure $handle)
            {
            }

            public function handle(Request $request, int $type = self::MAIN_REQUEST, bool $catch = true): Response
            {
                return ($this->handle)($this, $request);
            }

            public function terminate(Request $request, Response $response): void
            {
            }
        };
        $services = new class(function (): void {
            ++$this->forgotten;
        }) implements ServicesResetterInterface {
            /** @param \Closure(): void $reset */
            public function __construct(private readonly \Closure $reset)
            {
            }

            public function reset(): void
            {
                ($this->reset)();
            }
        };
        $this->again = new DoneAgain($kernel, $services, $patience);
        try {
            return [null, $this->again->handle($request ?? Request::create('/somewhere'))];
        } catch (DeadlockException|ConnectionLost|\DomainException $failed) {
            return [$failed, null];
        }
    }

    /** @return \Closure(HttpKernelInterface, Request): Response as Symfony's kernel does it: listeners are told of a failure, and what they leave comes out */
    private function fails(\Throwable $failure, int $times): \Closure
    {
        return function (HttpKernelInterface $kernel, Request $request) use ($failure, $times): Response {
            self::assertFalse($request->attributes->has('_controller'), 'Nothing an earlier handling noted is taken over.');
            $request->attributes->set('_controller', 'somebody');
            if (++$this->handled <= $times) {
                $this->again?->onException(new ExceptionEvent($kernel, $request, HttpKernelInterface::MAIN_REQUEST, $failure));

                throw $failure;
            }

            return new Response('done');
        };
    }

    private static function deadlock(): DeadlockException
    {
        return new DeadlockException(DriverException::new(new \PDOException('Deadlock found when trying to get lock', 1213)), null);
    }

    private static function gone(): ConnectionLost
    {
        return new ConnectionLost(DriverException::new(new \PDOException('MySQL server has gone away', 2006)), null);
    }
}
