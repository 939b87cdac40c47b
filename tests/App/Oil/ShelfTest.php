<?php

declare(strict_types=1);

namespace AwakeShed\Tests\App\Oil;

use AwakeShed\App\Account\Role;
use AwakeShed\App\Evidence\Recorder;
use AwakeShed\App\Oil\Shelf;
use AwakeShed\App\Once\RequestKey;
use AwakeShed\App\Reader\UnitSystem;
use AwakeShed\Core\Evidence\Finding;
use AwakeShed\Tests\App\ShedTestCase;

final class ShelfTest extends ShedTestCase
{
    public function testWhatAFillingTakesGoesOffAndComesBackWithIt(): void
    {
        $this->signIn();
        $this->post('/oil', ['name' => 'SAE 30', 'volume' => '4000']);
        self::assertResponseRedirects('/oil');
        $oil = (string) self::service(Shelf::class)->stocks()[0]->id;
        $job = $this->job();
        $this->found($job, Finding::observed('look.oil_level', 'far_over'), Finding::observed('look.oil_smell', 'gas'));
        $this->post('/jobs/'.$job->getId().'/acts', ['step' => 'flush.drain', 'ml' => '900']);
        $page = $this->browser->request('GET', '/jobs/'.$job->getId().'/stages/flush');
        $this->browser->submit($page->filter('#act-flush-fill_1')->form(['ml' => '550', 'oil' => $oil]));
        self::assertSame([[3450.0, 550.0]], $this->stocks());
        foreach ([[4000.0, 0.0], [3450.0, 550.0]] as $stock) {
            // Taken back, and that taken back.
            $entries = $this->record($this->again($job))->entries;
            self::service(Recorder::class)->withdraw($entries[\count($entries) - 1], $this->member(Role::Technician), RequestKey::fresh());
            self::assertSame([$stock], $this->stocks());
        }
    }

    public function testItIsCountedAndAddedToInTheUnitsOfThePerson(): void
    {
        $this->member(Role::Technician)->prefer(UnitSystem::Us, $this->member(Role::Technician)->getLook());
        self::entities()->flush();
        $this->signIn();
        $this->post('/oil', ['name' => '5W-30', 'volume' => '32']);
        $id = self::service(Shelf::class)->stocks()[0]->id;
        self::assertEqualsWithDelta(946.35, $this->stocks()[0][0], 0.01, 'a quart');
        $this->browser->request('GET', '/oil');
        $this->assertSays('Low: the next change may find too little.');
        $this->post("/oil/$id/bought", ['volume' => '1 L']);
        self::assertEqualsWithDelta(1946.35, $this->stocks()[0][0], 0.01);
        $this->post("/oil/$id/counted", ['volume' => '1.5 L']);
        self::assertSame(1500.0, $this->stocks()[0][0]);
        $this->post("/oil/$id/counted", ['volume' => '0']);
        self::assertSame(0.0, $this->stocks()[0][0], 'the shelf is empty');
        $this->post("/oil/$id/counted", ['volume' => '250 L']);
        self::assertSame(250_000.0, $this->stocks()[0][0]);
        $this->post("/oil/$id/counted", ['volume' => '250.1 L']);
        self::assertResponseStatusCodeSame(422, 'more than a barrel');
        $this->post("/oil/$id/counted", ['volume' => '1.5 L']);
        $this->browser->request('GET', '/oil.csv');
        self::assertStringContainsString("oil,left_ml,used_ml\n5W-30,1500,0", (string) $this->browser->getResponse()->getContent());
    }

    public function testWhatCannotBeIsRefusedAndKeptAsTyped(): void
    {
        $this->signIn();
        $this->post('/oil', ['name' => 'SAE 30', 'volume' => '4000']);
        $id = self::service(Shelf::class)->stocks()[0]->id;
        foreach ([['/oil', ['name' => 'SAE 30', 'volume' => '10']], ['/oil', ['name' => '', 'volume' => '1000']], ['/oil', ['name' => 'Other', 'volume' => 'lots']], ["/oil/$id/bought", ['volume' => '-5']], ["/oil/$id/counted", ['volume' => '999999999']]] as [$address, $fields]) {
            $this->post($address, $fields);
            self::assertResponseStatusCodeSame(422, $address);
            self::assertSelectorExists(\sprintf('input[name="volume"][value="%s"]', $fields['volume']));
        }
        self::assertSame([[4000.0, 0.0]], $this->stocks());
        $this->signIn(Role::Apprentice);
        $this->post('/oil', ['name' => 'Blue', 'volume' => '1000']);
        self::assertResponseStatusCodeSame(403);
    }

    /** @return list<array{float, float}> left, used, mL */
    private function stocks(): array
    {
        return array_map(static fn ($stock): array => [round($stock->left->inMillilitres(), 3), round($stock->used->inMillilitres(), 3)], self::service(Shelf::class)->stocks());
    }
}
