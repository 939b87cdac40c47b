<?php

declare(strict_types=1);

namespace AwakeShed\Tests\App\Belonging;

use AwakeShed\App\Account\Member;
use AwakeShed\App\Account\MemberRepository;
use AwakeShed\App\Account\SessionKeeper;
use AwakeShed\App\Account\Shop;
use AwakeShed\App\Belonging\BelongsToShop;
use AwakeShed\App\Belonging\CurrentShop;
use AwakeShed\App\Demo\Barn;
use AwakeShed\App\Device\Mail\Outbox;
use AwakeShed\App\Evidence\Derivation;
use AwakeShed\App\Job\Job;
use AwakeShed\App\Job\Machine;
use AwakeShed\App\Once\RequestKey;
use AwakeShed\App\Spec\SpecPage;
use AwakeShed\Core\Evidence\MachineFacts;
use AwakeShed\Core\Evidence\MachineKind;
use AwakeShed\Tests\App\ShedTestCase;
use Doctrine\DBAL\Connection;
use Doctrine\ORM\EntityManagerInterface;
use Symfony\Bundle\FrameworkBundle\Console\Application;
use Symfony\Component\Console\Tester\CommandTester;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpKernel\KernelInterface;
use Symfony\Component\Routing\Route;
use Symfony\Component\Routing\RouterInterface;

/**
 * The demo is one shop, with something of everything; in the same installation somebody else opens another. Whatever
 * address they ask for, with whatever number, nothing of the demo is said to them, and nothing of it changes.
 */
final class TwoShopsTest extends ShedTestCase
{
    /** What belongs to the installation: its shops themselves, and what its processes tell each other. */
    private const NOBODYS = ['cache_items', 'lease', 'migration', 'news', 'session_row', 'turn'];

    /** What a parameter of an address stands for, where it is no number; one that is there is enough. */
    private const WORDS = ['bench' => 'carburetor', 'sample' => 'tank', 'part' => 'look', 'stage' => 'path', 'room' => 'jets', 'test' => 'look.oil_level', 'name' => 'hydrolock', 'fault' => 'fuel.water', 'size' => 'full', 'how' => 'counted', 'state' => 'here', 'what' => 'stop', 'format' => 'json', 'question' => 'soak'];

    /** Leaves the shed or asks for a name at the door. */
    private const NOT_ASKED = ['sign_out', 'sign_in', 'first_owner', 'lost_password', 'welcome', 'second_factor', 'my_second_factor', 'own_password'];

    /** Of her session, as her pages carry it. */
    private ?string $token = null;

    /** Laid out once: the demo takes its time. */
    public function testTwoShopsHaveNothingInCommon(): void
    {
        $this->demoAndAnother();
        $this->whoseItIsStandsOnEveryRow();
        $this->noFileOfTheOtherIsGiven();
        $this->noAddressSaysOrChangesAnythingOfTheOther();
        $this->theyNameTheirThingsAlikeAndKeepTheirOwnRules();
    }

    private function demoAndAnother(): void
    {
        $database = self::entities()->getConnection();
        // As it begins: without anybody.
        foreach (['open_session', 'member', 'shop'] as $table) {
            $database->executeStatement("DELETE FROM $table");
        }
        self::entities()->clear();
        self::service(Barn::class)->fill(new \DateTimeImmutable('2026-11-23 15:00'));
        $command = new CommandTester((new Application(self::service(KernelInterface::class)))->find('shed:open-shop'));
        self::assertSame(0, $command->execute(['name' => 'Second shed', 'owner' => 'ilse', '--place' => 'Far shore', '--called' => 'Ilse Second']));
        self::assertStringContainsString('/welcome/', $command->getDisplay());
    }

    private function whoseItIsStandsOnEveryRow(): void
    {
        $database = self::entities()->getConnection();
        $without = $database->fetchFirstColumn(<<<'SQL'
            SELECT table_name FROM information_schema.tables t WHERE table_schema = DATABASE() AND table_type = 'BASE TABLE' AND NOT EXISTS (
                SELECT 1 FROM information_schema.columns c WHERE c.table_schema = t.table_schema AND c.table_name = t.table_name AND column_name = 'shop_id' AND is_nullable = 'NO' AND column_default IS NULL)
            ORDER BY table_name
            SQL);
        sort($without);
        self::assertSame([...array_diff(self::NOBODYS, ['turn']), 'shop', 'turn'], $without);
        foreach (self::entities()->getMetadataFactory()->getAllMetadata() as $entity) {
            self::assertSame(!\in_array($entity->getTableName(), [...self::NOBODYS, 'shop'], true), is_a($entity->getName(), BelongsToShop::class, true), $entity->getName());
        }
        // What one row says, what hangs on it says as well.
        foreach ($database->fetchAllAssociative('SELECT table_name AS t, column_name AS c, referenced_table_name AS r FROM information_schema.key_column_usage WHERE table_schema = DATABASE() AND referenced_table_name IS NOT NULL') as ['t' => $table, 'c' => $column, 'r' => $referred]) {
            \assert(\is_string($table) && \is_string($column) && \is_string($referred));
            self::assertSame(0, $database->fetchOne("SELECT COUNT(*) FROM $table one JOIN $referred other ON other.id = one.$column WHERE one.shop_id <> other.shop_id"), "$table.$column");
        }
    }

    public function testWithoutAShopNothingIsFoundAndNothingIsSaved(): void
    {
        $job = $this->job();
        $entities = self::entities();
        $entities->getConnection()->executeStatement('SET @shop = NULL');
        $entities->clear();
        self::assertSame([], $entities->getRepository(Job::class)->findAll());
        self::assertNull($entities->find(Job::class, $job->getId()));
        self::service(CurrentShop::class)->reset();
        $this->expectException(\LogicException::class);
        $entities->persist(new SpecPage('Nobody’s page', MachineKind::Mower));
    }

    private function noAddressSaysOrChangesAnythingOfTheOther(): void
    {
        $ilse = $this->second();
        $own = new Job(new Machine('Far shore mower', new MachineFacts(MachineKind::Mower), 'Jetty 1', ''), $ilse, new \DateTimeImmutable('2026-11-23 16:00'));
        self::service(EntityManagerInterface::class)->persist($own);
        self::service(EntityManagerInterface::class)->flush();
        self::service(Derivation::class)->recompute($own);
        self::service(EntityManagerInterface::class)->flush();
        $database = self::service(Connection::class);
        $before = $this->allOf($database, Shop::FIRST);
        $secrets = $this->secrets($database);
        self::assertGreaterThan(40, \count($secrets));
        $numbers = $this->numbers($database);
        $this->enterAs('ilse');
        $this->browser->request('GET', '/');
        $this->assertSays('Far shore mower');
        $asked = 0;
        foreach (self::service(RouterInterface::class)->getRouteCollection() as $name => $route) {
            if (\in_array($name, self::NOT_ASKED, true) || str_starts_with($name, '_')) {
                continue;
            }
            foreach ($this->addresses($route, $numbers) as $address) {
                foreach ([] === $route->getMethods() ? ['GET'] : $route->getMethods() as $method) {
                    ++$asked;
                    $this->ask($method, $address, $secrets, $database);
                }
            }
        }
        self::assertGreaterThan(400, $asked);
        self::assertSame($before, $this->allOf($database, Shop::FIRST));
    }

    private function noFileOfTheOtherIsGiven(): void
    {
        $database = self::service(Connection::class);
        $photos = $database->fetchFirstColumn('SELECT id FROM photo WHERE shop_id = ?', [Shop::FIRST]);
        $sheets = $database->fetchFirstColumn('SELECT id FROM sent_sheet WHERE shop_id = ?', [Shop::FIRST]);
        self::assertNotSame([], $photos);
        self::service(CurrentShop::class)->enter(Shop::FIRST);
        $folder = self::service(Outbox::class)->folder();
        if (!is_dir($folder)) {
            mkdir($folder, 0o700, true);
        }
        file_put_contents("$folder/20261123-150000-0a0b0c0d.eml", "To: somebody\r\nSubject: Only of the barn\r\n\r\nhush");
        try {
            foreach (['odalys' => 200, 'ilse' => 404] as $who => $status) {
                $this->enterAs($who);
                foreach ([...array_map(static fn (mixed $id): string => '/photos/'.(is_numeric($id) ? (int) $id : 0).'/full.jpg', $photos), ...array_map(static fn (mixed $id): string => '/sheets/'.(is_numeric($id) ? (int) $id : 0).'.pdf', $sheets), '/letters/20261123-150000-0a0b0c0d.eml'] as $address) {
                    $this->browser->request('GET', $address);
                    self::assertResponseStatusCodeSame($status, "$who $address");
                }
                $this->browser->request('GET', '/letters');
                self::assertSame(200 === $status, str_contains((string) $this->browser->getResponse()->getContent(), 'Only of the barn'));
            }
        } finally {
            unlink("$folder/20261123-150000-0a0b0c0d.eml");
        }
    }

    private function theyNameTheirThingsAlikeAndKeepTheirOwnRules(): void
    {
        $database = self::service(Connection::class);
        $name = $database->fetchOne('SELECT name FROM spec_page WHERE shop_id = ?', [Shop::FIRST]);
        self::assertIsString($name);
        $this->second();
        $entities = self::service(EntityManagerInterface::class);
        $entities->persist(new SpecPage($name, MachineKind::Mower));
        $entities->flush();
        self::assertSame(2, $database->fetchOne('SELECT COUNT(*) FROM spec_page WHERE name = ?', [$name]));
        $this->enterAs('ilse');
        $this->browser->request('GET', '/prices');
        self::assertResponseIsSuccessful();
        $this->post('/prices', ['wage' => '71', 'base_hours' => '1', 'consumables' => '2', 'waste_fee' => '3', 'tax_percent' => '4']);
        self::assertSame(71.0, (float) $this->number($database, 'SELECT wage FROM price_book WHERE shop_id = 2'));
        self::assertNotSame(71.0, (float) $this->number($database, 'SELECT COALESCE(MAX(wage), 60) FROM price_book WHERE shop_id = 1'));
    }

    private function second(): Member
    {
        $member = self::service(MemberRepository::class)->withSignInName('ilse') ?? self::fail('She was invited.');
        self::service(CurrentShop::class)->enter($member->shop());
        self::assertSame(2, $member->shop());

        return $member;
    }

    private function enterAs(string $name): void
    {
        $member = self::service(MemberRepository::class)->withSignInName($name) ?? self::fail("Nobody is called $name.");
        self::service(CurrentShop::class)->enter($member->shop());
        self::service(SessionKeeper::class)->open($member, new Request());
        $this->browser->loginUser($member);
    }

    /** @param list<string> $secrets */
    private function ask(string $method, string $address, array $secrets, Connection $database): void
    {
        if ('POST' === $method) {
            $this->browser->request('POST', $address, self::fields() + ['_token' => $this->token ??= $this->token(), 'request_key' => RequestKey::fresh()->value]);
        } else {
            $this->browser->request($method, $address);
        }
        $status = $this->browser->getResponse()->getStatusCode();
        self::assertLessThan(500, $status, "$method $address");
        $said = $this->browser->getInternalResponse()->getContent();
        foreach ($secrets as $secret) {
            self::assertFalse(str_contains($said, $secret), "$method $address says: $secret");
        }
        if (302 === $status && str_contains((string) $this->browser->getResponse()->headers->get('Location'), 'sign-in') || 1 !== $this->number($database, "SELECT COUNT(*) FROM member WHERE sign_in_name = 'ilse' AND active = 1 AND role = 'owner'")) {
            self::fail("$method $address put her out.");
        }
    }

    /** @return array<string, string> what most buttons send, so that they come as far as they can */
    private static function fields(): array
    {
        return ['test' => 'look.oil_level', 'outcome' => 'at_mark', 'text' => 'written by ilse', 'topic' => 'note', 'note' => 'written by ilse', 'caption' => 'written by ilse', 'name' => 'written by ilse', 'back' => 'history', 'kind' => 'begin', 'act' => 'drain_tank', 'role' => 'owner', 'was' => 'technician', 'on' => 'yes', 'count' => '1', 'volume' => '1', 'hours' => '12', 'word' => 'approved', 'is' => 'yes', 'until' => 'hour', 'whom' => '1', 'page' => '1', 'wanted' => '1', 'for' => 'owner', 'person' => '1'];
    }

    /**
     * @param list<int> $numbers
     *
     * @return list<string>
     */
    private function addresses(Route $route, array $numbers): array
    {
        $path = str_replace('{!', '{', $route->getPath());
        if (!str_contains($path, '{')) {
            return [$path];
        }
        $path = preg_replace_callback('/\{(\w+)\}/', static function (array $found) use ($route): string {
            $wanted = $route->getRequirement($found[1]) ?? '';
            if ('1' !== preg_replace('#^('.str_replace('#', '\#', '' === $wanted ? 'x' : $wanted).')$#', '1', '7') && isset(self::WORDS[$found[1]])) {
                return self::WORDS[$found[1]];
            }
            if ('kind' === $found[1]) {
                return explode('|', trim($wanted, '()'))[0];
            }
            if ('token' === $found[1]) {
                return str_repeat('A', 43);
            }

            return '{n}';
        }, $path) ?? $path;

        return str_contains($path, '{n}') ? array_map(static fn (int $number): string => str_replace('{n}', (string) $number, $path), $numbers) : [$path];
    }

    /** @return list<int> the first of everything; a job with much in it; the last of what there is most and of what the other shop has one of */
    private function numbers(Connection $database): array
    {
        return [1, 9, (int) $this->number($database, 'SELECT MAX(id) FROM job WHERE shop_id = 1'), (int) $this->number($database, 'SELECT MAX(id) FROM entry WHERE shop_id = 1')];
    }

    /** @return list<string> names and words that only the demo knows */
    private function secrets(Connection $database): array
    {
        $words = [];
        $ours = self::ours();
        foreach (['machine' => ['label', 'owner_name', 'contact'], 'member' => ['name', 'sign_in_name'], 'oil' => ['name'], 'spec_page' => ['name'], 'shelf_part' => ['name'], 'waste_can' => ['name'], 'life_note' => ['text'], 'photo' => ['caption'], 'wanted_part' => ['name'], 'job' => ['remarks'], 'shop' => ['name', 'place']] as $table => $columns) {
            foreach ($columns as $column) {
                $mine = 'shop' === $table ? 'id' : 'shop_id';
                $known = 1 === $this->number($database, "SELECT COUNT(*) FROM information_schema.columns WHERE table_schema = DATABASE() AND table_name = '$table' AND column_name = '$column'");
                foreach ($known ? $database->fetchFirstColumn("SELECT DISTINCT $column FROM $table WHERE $mine = 1") : [] as $word) {
                    // Short ones, and those that are words of the trade, stand on pages of anybody.
                    if (\is_string($word) && mb_strlen($word) > 5 && !str_contains($ours, mb_strtolower($word))) {
                        $words[] = htmlspecialchars($word, \ENT_QUOTES | \ENT_SUBSTITUTE);
                    }
                }
            }
        }

        return array_values(array_unique($words));
    }

    /** Every word that ships, in lower case. */
    private static function ours(): string
    {
        $ours = '';
        foreach (['translations', 'templates', 'core'] as $folder) {
            /** @var \SplFileInfo $file */
            foreach (new \RecursiveIteratorIterator(new \RecursiveDirectoryIterator(\dirname(__DIR__, 3).'/'.$folder, \FilesystemIterator::SKIP_DOTS)) as $file) {
                $ours .= 'php' === $file->getExtension() ? '' : file_get_contents($file->getPathname());
            }
        }

        return mb_strtolower($ours);
    }

    /** @return array<string, string> by table, what there is of a shop */
    private function allOf(Connection $database, int $shop): array
    {
        $all = [];
        foreach ($database->fetchFirstColumn("SELECT table_name FROM information_schema.columns WHERE table_schema = DATABASE() AND column_name = 'shop_id' ORDER BY 1") as $table) {
            \assert(\is_string($table));
            $all[$table] = hash('sha256', serialize($database->fetchAllNumeric("SELECT * FROM $table WHERE shop_id = ? ORDER BY 1, 2", [$shop])));
        }

        return $all;
    }

    private function number(Connection $database, string $sql): int|float
    {
        $number = $database->fetchOne($sql);

        return is_numeric($number) ? $number + 0 : 0;
    }
}
