<?php

declare(strict_types=1);

namespace AwakeShed\Tests\App\Photo;

use AwakeShed\App\Photo\PictureFolder;
use League\Flysystem\Filesystem;
use League\Flysystem\FilesystemException;
use League\Flysystem\StorageAttributes;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** One contract for every place in which pictures can lie; the bucket is the stand-in, asked by the kept S3 client. */
final class PictureFolderTest extends TestCase
{
    private const SECRET = 'a secret/with+signs';

    private string $folder;

    /** @var resource|null */
    private $server;

    protected function setUp(): void
    {
        $this->folder = sys_get_temp_dir().'/shed-pictures-'.bin2hex(random_bytes(4));
        mkdir($this->folder);
    }

    protected function tearDown(): void
    {
        if (\is_resource($this->server)) {
            proc_terminate($this->server);
            proc_close($this->server);
        }
        (new Filesystem(PictureFolder::open($this->folder, '')))->deleteDirectory('');
    }

    #[TestWith(['folder']), TestWith(['bucket'])]
    public function testPicturesAreWrittenReadListedAndTakenAway(string $kind): void
    {
        $pictures = new Filesystem(PictureFolder::open($this->place($kind), '/nowhere'));
        self::assertFalse($pictures->fileExists('full/a.jpg'));
        $raw = random_bytes(200_000);
        $pictures->write('full/a.jpg', $raw);
        $pictures->write('small/a.jpg', 'small');
        $pictures->write('full/with space + plus.jpg', 'odd');
        self::assertTrue($pictures->fileExists('full/a.jpg'));
        self::assertSame($raw, $pictures->read('full/a.jpg'));
        self::assertSame('odd', $pictures->read('full/with space + plus.jpg'));
        self::assertSame($raw, stream_get_contents($pictures->readStream('full/a.jpg')));
        self::assertSame(5, $pictures->fileSize('small/a.jpg'));
        self::assertEqualsWithDelta(time(), $pictures->lastModified('full/a.jpg'), 60);
        self::assertSame(['full/a.jpg', 'full/with space + plus.jpg', 'small/a.jpg'], self::files($pictures));
        $pictures->write('small/a.jpg', 'another');
        self::assertSame('another', $pictures->read('small/a.jpg'));
        $pictures->delete('full/a.jpg');
        // Taken away twice is taken away.
        $pictures->delete('full/a.jpg');
        self::assertSame(['full/with space + plus.jpg', 'small/a.jpg'], self::files($pictures));
        $this->expectException(FilesystemException::class);
        $pictures->read('full/a.jpg');
    }

    public function testABucketLetsNobodyInWithAnotherSecret(): void
    {
        $place = str_replace(rawurlencode(self::SECRET), 'guessed', $this->place('bucket'));
        $this->expectException(FilesystemException::class);
        (new Filesystem(PictureFolder::open($place, '')))->write('full/a.jpg', 'mine');
    }

    public function testNoPlaceIsTheFolderOfTheShed(): void
    {
        (new Filesystem(PictureFolder::open('', $this->folder)))->write('full/a.jpg', 'here');
        self::assertFileExists($this->folder.'/full/a.jpg');
    }

    #[TestWith(['s3://nobody@127.0.0.1/bucket']), TestWith(['s3://key:secret@127.0.0.1:1/']), TestWith(['s3://'])]
    public function testAPlaceThatIsNoneIsSaidSo(string $place): void
    {
        $this->expectException(\InvalidArgumentException::class);
        PictureFolder::open($place, $this->folder);
    }

    /** @return list<string> */
    private static function files(Filesystem $pictures): array
    {
        return array_values($pictures->listContents('', true)->filter(static fn (StorageAttributes $one): bool => $one->isFile())->sortByPath()->map(static fn (StorageAttributes $one): string => $one->path())->toArray());
    }

    private function place(string $kind): string
    {
        if ('folder' === $kind) {
            return $this->folder;
        }
        if (!is_file(\dirname(__DIR__, 3).'/packages/s3/vendor/autoload.php')) {
            self::markTestSkipped('The libraries for S3 are not here: composer install -d packages/s3 --no-scripts');
        }
        $port = random_int(20_000, 45_000);
        $server = proc_open(
            [\PHP_BINARY, '-S', "127.0.0.1:$port", \dirname(__DIR__, 3).'/bin/lib/bucket.php'],
            [['file', '/dev/null', 'r'], ['file', '/dev/null', 'w'], ['file', '/dev/null', 'w']],
            $pipes,
            null,
            ['SHED_BUCKET' => $this->folder, 'SHED_BUCKET_KEY' => 'shed', 'SHED_BUCKET_SECRET' => self::SECRET],
        );
        self::assertIsResource($server);
        $this->server = $server;
        for ($wait = 0; $wait < 100 && false === @fsockopen('127.0.0.1', $port); ++$wait) {
            usleep(50_000);
        }

        return 's3://shed:'.rawurlencode(self::SECRET)."@127.0.0.1:$port/pictures";
    }
}
