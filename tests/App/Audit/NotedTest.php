<?php

declare(strict_types=1);

namespace AwakeShed\Tests\App\Audit;

use AwakeShed\App\Account\Role;
use AwakeShed\App\Audit\Deed;
use AwakeShed\Tests\App\ShedTestCase;
use Symfony\Component\DomCrawler\Crawler;

final class NotedTest extends ShedTestCase
{
    public function testWhatIsTakenAwayIsNotedAndWhatIsLookedAtIsNot(): void
    {
        $owner = $this->member(Role::Owner);
        $this->signInAs($owner);
        $job = '/jobs/'.$this->job()->getId();
        $taken = ['/waste.csv', '/oil.csv', '/plan.csv', $job.'/case.json', '/shop.zip', '/owners.json?name=Cabin%204'];
        foreach ([...$taken, '/', $job, '/case.schema.json', '/spec-book.schema.json', $job.'/line.svg', '/plan.svg', '/nothing.csv'] as $page) {
            $this->browser->request('GET', $page);
            // What is streamed is noted when its headers go out, and read to its end here.
            $this->browser->getInternalResponse()->getContent();
        }
        self::assertSame(array_map(static fn (string $page): array => [$owner->getId(), (string) parse_url($page, \PHP_URL_PATH)], $taken), array_map(array_values(...), self::entities()->getConnection()->fetchAllAssociative('SELECT member_id, subject FROM audit_note WHERE what = ? ORDER BY id', [Deed::Exported->value])));
    }

    public function testTheTrailIsReadPageByPage(): void
    {
        $this->signIn(Role::Owner);
        self::entities()->getConnection()->executeStatement("INSERT INTO audit_note (at, what, subject, said_before, says_now, address, shop_id) SELECT '2026-01-01', 'exported', CONCAT('note ', seq), '[]', '[]', '', 1 FROM seq_1_to_70");
        $subjects = static fn (Crawler $page): array => $page->filter('tbody tr')->each(static fn (Crawler $row): string => (string) preg_replace('/.*(note \d+).*/s', '$1', $row->text()));
        $first = $this->browser->request('GET', '/audit?what=exported');
        self::assertSame(array_map(static fn (int $n): string => "note $n", range(70, 11)), $subjects($first));
        $older = $first->filter('main a[href*="before="]')->attr('href') ?? self::fail('It does not go on.');
        $second = $this->browser->request('GET', $older);
        self::assertSame(array_map(static fn (int $n): string => "note $n", range(10, 1)), $subjects($second));
        self::assertCount(0, $second->filter('main a[href*="before="]'));
    }

    public function testASignInThatIsRefusedIsNotedByTheNameThatWasTyped(): void
    {
        foreach ([['technician', 'not it'], ['a stranger', self::PASSWORD]] as [$name, $password]) {
            $this->browser->submit($this->browser->request('GET', '/sign-in')->filter('main form')->form(['name' => $name, 'password' => $password]));
        }
        $this->browser->submit($this->browser->request('GET', '/sign-in')->filter('main form')->form(['name' => 'technician', 'password' => self::PASSWORD]));
        $noted = self::entities()->getConnection()->fetchAllAssociative('SELECT member_id, what, subject, said_before, says_now FROM audit_note ORDER BY id');
        self::assertSame([[null, 'sign_in_refused', 'technician'], [null, 'sign_in_refused', 'a stranger'], [$this->member(Role::Technician)->getId(), 'signed_in', 'Technician Tester']], array_map(static fn (array $note): array => [$note['member_id'], $note['what'], $note['subject']], $noted));
        self::assertStringNotContainsString('not it', json_encode($noted, \JSON_THROW_ON_ERROR));
        self::assertStringNotContainsString(self::PASSWORD, json_encode($noted, \JSON_THROW_ON_ERROR));
    }

    public function testWhatMayNotBeDoneIsNotedWithWhoWantedTo(): void
    {
        $apprentice = $this->member(Role::Apprentice);
        $this->signInAs($apprentice);
        $this->browser->request('GET', '/people');
        self::assertResponseStatusCodeSame(403);
        $this->browser->request('GET', '/no-such-page');
        self::assertResponseStatusCodeSame(404);
        self::assertSame([[$apprentice->getId(), 'GET /people']], array_map(array_values(...), self::entities()->getConnection()->fetchAllAssociative('SELECT member_id, subject FROM audit_note WHERE what = ? ORDER BY id', [Deed::Refused->value])));
    }
}
