<?php

declare(strict_types=1);

namespace AwakeShed\Tests\App\Cluster;

use AwakeShed\App\Account\SessionFiles;
use AwakeShed\App\Account\SessionTable;
use AwakeShed\App\Cluster\Places;
use AwakeShed\App\Evidence\NewsStamps;
use AwakeShed\Tests\App\ShedTestCase;
use Symfony\Component\Cache\Adapter\NullAdapter;
use Symfony\Component\RateLimiter\RateLimiterFactory;
use Symfony\Component\RateLimiter\Storage\CacheStorage;

/** What one web server does, the others know. */
final class PlacesTest extends ShedTestCase
{
    public function testTriesAtOneServerCountAtTheOthers(): void
    {
        [$one, $other] = [$this->tries(), $this->tries()];
        self::assertTrue($one->consume()->isAccepted());
        self::assertTrue($other->consume()->isAccepted());
        self::assertFalse($one->consume()->isAccepted());
        self::assertFalse($other->consume()->isAccepted());
    }

    public function testSessionsLieWhereTheyAreShared(): void
    {
        self::assertInstanceOf(SessionTable::class, $this->places(true)->sessions());
        self::assertInstanceOf(SessionFiles::class, $this->places(false)->sessions());
    }

    public function testNewsOfOneServerReachTheFilesOfAnother(): void
    {
        [$here, $there] = array_map(static function (string $name): string {
            $folder = sys_get_temp_dir().'/shed-news-'.$name.bin2hex(random_bytes(4));
            mkdir($folder.'/news', recursive: true);

            return $folder;
        }, ['here', 'there']);
        $database = self::entities()->getConnection();
        $job = $this->job();
        $writer = new NewsStamps($here, 'secret', true, $database);
        $reader = new NewsStamps($there, 'secret', true, $database);
        $writer->stamp($job, 17);
        $known = $reader->relay([]);
        $said = file_get_contents($there.$reader->address($job));
        self::assertSame(file_get_contents($here.$writer->address($job)), $said);
        self::assertStringStartsWith('17 ', (string) $said);
        // Told once: the file is left alone until there is something new.
        unlink($there.$reader->address($job));
        $known = $reader->relay($known);
        self::assertFileDoesNotExist($there.$reader->address($job));
        $writer->stamp($job, 18);
        $reader->relay($known);
        self::assertStringStartsWith('18 ', (string) file_get_contents($there.$reader->address($job)));
        foreach ([$here, $there] as $folder) {
            array_map(unlink(...), array_filter((array) glob($folder.'/news/*'), is_string(...)));
            rmdir($folder.'/news');
            rmdir($folder);
        }
    }

    private function tries(): \Symfony\Component\RateLimiter\LimiterInterface
    {
        return (new RateLimiterFactory(['id' => 'tries', 'policy' => 'sliding_window', 'limit' => 2, 'interval' => '1 minute'], new CacheStorage($this->places(true)->limits())))->create('somebody');
    }

    private function places(bool $isShared): Places
    {
        $database = self::entities()->getConnection();

        return new Places($isShared, static fn (): SessionFiles => new SessionFiles('/nowhere'), static fn (): SessionTable => new SessionTable($database), static fn (): NullAdapter => new NullAdapter(), static fn () => $database);
    }
}
