<?php

declare(strict_types=1);

namespace AwakeShed\Tests\App\Http;

use AwakeShed\App\Http\KeptInput;
use AwakeShed\App\Job\JobRepository;
use AwakeShed\Core\Evidence\Finding;
use AwakeShed\Tests\App\ShedTestCase;
use Doctrine\DBAL\Connection;
use Doctrine\DBAL\Driver\PDO\Exception as DriverException;
use Doctrine\DBAL\Exception\ConnectionException;
use Symfony\Bundle\FrameworkBundle\Console\Application;
use Symfony\Component\Console\Tester\CommandTester;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\RequestStack;
use Symfony\Component\HttpFoundation\Session\Session;
use Symfony\Component\HttpFoundation\Session\Storage\MockArraySessionStorage;
use Symfony\Component\HttpKernel\Event\ExceptionEvent;
use Symfony\Component\HttpKernel\HttpKernelInterface;
use Symfony\Component\HttpKernel\KernelEvents;
use Symfony\Contracts\EventDispatcher\EventDispatcherInterface;

final class PagesTest extends ShedTestCase
{
    public function testEveryPageForbidsWhatIsInlineOrFromElsewhere(): void
    {
        $this->signIn();
        $job = $this->job();
        foreach (['/', '/take-in', '/jobs/'.$job->getId(), '/jobs/'.$job->getId().'/gates', '/jobs/'.$job->getId().'/fuel/tank', '/me', '/nowhere'] as $address) {
            $this->browser->request('GET', $address);
            $policy = (string) $this->browser->getResponse()->headers->get('Content-Security-Policy');
            self::assertStringContainsString("default-src 'none'", $policy);
            self::assertStringNotContainsString('unsafe', $policy);
            $html = (string) $this->browser->getResponse()->getContent();
            self::assertDoesNotMatchRegularExpression('/<style|<script(?![^>]*src=)|\sstyle="|\son[a-z]+="|javascript:/i', $html, $address);
            self::assertDoesNotMatchRegularExpression('#(src|href|action)="(https?:)?//#', $html, $address);
        }
    }

    public function testPagesTakeFewQueriesHoweverMuchThereIs(): void
    {
        $this->signIn();
        $job = $this->job();
        // What a worker loads once is not what a page costs.
        $this->queries('/jobs/'.$job->getId());
        $few = $this->queries('/jobs/'.$job->getId());
        $fewShed = $this->queries('/');
        $job = $this->again($job);
        $this->found($job, Finding::observed('look.oil_level', 'at_mark'));
        for ($n = 0; $n < 12; ++$n) {
            $this->found($job, Finding::observed('look.oil_colour', 0 === $n % 2 ? 'dark' : 'clean'));
            $this->job(label: "Machine $n");
        }
        self::assertSame($few, $this->queries('/jobs/'.$job->getId()));
        self::assertSame($fewShed, $this->queries('/'));
        self::assertLessThanOrEqual(9, max($few, $fewShed, $this->queries('/jobs/'.$job->getId().'/gates'), $this->queries('/jobs/'.$job->getId().'/fuel/tank'), $this->queries('/jobs/'.$job->getId().'/history')));
    }

    public function testADatabaseThatIsDownIsSaidSoAndTheFormIsKept(): void
    {
        $request = Request::create('/jobs/3/fuel/tank/read/age', 'POST', ['age' => ['age' => '<30>', '_token' => 'secret-token', 'request_key' => 'k'], 'password' => 'never shown']);
        $event = new ExceptionEvent(self::$kernel ?? self::fail(), $request, HttpKernelInterface::MAIN_REQUEST, new ConnectionException(DriverException::new(new \PDOException('gone')), null));
        $dispatcher = self::getContainer()->get('event_dispatcher');
        self::assertInstanceOf(EventDispatcherInterface::class, $dispatcher);
        $request->setSession(new Session(new MockArraySessionStorage()));
        self::service(RequestStack::class)->push($request);
        $dispatcher->dispatch($event, KernelEvents::EXCEPTION);
        self::assertSame(503, $event->getResponse()?->getStatusCode());
        $html = (string) $event->getResponse()->getContent();
        self::assertStringContainsString('The database does not answer', $html);
        self::assertStringContainsString('name="age[age]" value="&lt;30&gt;"', $html);
        self::assertStringContainsString('name="age[_token]"', $html);
        self::assertStringNotContainsString('secret-token', $html);
        self::assertStringNotContainsString('never shown', $html);
        self::assertStringNotContainsString('PDOException', $html);
    }

    public function testWhatIsKeptIsBounded(): void
    {
        $sent = static fn (int $bytes): Request => Request::create('/x', 'POST', ['text' => str_repeat('x', $bytes - \strlen('text='))]);
        self::assertNotNull(KeptInput::fromRequest($sent(100_000)));
        self::assertNull(KeptInput::fromRequest($sent(100_001)));
        self::assertNull(KeptInput::fromRequest(Request::create('/x', 'GET', ['text' => 'x'])));
        self::assertNull(KeptInput::fromRequest(Request::create('/x', 'POST', [])));
        self::assertSame('/elsewhere.example/x', KeptInput::fromRequest(Request::create('http://localhost//elsewhere.example/x', 'POST', ['a' => 'b']))?->path);
    }

    public function testAHandedBackMachineIsReadNotWrittenUntilTakenBack(): void
    {
        $this->signIn();
        $job = $this->job();
        $this->post('/jobs/'.$job->getId().'/hand-back', []);
        self::assertResponseStatusCodeSame(422, 'nothing of it is shown, and nobody has said why');
        self::assertFalse($this->again($job)->isHandedBack());
        $this->post('/jobs/'.$job->getId().'/hand-back', ['reason' => 'The owner fetched it']);
        self::assertTrue($this->again($job)->isHandedBack());
        $this->post('/jobs/'.$job->getId().'/findings', ['test' => 'look.oil_colour', 'outcome' => 'dark']);
        self::assertResponseStatusCodeSame(409);
        $this->assertSays('This machine was handed back');
        $this->browser->request('GET', '/?stand=handed_back');
        $this->assertSays('Heronbill test mower');
        $this->post('/jobs/'.$job->getId().'/hand-back', []);
        self::assertFalse($this->again($job)->isHandedBack());
    }

    public function testAllJobsCanBeWorkedOutAnew(): void
    {
        $job = $this->job();
        $this->found($job, Finding::observed('look.oil_smell', 'gas'));
        self::service(Connection::class)->executeStatement("UPDATE job SET stand = 'proving', waits_for = 'nonsense'");
        self::entities()->clear();
        $command = (new Application(self::$kernel ?? self::fail()))->find('shed:recompute');
        (new CommandTester($command))->execute(['--open' => true]);
        self::entities()->clear();
        self::assertSame('hold.gas_in_oil', self::service(JobRepository::class)->withMachine($job->getId())?->getWaitsFor());
    }

    private function queries(string $address): int
    {
        self::entities()->clear();
        $before = $this->sent();
        $this->browser->request('GET', $address);
        self::assertResponseIsSuccessful();

        return $this->sent() - $before;
    }

    /** Statements this connection has sent, as the server counts them. */
    private function sent(): int
    {
        $row = self::service(Connection::class)->fetchNumeric("SHOW SESSION STATUS LIKE 'Questions'");
        self::assertIsArray($row);

        return is_numeric($row[1]) ? (int) $row[1] : self::fail();
    }
}
