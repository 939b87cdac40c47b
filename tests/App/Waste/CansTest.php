<?php

declare(strict_types=1);

namespace AwakeShed\Tests\App\Waste;

use AwakeShed\App\Account\Role;
use AwakeShed\App\Shop\ShopFile;
use AwakeShed\App\Waste\CanFill;
use AwakeShed\App\Waste\WasteCan;
use AwakeShed\App\Waste\WasteLedger;
use AwakeShed\Core\Fuel\WasteStream;
use AwakeShed\Core\Units\Volume;
use AwakeShed\Tests\App\ShedTestCase;

final class CansTest extends ShedTestCase
{
    public function testACanIsPutUpFilledFullAndTakenAway(): void
    {
        $this->signIn();
        $page = $this->browser->request('GET', '/waste');
        $this->assertSays('No can has a name yet.');
        $this->browser->submit($page->selectButton('Put it up')->form(['name' => 'Red can by the door', 'stream' => 'stale_gasoline', 'volume' => '2,5 L']));
        self::assertResponseRedirects('/waste');
        $job = $this->job();
        $this->pour($job, 1500);
        self::assertSame(0.6, $this->fills()[0]->share());
        self::assertFalse($this->fills()[0]->isFull());
        $this->pour($job, 900);
        self::assertTrue($this->fills()[0]->isFull(), 'it is not filled to the brim');
        $page = $this->browser->request('GET', '/waste');
        $this->assertSays('Full: take it to the collection point.');
        self::assertSelectorExists('svg[aria-label="Red can by the door: 96 % full"]');
        $this->browser->submit($page->selectButton('Taken to the collection point')->form());
        self::assertSame(0.0, $this->fills()[0]->share());
        $this->browser->request('GET', '/waste');
        $this->assertSays('2.4 L');
    }

    public function testTheLocalRulesAreWrittenDownOnceAndSaidWhereACanIsFull(): void
    {
        $this->signIn();
        $this->cans(['Drum' => 1000]);
        $this->pour($this->job(), 990);
        $page = $this->browser->request('GET', '/waste');
        $this->browser->submit($page->filter('form[action$="/rules/stale_gasoline"]')->form(['note' => 'Yard, Thursdays, closed metal can <only>.']));
        self::assertResponseRedirects('/waste');
        $this->browser->followRedirect();
        $this->assertSays('Full: take it to the collection point. Yard, Thursdays, closed metal can &lt;only&gt;.');
        $this->post('/waste/rules/moonshine', ['note' => 'x']);
        self::assertResponseStatusCodeSame(404);
        $this->signIn(Role::Apprentice);
        $this->post('/waste/rules/solvent', ['note' => 'x']);
        self::assertResponseStatusCodeSame(403);
    }

    public function testWhatIsPouredGoesWhereThereIsRoom(): void
    {
        $this->cans(['One' => 1000, 'Two' => 1000]);
        $job = $this->job();
        foreach ([600, 600, 200, 900] as $ml) {
            $this->pour($job, $ml);
        }
        self::assertSame([800.0, 1500.0], array_map(static fn ($fill): float => $fill->held->inMillilitres(), $this->fills()), 'into the first with room, else into the last');
    }

    public function testACanNobodyPouredIntoIsEmpty(): void
    {
        self::entities()->persist(new WasteCan('New can', WasteStream::StaleGasoline, Volume::millilitres(1000)));
        self::entities()->flush();

        self::assertSame([0.0], array_map(static fn (CanFill $fill): float => $fill->held->inMillilitres(), self::service(WasteLedger::class)->fills()));
    }

    public function testACanThatCannotBeIsRefusedAndKeptAsTyped(): void
    {
        $this->signIn();
        $page = $this->browser->request('GET', '/waste');
        foreach ([['', '5'], ['Blue', 'lots'], ['Blue', '9000']] as [$name, $litres]) {
            $page = $this->browser->submit($page->selectButton('Put it up')->form(['name' => $name, 'volume' => $litres]));
            self::assertResponseStatusCodeSame(422);
            self::assertSelectorExists(\sprintf('#can-volume[value="%s"]', $litres));
        }
        self::assertSame([], $this->fills());
        $this->signIn(Role::Apprentice);
        $this->post('/waste/cans', ['name' => 'Blue', 'stream' => 'solvent', 'volume' => '5']);
        self::assertResponseStatusCodeSame(403);
    }

    public function testTheLedgerGoesOutAsCsv(): void
    {
        $this->signIn();
        $this->cans(['=One' => 5000]);
        $this->pour($this->job(label: 'Heronbill, small'), 700);
        $this->browser->request('GET', '/waste.csv');
        self::assertResponseHeaderSame('Content-Type', 'text/csv; charset=utf-8');
        $lines = explode("\n", trim($this->browser->getInternalResponse()->getContent()));
        self::assertCount(2, $lines);
        self::assertSame('at,job,machine,stream,can,ml,by', $lines[0]);
        self::assertStringContainsString('"Heronbill, small",stale_gasoline,\'=One,700,"Technician Tester"', $lines[1]);
    }

    public function testTheLedgerIsInTheArchiveOfTheShop(): void
    {
        $job = $this->job();
        $this->pour($job, 300);
        $this->cans(['=One' => 5000]);
        $this->pour($job, 700);
        $file = (string) tempnam(sys_get_temp_dir(), 'shed');
        self::service(ShopFile::class)->write($file);
        $zip = new \ZipArchive();
        $zip->open($file);
        $lines = explode("\n", trim((string) $zip->getFromName('waste.csv')));
        unlink($file);
        self::assertSame('at,job,stream,can,ml', array_shift($lines));
        $poured = array_map(static fn (string $line): string => explode(',', $line, 2)[1], $lines);
        sort($poured);
        self::assertSame([$job->getId().",stale_gasoline,'=One,700", $job->getId().',stale_gasoline,,300'], $poured);
    }

    /** @param array<string, int> $cans name => mL */
    private function cans(array $cans): void
    {
        foreach ($cans as $name => $ml) {
            self::entities()->persist(new WasteCan($name, WasteStream::StaleGasoline, Volume::millilitres($ml)));
        }
        self::entities()->flush();
    }

    private function pour(\AwakeShed\App\Job\Job $job, float $ml): void
    {
        self::service(WasteLedger::class)->pour($job, WasteStream::StaleGasoline, Volume::millilitres($ml), $this->member(Role::Technician));
        self::entities()->flush();
    }

    /** @return list<CanFill> */
    private function fills(): array
    {
        return self::service(WasteLedger::class)->fills();
    }
}
