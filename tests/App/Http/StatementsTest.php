<?php

declare(strict_types=1);

namespace AwakeShed\Tests\App\Http;

use AwakeShed\App\Account\Role;
use AwakeShed\App\Evidence\Recorder;
use AwakeShed\App\Job\Job;
use AwakeShed\App\Once\RequestKey;
use AwakeShed\App\Plan\Plans;
use AwakeShed\Core\Carburetor\Move;
use AwakeShed\Core\Carburetor\MoveKind;
use AwakeShed\Core\Evidence\Finding;
use AwakeShed\Tests\App\ShedTestCase;
use Doctrine\DBAL\Connection;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\Routing\RouterInterface;

/** No page asks the database more than nine things, however much there is to show. */
final class StatementsTest extends ShedTestCase
{
    private const MOST = 9;

    /** What gathers a job's money from five books, or a season from what was, is and will be, asks each of them once. */
    private const GATHER = ['/money' => 15, '/sheet' => 15, '/ahead' => 18, '/plan' => 11];

    /** Files of the shop, recordings as they run and what is no page of somebody signed in. */
    private const NOT_PAGES = ['sign_in', 'sign_out', 'welcome', 'lost_password', 'first_owner', 'shop_archive', 'trace_live', 'health', 'photo', 'own_password', 'second_factor', 'recovery_codes', 'shop_export', 'fuel_drawing', 'letter', 'job_paper_pdf'];

    /** @return iterable<string, array{string}> */
    public static function pages(): iterable
    {
        $kernel = self::bootKernel();
        $router = $kernel->getContainer()->get('router');
        self::assertInstanceOf(RouterInterface::class, $router);
        $values = ['job' => '{job}', 'sample' => 'tank', 'room' => 'bowl', 'stage' => 'fuel', 'test' => 'look.oil_level', 'fault' => 'carb.pilot_blocked', 'name' => 'hydrolock', 'kind' => 'needle', 'page' => '', 'since' => '1', 'format' => 'json', 'code' => '', 'bench' => 'carburetor'];
        foreach ($router->getRouteCollection() as $name => $route) {
            /** @var list<string> $variables */
            $variables = $route->compile()->getPathVariables();
            $methods = $route->getMethods();
            if (([] !== $methods && !\in_array('GET', $methods, true)) || \in_array($name, self::NOT_PAGES, true) || str_starts_with($name, '_') || [] !== array_diff($variables, array_keys($values)) || [] !== array_intersect($variables, ['page', 'code'])) {
                continue;
            }
            $address = $route->getPath();
            foreach ($variables as $variable) {
                $address = str_replace(['{'.$variable.'}', '{!'.$variable.'}'], $values[$variable], $address);
            }
            yield $name => [str_replace(['papers/needle', '/plan/{job}/needle'], ['papers/starting_card', '/plan/{job}/proof'], $address)];
        }
        self::ensureKernelShutdown();
    }

    #[DataProvider('pages')]
    public function testNoPageAsksTheDatabaseMuch(string $address): void
    {
        $this->signIn(Role::Owner);
        $job = $this->inTheMiddleOfTheWork();
        $address = str_replace('{job}', (string) $job->getId(), $address);
        if (str_starts_with($address, '/plan') || '/jobs/'.$job->getId() === $address) {
            self::service(Plans::class)->replan();
        }
        self::entities()->clear();
        // What a worker loads once is not what a page costs.
        $this->browser->request('GET', $address);
        self::entities()->clear();
        $before = $this->sent();
        $this->browser->request('GET', $address);
        self::assertLessThan(400, $this->browser->getResponse()->getStatusCode(), $address);
        self::assertLessThanOrEqual(self::GATHER[(string) strrchr($address, '/')] ?? self::MOST, $this->sent() - $before, $address);
    }

    private function sent(): int
    {
        $row = self::service(Connection::class)->fetchNumeric("SHOW SESSION STATUS LIKE 'Questions'");
        self::assertIsArray($row);

        return is_numeric($row[1]) ? (int) $row[1] : self::fail();
    }

    private function inTheMiddleOfTheWork(): Job
    {
        $job = $this->job();
        $this->found($job, Finding::observed('look.oil_level', 'at_mark'), Finding::observed('look.plug', 'dry'));
        $moves = [MoveKind::Begin->move(said: ['type' => 'bowl_brass'])];
        foreach (['filter_base', 'filter_gasket', 'bowl_bolt', 'bowl', 'bowl_gasket'] as $place => $kind) {
            $moves[] = MoveKind::Off->move($place + 1, ['kind' => $kind]);
        }
        foreach ($moves as $move) {
            self::service(Recorder::class)->moved($job, $this->member(Role::Technician), RequestKey::fresh(), static fn (): Move => $move);
        }

        return $job;
    }
}
