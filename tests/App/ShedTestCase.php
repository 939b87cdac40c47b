<?php

declare(strict_types=1);

namespace AwakeShed\Tests\App;

use AwakeShed\App\Account\Member;
use AwakeShed\App\Account\MemberRepository;
use AwakeShed\App\Account\Role;
use AwakeShed\App\Account\SessionKeeper;
use AwakeShed\App\Account\Shop;
use AwakeShed\App\Belonging\CurrentShop;
use AwakeShed\App\Evidence\Derivation;
use AwakeShed\App\Evidence\Record;
use AwakeShed\App\Evidence\Recorder;
use AwakeShed\App\Job\Job;
use AwakeShed\App\Job\JobRepository;
use AwakeShed\App\Job\Machine;
use AwakeShed\App\Once\RequestKey;
use AwakeShed\App\Reader\UnitSystem;
use AwakeShed\Core\Evidence\Done;
use AwakeShed\Core\Evidence\Finding;
use AwakeShed\Core\Evidence\MachineFacts;
use AwakeShed\Core\Evidence\MachineKind;
use AwakeShed\Core\Evidence\PutRight;
use Doctrine\ORM\EntityManagerInterface;
use League\Flysystem\FilesystemOperator;
use Symfony\Bundle\FrameworkBundle\KernelBrowser;
use Symfony\Bundle\FrameworkBundle\Test\WebTestCase;
use Symfony\Component\DomCrawler\Crawler;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpFoundation\Session\FlashBagAwareSessionInterface;
use Symfony\Component\PasswordHasher\Hasher\UserPasswordHasherInterface;

/** A shed with one person of each role and nothing in it; every test is rolled back. */
abstract class ShedTestCase extends WebTestCase
{
    protected const PASSWORD = 'tray-under-the-filler';

    /** Lead to a page on which is seen what became of it; everything else that is sent is answered in a sentence. */
    private const SHOWS_BY_ITSELF = ['job_trace_import', 'job_trace_record', 'look_back_say', 'own_password', 'plan_feed', 'season_feed', 'second_factor', 'trace_file', 'trace_import', 'trace_record', 'trace_stop', 'wait_end'];

    private static ?string $hash = null;

    protected KernelBrowser $browser;

    protected function setUp(): void
    {
        $this->browser = self::createClient();
        $this->layOut();
    }

    /** One person of each role in an empty shop. */
    protected function layOut(): void
    {
        self::entities()->persist(new Shop('Test shop', '', UnitSystem::TradeMixed, false, new \DateTimeImmutable('2026-11-01')));
        foreach (Role::cases() as $role) {
            $member = new Member($role->value, ucfirst($role->value).' Tester', $role, new \DateTimeImmutable('2026-11-01'));
            // A hash is made to be slow: one for all tests.
            $member->changePassword(self::$hash ??= self::service(UserPasswordHasherInterface::class)->hashPassword($member, self::PASSWORD));
            self::entities()->persist($member);
        }
        self::entities()->flush();
    }

    /**
     * @template T of object
     *
     * @param class-string<T> $class
     *
     * @return T
     */
    protected static function service(string $class): object
    {
        $service = self::getContainer()->get($class);
        self::assertInstanceOf($class, $service);

        return $service;
    }

    /** What a test does by itself it does in the first shop. */
    protected static function entities(): EntityManagerInterface
    {
        $shop = self::service(CurrentShop::class);
        if (!$shop->isKnown()) {
            $shop->enter(Shop::FIRST);
        }

        return self::service(EntityManagerInterface::class);
    }

    protected function member(Role $role): Member
    {
        self::entities();

        return self::service(MemberRepository::class)->withSignInName($role->value) ?? self::fail('Nobody of that role.');
    }

    protected function signIn(Role $role = Role::Technician): void
    {
        $this->signInAs($this->member($role));
    }

    protected function signInAs(Member $member): void
    {
        self::service(SessionKeeper::class)->open($member, new Request());
        $this->browser->loginUser($member);
    }

    protected function job(MachineKind $kind = MachineKind::Mower, string $label = 'Heronbill test mower'): Job
    {
        $job = new Job(new Machine($label, new MachineFacts($kind), 'Cabin 4', ''), $this->member(Role::Technician), new \DateTimeImmutable('2026-11-20 09:00'));
        self::entities()->persist($job);
        self::entities()->flush();
        self::service(Derivation::class)->recompute($job);
        self::entities()->flush();

        return $job;
    }

    /** The job with every gate of a mower passed: nothing bad was seen. */
    protected function pastGates(Job $job): Job
    {
        foreach (['look.oil_level' => 'at_mark', 'look.oil_smell' => 'none', 'look.oil_body' => 'normal', 'look.oil_colour' => 'dark', 'look.air_filter' => 'clean', 'look.blade' => 'true', 'look.controls' => 'free', 'feel.pull' => 'normal'] as $test => $outcome) {
            $this->found($job, Finding::observed($test, $outcome));
        }

        return $this->again($job);
    }

    protected function record(Job $job): Record
    {
        return self::service(Recorder::class)->open($job);
    }

    /** The job as the database has it now. */
    protected function again(Job $job): Job
    {
        self::entities()->clear();

        return self::service(JobRepository::class)->withMachine($job->getId()) ?? self::fail('The job is gone.');
    }

    protected function found(Job $job, Finding|PutRight|Done ...$events): void
    {
        foreach ($events as $event) {
            self::service(Recorder::class)->observe($job, $this->member(Role::Technician), RequestKey::fresh(), [$event]);
        }
    }

    /** The form of the first button with that text, filled from the page. */
    protected function press(Crawler $page, string $button, string $within = 'main'): Crawler
    {
        return $this->browser->submit($page->filter($within)->selectButton($button)->form());
    }

    /**
     * A hand-made request, with the token a page of this session carries.
     *
     * @param array<string, mixed> $fields
     */
    protected function post(string $address, array $fields, ?string $key = null): Crawler
    {
        $fields += ['_token' => $this->token(), 'request_key' => $key ?? RequestKey::fresh()->value];
        $before = $this->flashes();
        $page = $this->browser->request('POST', $address, $fields);
        $response = $this->browser->getResponse();
        if (Response::HTTP_SEE_OTHER === $response->getStatusCode() && !\in_array($this->browser->getRequest()->attributes->get('_route'), self::SHOWS_BY_ITSELF, true)) {
            self::assertGreaterThan($before, $this->flashes(), "$address says nothing of what became of it.");
        }

        return $page;
    }

    /** How many sentences wait to be shown. */
    private function flashes(): int
    {
        $session = $this->browser->getRequest()->getSession();

        return $session instanceof FlashBagAwareSessionInterface ? array_sum(array_map(static fn (mixed $some): int => \is_array($some) ? \count($some) : 0, $session->getFlashBag()->peekAll())) : 0;
    }

    protected function token(): string
    {
        return (string) $this->browser->request('GET', '/keys')->filter('body')->attr('data-token');
    }

    /** Where pictures lie. */
    protected static function pictures(): FilesystemOperator
    {
        $files = self::getContainer()->get(FilesystemOperator::class.' $photos');
        self::assertInstanceOf(FilesystemOperator::class, $files);

        return $files;
    }

    /**
     * A JPEG in a file of its own, as an upload leaves one.
     *
     * @param int<1, max> $width
     * @param int<1, max> $height
     */
    protected static function picture(int $width, int $height, string $comment = ''): string
    {
        $picture = imagecreatetruecolor($width, $height);
        self::assertInstanceOf(\GdImage::class, $picture);
        $file = (string) tempnam(sys_get_temp_dir(), 'shed');
        imagejpeg($picture, $file);
        // A comment segment stands for everything that phones write beside the picture.
        $bytes = (string) file_get_contents($file);
        file_put_contents($file, substr($bytes, 0, 2)."\xff\xfe".pack('n', \strlen($comment) + 2).$comment.substr($bytes, 2));

        return $file;
    }

    /** What a part of a page says, in one line. */
    protected static function text(Crawler $of): string
    {
        return trim((string) preg_replace('/\s+/u', ' ', $of->text('')));
    }

    protected function assertSays(string $text): void
    {
        self::assertStringContainsString($text, preg_replace('/\s+/', ' ', strip_tags((string) $this->browser->getResponse()->getContent())) ?? '');
    }
}
