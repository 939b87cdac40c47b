<?php

declare(strict_types=1);

namespace AwakeShed\Tests\App;

use AwakeShed\App\Account\MemberRepository;
use AwakeShed\App\Account\Role;
use AwakeShed\App\Plan\Plans;
use AwakeShed\App\Shop\OpeningCode;
use Symfony\Bundle\FrameworkBundle\Console\Application;
use Symfony\Component\Console\Tester\CommandTester;
use Symfony\Component\Filesystem\Filesystem;

/** What the person at the machine runs by hand, and what runs at night. */
final class CommandsTest extends ShedTestCase
{
    private string $folder = '';

    protected function tearDown(): void
    {
        if ('' !== $this->folder) {
            (new Filesystem())->remove([$this->folder, $this->folder.'-in']);
        }
        parent::tearDown();
    }

    public function testAnOwnerWhoIsLockedOutIsLetInAgain(): void
    {
        [$owner, $apprentice] = [$this->member(Role::Owner), $this->member(Role::Apprentice)];
        $apprentice->leave();
        self::entities()->flush();
        self::assertStringContainsString(' (left)', $said = self::done('shed:owner')[1]);
        self::assertMatchesRegularExpression('/^'.$owner->getSignInName().' +owner +'.preg_quote($owner->getName(), '/').'$/m', $said);
        self::assertSame([2, 'Nobody signs in by that name. Without a name, everybody is listed.'], self::done('shed:owner', ['name' => 'nobody-here']));
        self::assertSame([2, 'That is no owner of this shed. With --appoint they become one.'], self::done('shed:owner', ['name' => $apprentice->getSignInName()]));
        [$status, $said] = self::done('shed:owner', ['name' => $owner->getSignInName(), '--without-second-factor' => true]);
        self::assertSame(0, $status);
        self::assertMatchesRegularExpression('/^Good once, for an hour:\n\S+$/', $said);
        self::assertSame(1, $this->notes('second_factor_off', $owner->getName()));
        self::assertSame(0, self::done('shed:owner', ['name' => $apprentice->getSignInName(), '--appoint' => true])[0]);
        self::entities()->clear();
        $again = self::service(MemberRepository::class)->withSignInName($apprentice->getSignInName());
        self::assertSame([Role::Owner, true], [$again?->getRole(), $again?->isActive()]);
        self::assertSame(1, $this->notes('role_changed', $apprentice->getName()));
    }

    public function testThePlanIsMadeAnewWhereItIsOld(): void
    {
        $this->job();
        self::assertMatchesRegularExpression('/^Plan \d+ is made\.$/', self::done('shed:replan', ['--if-old' => true])[1]);
        self::assertSame('', self::done('shed:replan', ['--if-old' => true])[1]);
        $said = self::done('shed:replan')[1];
        self::assertSame('Plan '.self::service(Plans::class)->last()?->getId().' is made.', $said);
    }

    public function testPicturesAreCopiedOutAndIn(): void
    {
        $this->folder = sys_get_temp_dir().'/shed-copy-'.bin2hex(random_bytes(4));
        $pictures = self::pictures();
        $pictures->write('a.jpg', 'one');
        $pictures->write('b.jpg', 'two');
        [$status, $said] = self::done('shed:copy-photos', ['way' => 'out', 'folder' => $this->folder]);
        self::assertSame(0, $status);
        self::assertMatchesRegularExpression('/^\d+ files\.$/', $said);
        self::assertSame('two', file_get_contents($this->folder.'/b.jpg'));
        mkdir($this->folder.'-in/within', 0o755, true);
        rename($this->folder.'/a.jpg', $this->folder.'-in/within/a.jpg');
        $pictures->delete('a.jpg');
        self::assertSame([0, '1 files.'], self::done('shed:copy-photos', ['way' => 'in', 'folder' => $this->folder.'-in']));
        self::assertSame('one', $pictures->read('within/a.jpg'));
        self::assertSame([2, 'The way is "out" or "in".'], self::done('shed:copy-photos', ['way' => 'off', 'folder' => $this->folder]));
        $pictures->deleteDirectory('within');
        $pictures->delete('b.jpg');
    }

    public function testTheServersPagesAreWritten(): void
    {
        $this->folder = sys_get_temp_dir().'/shed-pages-'.bin2hex(random_bytes(4));
        self::assertSame([0, ''], self::done('shed:server-pages', ['folder' => $this->folder]));
        self::assertSame([0, ''], self::done('shed:server-pages', ['folder' => $this->folder]));
        foreach (['busy', 'too_large', 'malformed', 'not_found'] as $page) {
            self::assertStringContainsString('<main', (string) file_get_contents("$this->folder/$page.html"));
        }
        $file = (string) tempnam(sys_get_temp_dir(), 'shed');
        self::assertSame([1, 'That folder cannot be made.'], @self::done('shed:server-pages', ['folder' => $file.'/within']));
        unlink($file);
    }

    public function testEveryJobIsWorkedOutAnew(): void
    {
        $this->job();
        $home = $this->job();
        $home->handBack(new \DateTimeImmutable('-1 day'));
        self::entities()->flush();
        $counts = array_map(static fn (array $options): int => (int) self::done('shed:recompute', $options)[1], [[], ['--open' => true]]);
        self::assertSame(1, $counts[0] - $counts[1]);
    }

    public function testAPhoneReadsAnAddressOffTheTerminal(): void
    {
        [$status, $said] = self::done('shed:qr', ['text' => 'https://shed.example/first-owner']);
        self::assertSame(0, $status);
        self::assertGreaterThan(12, substr_count($said, "\n"));
        self::assertNotSame($said, self::done('shed:qr', ['text' => 'https://shed.example/'])[1]);
    }

    public function testTheCodeOfAnEmptyShedIsPrintedAndOfOnesOwnIsNot(): void
    {
        $this->member(Role::Owner);
        self::assertSame([0, ''], self::done('shed:opening'));
        self::entities()->getConnection()->executeStatement('DELETE FROM member');
        self::entities()->clear();
        self::assertStringEndsWith('/first-owner?code='.self::service(OpeningCode::class)->current(), self::done('shed:opening')[1]);
    }

    /**
     * @param array<string, mixed> $with
     *
     * @return array{int, string} its status, and what it says
     */
    private static function done(string $command, array $with = []): array
    {
        $tester = new CommandTester((new Application(self::$kernel ?? self::fail()))->find($command));
        $status = $tester->execute($with);

        return [$status, trim($tester->getDisplay(true))];
    }

    private function notes(string $what, string $subject): int
    {
        $count = self::entities()->getConnection()->fetchOne('SELECT COUNT(*) FROM audit_note WHERE what = ? AND subject = ?', [$what, $subject]);

        return is_numeric($count) ? (int) $count : -1;
    }
}
