<?php

declare(strict_types=1);

namespace AwakeShed\Tests\App\Diagnosis;

use AwakeShed\App\Account\Role;
use AwakeShed\App\Diagnosis\OwnShares;
use AwakeShed\App\Diagnosis\ShopOdds;
use AwakeShed\App\Once\RequestKey;
use AwakeShed\Core\Diagnosis\Odds;
use AwakeShed\Tests\App\ShedTestCase;

final class OddsPageTest extends ShedTestCase
{
    private const PRIOR = 'faults/spark.plug_bad/prior';

    public function testTheOwnerHoldsOtherOddsSeesTheDifferenceAndPutsThemBack(): void
    {
        $this->signIn(Role::Owner);
        $page = $this->browser->request('GET', '/odds/faults/spark.plug_bad');
        self::assertResponseIsSuccessful();
        $this->browser->submit($page->selectButton('Save')->form(['odds['.self::PRIOR.']' => '40', 'odds[faults/spark.plug_bad/shows/look.plug/sooty]' => '12,5']));
        self::assertResponseRedirects('/odds/faults/spark.plug_bad');
        self::assertEqualsCanonicalizing([0.4, 0.125], array_values(self::service(OwnShares::class)->all()), 'only what was changed is kept');

        // Said again it is another figure, not another row; said as it ships it is none.
        foreach ([['20', '12.5', [0.2, 0.125]], ['20', '30', [0.2, 0.3]], ['2.8', '30', [0.3]], ['40', '12.5', [0.4, 0.125]]] as [$prior, $sooty, $kept]) {
            $this->browser->submit($this->browser->request('GET', '/odds/faults/spark.plug_bad')->selectButton('Save')->form(['odds['.self::PRIOR.']' => $prior, 'odds[faults/spark.plug_bad/shows/look.plug/sooty]' => $sooty]));
            self::entities()->clear();
            self::assertEqualsCanonicalizing($kept, array_values(self::service(OwnShares::class)->all()));
        }

        $page = $this->browser->request('GET', '/odds');
        $this->assertSays('2.8 % from memory');
        $this->assertSays('40 %');
        $job = $this->job();
        $this->browser->request('GET', '/jobs/'.$job->getId().'/likely');
        self::assertSelectorTextContains('.suspects li:first-child', 'Spark plug fouled');

        $this->browser->submit($page->selectButton('Put back')->form());
        self::assertCount(1, self::service(OwnShares::class)->all());
        $page = $this->browser->request('GET', '/odds');
        $this->press($page, 'Put all back to what ships');
        $this->browser->followRedirect();
        $this->assertSays('Nothing. All is as it ships.');
        self::assertSame([], self::service(OwnShares::class)->all());
    }

    public function testTypingWhatShipsIsNoChange(): void
    {
        $this->signIn(Role::Owner);
        foreach (['/odds/faults/fuel.stale', '/odds/tests/claim.last_behaviour', '/odds/claims', '/odds/tests/start.bypass'] as $address) {
            $page = $this->browser->request('GET', $address);
            $this->browser->submit($page->selectButton('Save')->form());
            self::assertResponseRedirects($address);
        }
        self::assertSame([], self::service(OwnShares::class)->all());
    }

    public function testWhatCannotBeIsSaidAtItsFieldAndKept(): void
    {
        $this->signIn(Role::Owner);
        $page = $this->browser->request('GET', '/odds/tests/look.tap');
        $page = $this->browser->submit($page->selectButton('Save')->form(['odds[sound/look.tap/shut_or_blocked]' => '50']));
        self::assertResponseStatusCodeSame(422);
        $this->assertSays('add up to');
        self::assertSelectorExists('input[value="50"]');
        $this->browser->submit($page->selectButton('Save')->form(['odds[sound/look.tap/shut_or_blocked]' => 'often']));
        self::assertResponseStatusCodeSame(422);
        self::assertSelectorExists('input[value="often"][aria-invalid]');
        $this->post('/odds/faults/fuel.stale', ['odds' => 'all']);
        self::assertLessThan(500, $this->browser->getResponse()->getStatusCode());
        $this->post('/odds/faults/fuel.stale', ['odds' => ['faults/fuel.stale/prior' => ['x']]]);
        self::assertResponseStatusCodeSame(422);
        self::assertSame([], self::service(OwnShares::class)->all());
    }

    public function testAFaultIsGivenARowInAnotherTest(): void
    {
        $this->signIn(Role::Owner);
        $page = $this->browser->request('GET', '/odds/faults/fuel.stale');
        $page = $this->browser->submit($page->selectButton('Give it a row')->form(['test' => 'run.load']));
        $this->browser->submit($page->selectButton('Save')->form(['odds[faults/fuel.stale/shows/run.load/sags]' => '20']));
        self::assertSame(0.2, self::service(ShopOdds::class)->odds()->at('faults/fuel.stale/shows/run.load/sags'));
    }

    public function testOthersMayReadThem(): void
    {
        $this->signIn();
        $this->browser->request('GET', '/odds/faults/fuel.stale');
        self::assertResponseIsSuccessful();
        self::assertSelectorNotExists('main button:contains("Save")');
        foreach (['/odds/faults/fuel.stale', '/odds/reset'] as $address) {
            $this->post($address, ['odds' => [], 'path' => '']);
            self::assertResponseStatusCodeSame(403, $address);
        }
        foreach (['/odds/faults/fuel.blue', '/odds/tests/look.moon'] as $address) {
            $this->browser->request('GET', $address);
            self::assertResponseStatusCodeSame(404);
        }
    }

    public function testAChangeThatNoLongerFitsLeavesWhatShips(): void
    {
        $shop = self::service(ShopOdds::class);
        $shop->change([self::PRIOR => 0.3], $this->member(Role::Owner), RequestKey::fresh());
        self::assertSame(0.3, $shop->odds()->at(self::PRIOR));
        self::entities()->getConnection()->update('own_odds', ['path' => 'faults/gone.away/prior'], ['path' => self::PRIOR]);
        self::service(OwnShares::class)->reset();
        self::assertEquals(Odds::shipped(), $shop->odds());
    }
}
