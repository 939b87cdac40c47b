<?php

declare(strict_types=1);

namespace AwakeShed\Tests\App\Build;

use AwakeShed\App\Build\Freshness;
use PHPUnit\Framework\TestCase;

final class FreshnessTest extends TestCase
{
    private string $project;

    protected function setUp(): void
    {
        $this->project = sys_get_temp_dir().'/shed-fresh-'.bin2hex(random_bytes(4));
        foreach (['config', 'core', 'src/Job', 'templates', 'translations', 'var/cache/prod'] as $folder) {
            mkdir("$this->project/$folder", recursive: true);
        }
        file_put_contents("$this->project/src/Job/Job.php", 'x');
        file_put_contents("$this->project/config/reference.php", 'x');
    }

    protected function tearDown(): void
    {
        foreach (['src/Job/Job.php', 'config/reference.php', 'var/cache/prod/AppContainer.php'] as $file) {
            @unlink("$this->project/$file");
        }
        foreach (['var/cache/prod', 'var/cache', 'var', 'templates', 'translations', 'src/Job', 'src', 'core', 'config', ''] as $folder) {
            rmdir("$this->project/$folder");
        }
    }

    public function testABuildIsStaleOnceWhatItIsMadeOfIsYounger(): void
    {
        self::assertFalse(Freshness::isStale($this->project, 'prod'), 'Where nothing is built nothing is stale.');
        $container = "$this->project/var/cache/prod/AppContainer.php";
        touch($container, 2000);
        touch("$this->project/src/Job/Job.php", 1000);
        touch("$this->project/config/reference.php", 3000);
        self::assertFalse(Freshness::isStale($this->project, 'prod'), 'What the making writes makes nothing stale.');
        touch("$this->project/src/Job/Job.php", 2001);
        clearstatcache();
        self::assertTrue(Freshness::isStale($this->project, 'prod'));
        self::assertFalse(Freshness::isStale($this->project, 'test'));
    }
}
