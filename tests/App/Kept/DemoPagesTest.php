<?php

declare(strict_types=1);

namespace AwakeShed\Tests\App\Kept;

use AwakeShed\App\Account\MemberRepository;
use AwakeShed\App\Demo\Barn;
use AwakeShed\App\Demo\SignIn;
use AwakeShed\App\Job\JobRepository;
use AwakeShed\App\Plan\Plans;
use AwakeShed\Tests\App\ShedTestCase;
use AwakeShed\Tests\Kept;
use Symfony\Component\Clock\Test\ClockSensitiveTrait;

/** What the pages of the demo say to its owner, as they were read once: a line each time a page says it first. */
final class DemoPagesTest extends ShedTestCase
{
    use ClockSensitiveTrait;

    /** Of the shop; what is drawn or worked out elsewhere is kept there. */
    private const SHOP = ['/', '/?stand=handed_back', '/take-in', '/take-in/list', '/plan', '/plan/hours', '/plan/ahead', '/plan/sheet', '/plan?day=2026-11-24', '/plan.svg', '/parts', '/shelf', '/waste', '/oil', '/prices', '/schools', '/season', '/odds', '/odds/claims', '/faults', '/spec', '/keys', '/me', '/people', '/roles', '/shop', '/owners', '/waste.csv', '/oil.csv', '/shelf.csv', '/plan.csv', '/take-in/list.csv'];

    /** Of one job. */
    private const JOB = ['', '/gates', '/history', '/likely', '/course', '/fuel/tank', '/fuel/bowl', '/machine', '/spec', '/money', '/parts', '/sheet', '/tag', '/schools', '/carburetor', '/carburetor/cleaning', '/carburetor/check', '/carburetor/refit', '/waste', '/look-back', '/hand-back', '/stages', '/stages/path', '/stages/first_run', '/stages/layup', '/now/path', '/line/bowl', '/line/jets'];

    /** What is counted up or drawn by lot, but jobs, which are counted from the first. */
    private const NEW_EACH_TIME = '/(?<=\bname=member value=)\d+|(?<=\bPlan )\d+(?=, made)|(?<=data-lane="p)\d+|(?<=\.wait)\d+|[\w-]{40,}(?:\.[\w-]+)*/';

    /** Of its fields a page says what they are filled with and what they take. */
    public function testWhatThePagesOfTheDemoSay(): void
    {
        $jobs = self::service(JobRepository::class)->findBy([], ['id' => 'ASC']);
        $first = (int) ($jobs[0]->getId() ?? 0);
        $this->signInAs(self::service(MemberRepository::class)->withSignInName(SignIn::Owner->value) ?? self::fail('The demo has an owner.'));
        $said = $lines = [];
        $addresses = self::SHOP;
        foreach (\array_slice($jobs, 0, 14) as $job) {
            $addresses = [...$addresses, ...array_map(static fn (string $page): string => '/jobs/'.$job->getId().$page, self::JOB)];
        }
        foreach ($addresses as $address) {
            $this->browser->request('GET', $address);
            $response = $this->browser->getResponse();
            $where = self::told($address, $first);
            if (200 !== $response->getStatusCode()) {
                $lines[] = "$where: ".$response->getStatusCode();
                continue;
            }
            foreach (self::lines((string) $response->getContent()) as $line) {
                $line = self::told($line, $first);
                if (!isset($said[$line])) {
                    $said[$line] = true;
                    $lines[] = "$where: $line";
                }
            }
        }
        Kept::is(__DIR__.'/demo-pages.txt', array_map(Kept::short(...), $lines));
    }

    /** @return list<string> */
    private static function lines(string $page): array
    {
        if (str_starts_with($page, '<svg')) {
            return array_values(array_filter(array_map(trim(...), explode("\n", str_replace('<', "\n<", $page))), static fn (string $line): bool => '' !== $line && !str_starts_with($line, '</')));
        }
        $main = 1 === preg_match('#<main.*</main>#s', $page, $found) ? $found[0] : $page;
        // Drawings are kept by themselves; what every form carries is new each time.
        $main = (string) preg_replace(['#<svg.*?</svg>#s', '#<input type="hidden" name="[^"]*\b(?:_token|_csrf_token|request_key|based_on)\]?"[^>]*>#'], '', $main);
        $main = (string) preg_replace_callback('#<(?:input|textarea|button|select)\b[^>]*>#', static function (array $tag): string {
            preg_match_all('#\b(name|value|min|max|maxlength|rows|checked|disabled|readonly|required)(?:="([^"]*)")?#', $tag[0], $says, \PREG_SET_ORDER);

            return ' ['.implode(' ', array_map(static fn (array $one): string => $one[1].(isset($one[2]) ? '='.$one[2] : ''), $says)).'] ';
        }, $main);
        $main = (string) preg_replace('#</?(?:p|h\d|li|ul|ol|dt|dd|dl|tr|table|div|section|details|summary|form|label|legend|fieldset|figure|figcaption|nav|article)\b[^>]*>#', "\n", $main);
        $lines = array_map(static fn (string $line): string => trim((string) preg_replace('/\s+/u', ' ', html_entity_decode(strip_tags(str_replace(['</td>', '</th>', '</option>'], ' | ', $line))))), explode("\n", $main));

        return array_values(array_filter($lines, static fn (string $line): bool => '' !== $line));
    }

    private static function told(string $text, int $first): string
    {
        // In a bar stands as much of a job's number and name as there is room for.
        $text = (string) preg_replace('/(<text .*">)#.*$/u', '$1#', $text);
        $text = (string) preg_replace(self::NEW_EACH_TIME, '…', $text);

        return (string) preg_replace_callback('~(?<=#|/jobs/|\bjob=|\bname=parts\[\] value=|data-bar="j)\d+(?![\da-f])|(?<=\()\d+(?=-\d+\))|(?<=,)\d+(?=,"[^"]*",[a-z_]+,)~', static fn (array $id): string => (string) ((int) $id[0] - $first + 1), $text);
    }

    protected function layOut(): void
    {
        $moment = new \DateTimeImmutable('2026-11-23 15:00 UTC');
        self::mockTime($moment);
        self::service(Barn::class)->fill($moment);
        self::service(Plans::class)->replan();
    }
}
