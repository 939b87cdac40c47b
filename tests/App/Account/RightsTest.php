<?php

declare(strict_types=1);

namespace AwakeShed\Tests\App\Account;

use AwakeShed\App\Account\Rights;
use AwakeShed\App\Account\Role;
use AwakeShed\App\Carburetor\WantedPart;
use AwakeShed\App\Device\Gauge\TraceKind;
use AwakeShed\App\Job\Job;
use AwakeShed\App\Life\LifeNote;
use AwakeShed\App\Life\LifeTopic;
use AwakeShed\App\Money\Charge;
use AwakeShed\App\Money\Estimate;
use AwakeShed\App\Oil\Oil;
use AwakeShed\App\Photo\Photo;
use AwakeShed\App\Plan\Absence;
use AwakeShed\App\Plan\PartOfDay;
use AwakeShed\App\Sheet\SentSheet;
use AwakeShed\App\Sheet\SheetKind;
use AwakeShed\App\Shelf\PartCondition;
use AwakeShed\App\Shelf\ShelfPart;
use AwakeShed\App\Spec\SpecPage;
use AwakeShed\App\Trace\Trace;
use AwakeShed\App\Wait\Wait;
use AwakeShed\App\Wait\WaitKind;
use AwakeShed\App\Waste\WasteCan;
use AwakeShed\App\Waste\WastePortion;
use AwakeShed\Core\Evidence\Finding;
use AwakeShed\Core\Fuel\WasteStream;
use AwakeShed\Core\Money\BillLine;
use AwakeShed\Core\Money\LineKind;
use AwakeShed\Core\Units\Money;
use AwakeShed\Core\Units\Volume;
use AwakeShed\Tests\App\ShedTestCase;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\Routing\Route;
use Symfony\Component\Routing\RouteCollection;
use Symfony\Component\Routing\RouterInterface;

/** Every change the shed knows, as every role, of one's own thing and of another's: what the page on roles says is so. */
final class RightsTest extends ShedTestCase
{
    /** Read once: they are the same for all of these tests. */
    private static ?RouteCollection $routes = null;

    /** They belong to nobody's role: before the sign-in, or the sign-in itself. */
    private const BEFORE = ['sign_in', 'lost_password', 'welcome', 'first_owner'];

    public function testTheTableNamesEveryChangeAndNothingElse(): void
    {
        $changes = [];
        foreach (self::service(RouterInterface::class)->getRouteCollection() as $name => $route) {
            if (\in_array('POST', $route->getMethods(), true) && !\in_array($name, self::BEFORE, true)) {
                $changes[] = $name;
            }
        }
        $named = array_keys(Rights::ofChanges());
        sort($changes);
        sort($named);
        self::assertSame($changes, $named);
    }

    public function testThePageSaysAllOfThem(): void
    {
        $this->signIn(Role::Apprentice);
        $page = $this->browser->request('GET', '/roles');
        self::assertCount(\count(Rights::ofChanges()), $page->filter('main li'));
        self::assertStringNotContainsString('right.', $page->filter('main')->text());
    }

    /** @return iterable<string, array{string, Rights, Role, bool}> */
    public static function changes(): iterable
    {
        // Signing out is the firewall's, with a token of its own.
        foreach (array_diff_key(Rights::ofChanges(), ['sign_out' => true]) as $route => $right) {
            foreach (Role::cases() as $role) {
                foreach (Rights::Own === $right ? [true, false] : [true] as $isOwn) {
                    yield $route.' as '.$role->value.($isOwn ? '' : ', another\'s') => [$route, $right, $role, $isOwn];
                }
            }
        }
    }

    #[DataProvider('changes')]
    public function testIsGrantedToWhomThePageSays(string $route, Rights $right, Role $role, bool $isOwn): void
    {
        $this->signIn($role);
        $address = $this->address($route, $isOwn ? $role : (Role::Apprentice === $role ? Role::Technician : Role::Apprentice));
        $this->post($address, []);
        $may = match ($right) {
            Rights::Everybody => true,
            Rights::Own => $isOwn || Role::Apprentice !== $role,
            Rights::Technician => Role::Apprentice !== $role,
            Rights::Owner => Role::Owner === $role,
        };
        $status = $this->browser->getResponse()->getStatusCode();
        self::assertLessThan(500, $status);
        if ($may) {
            self::assertNotSame(403, $status);
        } else {
            self::assertSame(403, $status);
            $this->assertSays('Not for your role');
        }
    }

    private function address(string $name, Role $of): string
    {
        self::$routes ??= self::service(RouterInterface::class)->getRouteCollection();
        $route = self::$routes->get($name);
        self::assertInstanceOf(Route::class, $route);
        $job = $this->job();
        $by = $this->member($of);
        $now = new \DateTimeImmutable();
        $things = [
            'photo_remove' => $photo = new Photo($job, 'x.jpg', 1, 1, $by, $now),
            'photo_caption' => $photo,
            'waste_take_back' => new WastePortion($job, WasteStream::cases()[0], Volume::millilitres(10), $by, $now),
            'wait_minutes' => $wait = new Wait($job, WaitKind::DrainOil, $by, $now, $now->modify('+10 minutes')),
            'wait_end' => $wait,
            'trace_wait' => $trace = Trace::begun(TraceKind::Needle, $job, 'needle_holds', $by, $now),
            'trace_stop' => $trace,
            'trace_file' => $trace,
            'part_becomes' => new WantedPart($job, 'Gasket', 1, $by, $now),
            'part_expected' => new WantedPart($job, 'Gasket', 1, $by, $now),
            'plan_back' => new Absence(null, $now, $now, PartOfDay::Whole, ''),
            'waste_can_empty' => new WasteCan('Can', WasteStream::cases()[0], Volume::millilitres(5000)),
            'spec_page' => new SpecPage('Alderholm 160', null),
            'oil_move' => new Oil('SAE 30'),
            'charge_take_back' => new Charge($job, new BillLine(LineKind::Part, 'Plug', 1, Money::dollars(6)), $by, $now),
            'machine_note_take_back' => new LifeNote($job->getMachine(), LifeTopic::Plug, 'Gap 28 thou', $by, $now),
            'estimate_answer' => new Estimate($job, 40.0, 60.0, 'Carburetor', $by, $now),
            'shelf_move' => new ShelfPart('Plug', PartCondition::New),
            'sheet_withdraw' => new SentSheet($job, SheetKind::Done, str_repeat('0', 64), $by, $now, ''),
        ];
        $thing = $things[$name] ?? null;
        if (null !== $thing) {
            self::entities()->persist($thing);
            self::entities()->flush();
        }
        // An ended recording is waited for by nobody.
        if ($thing instanceof Trace) {
            $thing->end();
            self::entities()->flush();
        }
        $id = (string) ($thing?->getId() ?? $this->member(Role::Technician)->getId());

        return strtr($route->getPath(), [
            '{job}' => (string) $job->getId(), '{entry}' => str_contains($name, 'entry') ? (string) $this->entry($job, $of) : '', '{id}' => $id, '{trace}' => $id, '{page}' => $id,
            '{sample}' => 'tank', '{part}' => 'look', '{kind}' => 'needle', '{name}' => 'hydrolock', '{state}' => 'ordered', '{how}' => 'shelf_move' === $name ? 'came' : 'bought', '{stream}' => WasteStream::cases()[0]->value,
            '{fault}' => 'oil.low', '{test}' => 'look.oil_colour', '{!bench}' => 'teardown', '{machine}' => (string) $job->getMachine()->getId(), '{wanted}' => $id, '{member}' => $id,
        ]);
    }

    private function entry(Job $job, Role $by): int
    {
        self::service(\AwakeShed\App\Evidence\Recorder::class)->observe($job, $this->member($by), \AwakeShed\App\Once\RequestKey::fresh(), [Finding::observed('look.oil_colour', 'dark')]);

        return $this->record($job)->entries[0]->id;
    }
}
