<?php

declare(strict_types=1);

namespace AwakeShed\Tests\App\Shelf;

use AwakeShed\App\Account\Role;
use AwakeShed\App\Carburetor\WantedPart;
use AwakeShed\App\Carburetor\WantedState;
use AwakeShed\App\Money\ChargeRepository;
use AwakeShed\App\Shelf\PartCondition;
use AwakeShed\App\Shelf\PartsShelf;
use AwakeShed\App\Shelf\ShelfPart;
use AwakeShed\Tests\App\ShedTestCase;
use Symfony\Component\HttpFoundation\File\UploadedFile;

final class ShelfTest extends ShedTestCase
{
    public function testAPartIsPutUpCountedAndSaidToBeOrdered(): void
    {
        $this->signIn();
        $page = $this->browser->request('GET', '/shelf');
        $this->browser->submit($page->selectButton('Put it up')->form(['part' => 'Bowl gasket', 'condition' => 'new', 'number' => 'BG-52', 'place' => 'drawer 3', 'count' => '2', 'order_below' => '3', 'price' => '3,50']));
        self::assertResponseRedirects('/shelf');
        $part = $this->only();
        self::assertSame([2, 3, 3.5], [$part->getCount(), $part->getLeast(), $part->getPrice()]);
        $this->browser->request('GET', '/shelf');
        self::assertSelectorTextContains('[data-order]', 'Bowl gasket BG-52');
        $this->post('/shelf/'.$part->getId().'/came', ['number' => '5']);
        self::assertSame(7, $this->only()->getCount());
        $this->post('/shelf/'.$part->getId().'/counted', ['number' => '6']);
        self::assertSame(6, $this->only()->getCount());
        $this->browser->request('GET', '/shelf');
        self::assertSelectorTextContains('[data-move]', '-1 Bowl gasket', 'counted one less than the book said');
        $this->post('/shelf/'.$part->getId().'/counted', ['number' => '-1']);
        self::assertResponseStatusCodeSame(422);
        $this->browser->request('GET', '/shelf.csv');
        self::assertStringContainsString('"Bowl gasket",BG-52,new,"drawer 3",6,3', (string) $this->browser->getResponse()->getContent());
    }

    public function testAWantedPartIsFilledFromItOnceAndStandsOnTheBill(): void
    {
        $this->signIn(Role::Apprentice);
        $job = $this->job();
        self::entities()->persist($wanted = new WantedPart($job, 'Needle and seat', 1, $this->member(Role::Technician), new \DateTimeImmutable()));
        $this->up('Needle and seat, gravity', 1, 8.0);
        $this->browser->request('GET', '/jobs/'.$job->getId().'/parts');
        $page = $this->browser->getCrawler();
        self::assertSelectorTextContains('[data-on-shelf]', 'Needle and seat, gravity');
        $form = $page->filter('[data-on-shelf]')->selectButton('Take it')->form();
        $this->browser->submit($form);
        $this->browser->submit($form);
        self::assertSame(0, $this->only()->getCount());
        $charges = self::service(ChargeRepository::class)->ofJob($this->again($job));
        self::assertCount(1, $charges);
        self::assertSame(8.0, $charges[0]->line()->amount()->inDollars());
        self::assertSame(WantedState::Here, self::entities()->find(WantedPart::class, $wanted->getId())?->getState());
    }

    public function testADonorThatIsGoneIsNoneAnyMore(): void
    {
        foreach ([['Whole engine, Alderholm 160', 1], ['Deck of an Alderholm', 0]] as [$name, $count]) {
            $part = new ShelfPart($name, PartCondition::Donor);
            $part->move($count);
            self::entities()->persist($part);
        }
        self::entities()->flush();

        self::assertSame(['Whole engine, Alderholm 160'], array_map(static fn (ShelfPart $part): string => $part->getName(), self::service(PartsShelf::class)->donors('Alderholm 160')));
    }

    public function testMoreThanLiesThereDoesNotGo(): void
    {
        $this->signIn();
        $job = $this->job();
        self::entities()->persist($wanted = new WantedPart($job, 'Plug', 3, $this->member(Role::Technician), new \DateTimeImmutable()));
        $part = $this->up('Plug', 1, 4.0);
        $this->post('/parts/'.$wanted->getId().'/off-the-shelf/'.$part->getId(), []);
        self::assertResponseRedirects();
        self::assertSame(1, $this->only()->getCount());
        self::assertSame(WantedState::ToOrder, self::entities()->find(WantedPart::class, $wanted->getId())?->getState());
    }

    public function testATableIsReadInWholeOrNotAtAll(): void
    {
        $this->signIn();
        $send = function (string $table): void {
            $path = (string) tempnam(sys_get_temp_dir(), 'shelf');
            file_put_contents($path, $table);
            $token = $this->token();
            $this->browser->request('POST', '/shelf/import', ['_token' => $token, 'request_key' => \AwakeShed\App\Once\RequestKey::fresh()->value], ['file' => new UploadedFile($path, 'shelf.csv', 'text/csv', test: true)]);
        };
        $send("part,count,condition\nBelt,2,new\nBlade,x,new\n");
        self::assertResponseStatusCodeSame(422);
        $this->assertSays('3:');
        self::assertSame([], self::service(PartsShelf::class)->all());
        $send("part;count;condition;fits\nBelt;2;new;\nFlat slide carburetor;1;donor;Heronbill 21\n");
        self::assertResponseRedirects('/shelf');
        self::assertCount(2, self::service(PartsShelf::class)->all());
        self::assertCount(1, self::service(PartsShelf::class)->donors('Heronbill 21 push'));
        self::assertSame([], self::service(PartsShelf::class)->donors('Tarnsmith path'));
        $send('no table at all');
        self::assertResponseStatusCodeSame(422);
    }

    private function up(string $name, int $count, float $price): ShelfPart
    {
        $part = new ShelfPart($name, PartCondition::New);
        $part->describe(PartCondition::New, '', '', '', '', 0, $price);
        $part->move($count);
        self::entities()->persist($part);
        self::entities()->flush();

        return $part;
    }

    private function only(): ShelfPart
    {
        self::entities()->clear();

        return self::service(PartsShelf::class)->all()[0] ?? self::fail('Nothing lies there.');
    }
}
