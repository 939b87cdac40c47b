<?php

declare(strict_types=1);

namespace AwakeShed\Tests\App\Once;

use AwakeShed\App\Account\Role;
use AwakeShed\App\Once\RequestKey;
use AwakeShed\Tests\App\ShedTestCase;

/** One request key sent twice: the same again is answered as before, anything else is said and lost by nobody. */
final class SameKeyTest extends ShedTestCase
{
    private const KEY = '019ab4c2-7a11-7c11-8000-0123456789ab';

    public function testTheSameAgainIsAnsweredAsBefore(): void
    {
        $this->signIn();
        $job = $this->job();
        foreach ([1, 2] as $time) {
            $this->post("/jobs/{$job->getId()}/findings", ['test' => 'look.oil_colour', 'outcome' => 'dark', 'back' => 'gates'], self::KEY);
            self::assertResponseRedirects("/jobs/{$job->getId()}/gates", message: "time $time");
        }
        self::assertCount(1, $this->record($job)->entries);
    }

    public function testAnotherAnswerUnderTheSameKeyIsAConflictAndCanBeSentAsItsOwn(): void
    {
        $this->signIn();
        $job = $this->job();
        $this->post("/jobs/{$job->getId()}/findings", ['test' => 'look.oil_colour', 'outcome' => 'dark'], self::KEY);
        $this->post("/jobs/{$job->getId()}/findings", ['test' => 'look.oil_colour', 'outcome' => 'clean'], self::KEY);
        self::assertResponseStatusCodeSame(409);
        $this->assertSays('That page had saved something else');
        $this->assertSays('Color of the oilClear');
        self::assertSame(['dark'], $this->record($job)->case()->standing('look.oil_colour')?->outcomes);
        $this->browser->submitForm('Send it again');
        self::assertResponseRedirects();
        self::assertSame(['clean'], $this->record($job)->case()->standing('look.oil_colour')?->outcomes);
    }

    public function testAnotherRouteUnderTheSameKeyIsAConflict(): void
    {
        $this->signIn();
        [$job, $other] = [$this->job(), $this->job()];
        $said = ['test' => 'look.oil_colour', 'outcome' => 'dark'];
        $this->post("/jobs/{$job->getId()}/findings", $said, self::KEY);
        $this->post("/jobs/{$other->getId()}/findings", $said, self::KEY);
        self::assertResponseStatusCodeSame(409);
        self::assertCount(0, $this->record($other)->entries);
    }

    public function testAnotherPersonUnderTheSameKeyIsAConflict(): void
    {
        $job = $this->job();
        $said = ['test' => 'look.oil_colour', 'outcome' => 'dark'];
        $this->signIn();
        $this->post("/jobs/{$job->getId()}/findings", $said, self::KEY);
        $this->signIn(Role::Apprentice);
        $this->post("/jobs/{$job->getId()}/findings", $said, self::KEY);
        self::assertResponseStatusCodeSame(409);
    }

    public function testAUsedKeyOnTakeInAndOnARecordingIsAConflictNotAFailure(): void
    {
        $this->signIn();
        $job = $this->job();
        $this->post("/jobs/{$job->getId()}/findings", ['test' => 'look.oil_colour', 'outcome' => 'dark'], self::KEY);
        $this->browser->request('POST', '/take-in', ['intake' => ['kind' => 'mower', 'label' => 'Second mower', 'ownerName' => 'Cabin 9', '_token' => $this->token(), 'request_key' => self::KEY]]);
        self::assertResponseStatusCodeSame(409);
        $this->assertSays('Second mower');
        $this->post('/traces/needle/record', ['play' => 'needle_holds'], self::KEY);
        self::assertResponseStatusCodeSame(409);
    }

    public function testOnlyTheTokenMayDifferAndTheOrderOfTheFields(): void
    {
        $sent = static fn (array $fields): RequestKey => RequestKey::sentWith(\Symfony\Component\HttpFoundation\Request::create('/jobs/1/findings', 'POST', $fields), self::KEY);
        self::assertEquals($sent(['a' => '1', 'b' => ['c' => '2', '_token' => 'x']]), $sent(['b' => ['_token' => 'y', 'c' => '2'], 'a' => '1']));
        self::assertNotEquals($sent(['a' => '1', 'b' => '2']), $sent(['a' => '2', 'b' => '1']));
    }
}
