<?php

declare(strict_types=1);

namespace AwakeShed\Tests\App\Diagnosis;

use AwakeShed\App\Account\Role;
use AwakeShed\App\Account\Shop;
use AwakeShed\App\Belonging\CurrentShop;
use AwakeShed\App\Diagnosis\KeptAssessments;
use AwakeShed\App\Diagnosis\OwnShares;
use AwakeShed\App\Diagnosis\ShopOdds;
use AwakeShed\App\Once\RequestKey;
use AwakeShed\Core\Evidence\CaseFile;
use AwakeShed\Core\Evidence\Finding;
use AwakeShed\Core\Evidence\MachineFacts;
use AwakeShed\Core\Evidence\MachineKind;
use AwakeShed\Core\Evidence\Vocabulary;
use AwakeShed\Core\Gate\Gatekeeper;
use AwakeShed\Tests\App\ShedTestCase;
use AwakeShed\Tests\Core\Diagnosis\Assessing as Cases;
use Symfony\Component\Cache\Adapter\FilesystemAdapter;
use Symfony\Component\Filesystem\Filesystem;
use Symfony\Component\Finder\Finder;

/** What was worked out once is taken from where it was kept, and is what it would be if it were worked out again. */
final class KeptAssessmentsTest extends ShedTestCase
{
    private string $folder;

    protected function setUp(): void
    {
        parent::setUp();
        $this->folder = sys_get_temp_dir().'/kept-'.bin2hex(random_bytes(6));
    }

    protected function tearDown(): void
    {
        (new Filesystem())->remove($this->folder);
        parent::tearDown();
    }

    public function testTheSameCaseIsWorkedOutOnce(): void
    {
        self::entities();
        $case = $this->sooty();
        $fresh = Cases::assessor()->assess($case);
        self::assertEquals($fresh, $this->kept()->assess($case));
        // Another request: nothing is in memory.
        self::assertEquals($fresh, $this->kept()->assess($this->sooty()));
        self::assertSame(Cases::assessor()->beliefs($case), $this->kept()->beliefs($case));
        self::assertSame(Cases::assessor()->beliefs($case), $this->kept()->beliefs($this->sooty()));
        self::assertSame(2, $this->made());
    }

    public function testWhatIsOtherwiseIsWorkedOutAnew(): void
    {
        self::entities();
        $case = $this->sooty();
        $others = [
            $case->with(Finding::observed('look.tank', 'clean')),
            new CaseFile(new MachineFacts(MachineKind::Generator), $case->events, $case->schools),
            new CaseFile($case->machine, array_reverse($case->events), $case->schools),
            new CaseFile($case->machine, $case->events, ['soak' => 'overnight'] + $case->schools),
        ];
        $this->kept()->assess($case);
        foreach ($others as $place => $other) {
            self::assertEquals(Cases::assessor()->assess($other), $this->kept()->assess($other));
            self::assertSame(2 + $place, $this->made());
        }
    }

    public function testOddsOfOnesOwnAreWorkedOutAnew(): void
    {
        $case = $this->sooty();
        $owner = $this->member(Role::Owner);
        $odds = self::service(ShopOdds::class);
        $shipped = $this->kept()->beliefs($case);
        $odds->change(['faults/spark.plug_bad/prior' => 0.4], $owner, RequestKey::fresh());
        $this->kept()->beliefs($case);
        self::assertSame(2, $this->made());
        $odds->reset([], $owner, RequestKey::fresh());
        self::assertSame($shipped, $this->kept()->beliefs($case));
        self::assertSame(2, $this->made());
    }

    public function testWhoeverGoesFromShopToShopHasTheOddsOfEach(): void
    {
        $case = $this->sooty();
        $kept = $this->kept();
        self::service(ShopOdds::class)->change(['faults/spark.plug_bad/prior' => 0.4], $this->member(Role::Owner), RequestKey::fresh());
        $own = $kept->beliefs($case);
        self::service(CurrentShop::class)->enter(Shop::FIRST + 1);
        self::assertSame(Cases::assessor()->beliefs($case), $kept->beliefs($case));
        self::service(CurrentShop::class)->enter(Shop::FIRST);
        self::assertSame($own, $kept->beliefs($case));
        self::assertNotSame($own['spark.plug_bad'], Cases::assessor()->beliefs($case)['spark.plug_bad']);
    }

    private function sooty(): CaseFile
    {
        return Cases::case(Cases::GATES + ['look.plug' => 'sooty'], 'mower');
    }

    private function kept(): KeptAssessments
    {
        return new KeptAssessments(static fn (): ShopOdds => self::service(ShopOdds::class), self::service(Vocabulary::class), self::service(Gatekeeper::class), self::service(OwnShares::class), new FilesystemAdapter('', 86_400, $this->folder));
    }

    private function made(): int
    {
        return (new Finder())->files()->in($this->folder)->count();
    }
}
