<?php

declare(strict_types=1);

namespace AwakeShed\Tests\App\Photo;

use AwakeShed\App\Account\Role;
use AwakeShed\App\Http\Outage;
use AwakeShed\App\Job\Job;
use AwakeShed\App\Once\RequestKey;
use AwakeShed\App\Photo\Photo;
use AwakeShed\App\Photo\PhotoRepository;
use AwakeShed\App\Photo\PhotoStore;
use AwakeShed\Tests\App\ShedTestCase;
use League\Flysystem\FilesystemOperator;
use League\Flysystem\UnableToWriteFile;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\RequiresPhpExtension;
use PHPUnit\Framework\Attributes\TestWith;
use Psr\Clock\ClockInterface;
use Symfony\Bundle\FrameworkBundle\Console\Application;
use Symfony\Component\Clock\Test\ClockSensitiveTrait;
use Symfony\Component\Console\Tester\CommandTester;
use Symfony\Component\HttpFoundation\File\UploadedFile;
use Symfony\Component\RateLimiter\RateLimiterFactoryInterface;

final class PhotoTest extends ShedTestCase
{
    use ClockSensitiveTrait;

    public function testAPictureIsScaledStrippedAndShown(): void
    {
        $this->signIn();
        $job = $this->job();
        $this->send($job, self::picture(2400, 1200, 'secret place'));
        self::assertResponseRedirects();
        $photo = $this->photos($job)[0];
        self::assertSame([1600, 800], [$photo->getWidth(), $photo->getHeight()]);
        ob_start();
        $this->browser->request('GET', '/photos/'.$photo->getId().'/full.jpg');
        $bytes = $this->browser->getInternalResponse()->getContent();
        ob_end_clean();
        self::assertResponseHeaderSame('Content-Type', 'image/jpeg');
        self::assertStringStartsWith("\xff\xd8\xff", $bytes);
        self::assertStringNotContainsString('secret place', $bytes);
    }

    /**
     * As the phone was held: what its mark says is done to the picture, and the mark goes. Red is on the left of what the
     * camera saw.
     *
     * @param array{int, int} $size
     * @param array{int, int} $red  a point of it that is red
     */
    #[RequiresPhpExtension('exif')]
    #[TestWith([1, [40, 20], [2, 10]]), TestWith([3, [40, 20], [37, 10]]), TestWith([6, [20, 40], [10, 2]]), TestWith([8, [20, 40], [10, 37]])]
    public function testAPictureStandsUpright(int $orientation, array $size, array $red): void
    {
        $this->signIn();
        $job = $this->job();
        $picture = imagecreatetruecolor(40, 20);
        self::assertInstanceOf(\GdImage::class, $picture);
        imagefilledrectangle($picture, 0, 0, 39, 19, 0x0000FF);
        imagefilledrectangle($picture, 0, 0, 19, 19, 0xFF0000);
        $file = (string) tempnam(sys_get_temp_dir(), 'shed');
        imagejpeg($picture, $file, 100);
        $exif = "Exif\0\0II*\0".pack('Vvvv', 8, 1, 0x0112, 3).pack('Vvv', 1, $orientation, 0).pack('V', 0);
        $bytes = (string) file_get_contents($file);
        file_put_contents($file, substr($bytes, 0, 2)."\xff\xe1".pack('n', \strlen($exif) + 2).$exif.substr($bytes, 2));
        $this->send($job, $file);
        $photo = $this->photos($job)[0];
        self::assertSame($size, [$photo->getWidth(), $photo->getHeight()]);
        $stored = imagecreatefromstring(self::pictures()->read('full/'.$photo->getFile()));
        self::assertInstanceOf(\GdImage::class, $stored);
        $colour = imagecolorsforindex($stored, (int) imagecolorat($stored, ...$red));
        self::assertGreaterThan(200, $colour['red']);
        self::assertLessThan(60, $colour['blue']);
    }

    /**
     * @param array{positive-int, positive-int} $size
     * @param array{int, int}                   $full
     * @param array{int, int}                   $thumb
     */
    #[TestWith([[3300, 1], [1600, 1], [320, 1]])]
    #[TestWith([[1, 3300], [1, 1600], [1, 320]])]
    public function testAThinPictureKeepsALineAndGlassIsWhite(array $size, array $full, array $thumb): void
    {
        $this->signIn();
        $job = $this->job();
        $picture = imagecreatetruecolor(...$size);
        self::assertInstanceOf(\GdImage::class, $picture);
        imagesavealpha($picture, true);
        imagefill($picture, 0, 0, (int) imagecolorallocatealpha($picture, 0, 0, 0, 127));
        $file = (string) tempnam(sys_get_temp_dir(), 'shed');
        imagepng($picture, $file);
        $this->send($job, $file);
        $photo = $this->photos($job)[0];
        self::assertSame($full, [$photo->getWidth(), $photo->getHeight()]);
        $small = imagecreatefromstring(self::pictures()->read('small/'.$photo->getFile()));
        self::assertInstanceOf(\GdImage::class, $small);
        self::assertSame($thumb, [imagesx($small), imagesy($small)]);
        self::assertSame(['red' => 255, 'green' => 255, 'blue' => 255, 'alpha' => 0], imagecolorsforindex($small, (int) imagecolorat($small, intdiv($thumb[0], 2), intdiv($thumb[1], 2))));
    }

    public function testWithoutAPictureNothingIsSaidToBeSaved(): void
    {
        $this->signIn();
        $job = $this->job();
        $send = function (array $photos) use ($job): void {
            $this->browser->request('POST', '/jobs/'.$job->getId().'/photos', ['_token' => $this->token(), 'request_key' => RequestKey::fresh()->value], ['photos' => $photos]);
            $this->browser->followRedirect();
        };
        $send([]);
        $this->assertSays('Choose a picture first.');
        self::assertSame([], self::service(PhotoRepository::class)->ofJob($this->again($job)));
        $send([new UploadedFile(self::picture(80, 60, 'x'), 'nest.jpg', 'image/jpeg', null, true)]);
        $this->assertSays('Saved.');
        self::assertCount(1, self::service(PhotoRepository::class)->linesOf($this->again($job)));
    }

    public function testAPictureIsTakenAtAGateAndShownThere(): void
    {
        $this->signIn();
        $job = $this->job();
        foreach (['nests' => 'nests', 'moon' => null] as $sent => $kept) {
            $this->browser->request('POST', '/jobs/'.$job->getId().'/photos', ['_token' => $this->token(), 'request_key' => RequestKey::fresh()->value, 'gate' => $sent], ['photos' => [new UploadedFile(self::picture(80, 60, 'x'), 'nest.jpg', 'image/jpeg', null, true)]]);
            self::assertResponseRedirects(null === $kept ? '/jobs/'.$job->getId().'#photos' : '/jobs/'.$job->getId().'/gates?gate=nests#gate-nests');
        }
        self::assertSame(['nests', null], array_map(static fn (Photo $photo): ?string => $photo->getGate(), $this->photos($job)));
        $page = $this->browser->request('GET', '/jobs/'.$job->getId().'/gates');
        self::assertCount(1, $page->filter('#gate-nests .photos img'));
        self::assertCount(0, $page->filter('#gate-oil .photos img'));
    }

    /** @return iterable<string, array{string}> contents */
    public static function disguises(): iterable
    {
        yield 'a script' => ["<?php system('id');"];
        yield 'a script behind a picture\'s first bytes' => ["\xff\xd8\xff\xe0<?php system('id');"];
        yield 'an SVG with a script' => ['<svg xmlns="http://www.w3.org/2000/svg"><script>alert(1)</script></svg>'];
        yield 'a GIF' => ["GIF89a\x01\x00\x01\x00\x80\x00\x00\xff\xff\xff\x00\x00\x00!\xf9\x04\x01\x00\x00\x00\x00,\x00\x00\x00\x00\x01\x00\x01\x00\x00\x02\x02D\x01\x00;"];
        yield 'nothing' => [''];
        yield 'noise' => [str_repeat("\x00\x01\x02", 1000)];
    }

    #[DataProvider('disguises')]
    public function testADisguiseIsSeenThrough(string $contents): void
    {
        $this->signIn();
        $job = $this->job();
        $file = (string) tempnam(sys_get_temp_dir(), 'shed');
        file_put_contents($file, $contents);
        $this->send($job, $file);
        self::assertResponseStatusCodeSame(422);
        $this->assertSays('whatever its name says');
        self::assertSame([], $this->photos($job));
    }

    public function testAPictureOverTheLimitIsSaidSo(): void
    {
        $this->signIn();
        $job = $this->job();
        $file = new UploadedFile(self::picture(10, 10), 'big.jpg', 'image/jpeg', \UPLOAD_ERR_INI_SIZE, true);
        $this->browser->request('POST', '/jobs/'.$job->getId().'/photos', ['_token' => $this->token()], ['photos' => [$file]]);
        self::assertResponseStatusCodeSame(422);
        $this->assertSays('larger than 12 MB');
        // Over the limit of the whole form PHP hands over nothing at all.
        $this->browser->request('POST', '/jobs/'.$job->getId().'/photos');
        self::assertResponseStatusCodeSame(422);
    }

    public function testOnesOwnPictureIsRemovedAndBroughtBackAnothersIsNot(): void
    {
        $job = $this->job();
        $this->signIn();
        $this->send($job, self::picture(40, 30));
        $photo = $this->photos($job)[0];
        $this->signIn(Role::Apprentice);
        $this->post('/photos/'.$photo->getId().'/remove', []);
        self::assertResponseStatusCodeSame(403);
        $this->signIn();
        $this->post('/photos/'.$photo->getId().'/remove', []);
        self::assertSame([], $this->photos($job));
        $this->browser->followRedirect();
        $this->browser->submitForm('Bring it back');
        self::assertCount(1, $this->photos($job));
    }

    private function send(Job $job, string $file): void
    {
        $this->browser->request('POST', '/jobs/'.$job->getId().'/photos', ['_token' => $this->token()], ['photos' => [new UploadedFile($file, 'mower.jpg', 'image/jpeg', null, true)]]);
    }

    public function testMorePicturesThanAreTakenInAtOnceAreRefusedNotCutOff(): void
    {
        $this->signIn();
        $job = $this->job();
        $file = self::picture(10, 10);
        foreach ([25 => 422, 20 => 303] as $count => $status) {
            $photos = array_map(static fn (): UploadedFile => new UploadedFile($file, 'mower.jpg', 'image/jpeg', null, true), range(1, $count));
            $this->browser->request('POST', '/jobs/'.$job->getId().'/photos', ['_token' => $this->token(), 'request_key' => RequestKey::fresh()->value], ['photos' => $photos]);
            self::assertResponseStatusCodeSame($status);
        }
        self::assertCount(20, $this->photos($job));
    }

    public function testManyPixelsInSmallFilesAreRefusedByTheirHeaders(): void
    {
        $this->signIn();
        $job = $this->job();
        $file = (string) tempnam(sys_get_temp_dir(), 'shed');
        // A header alone: 6300 by 6300 pixels that nobody may have to decode.
        $header = pack('NNCCCCC', 6300, 6300, 8, 0, 0, 0, 0);
        file_put_contents($file, "\x89PNG\r\n\x1a\n".pack('N', 13).'IHDR'.$header.pack('N', crc32('IHDR'.$header)));
        $photos = array_map(static fn (): UploadedFile => new UploadedFile($file, 'x.png', 'image/png', null, true), range(1, 6));
        $this->browser->request('POST', '/jobs/'.$job->getId().'/photos', ['_token' => $this->token()], ['photos' => $photos]);
        self::assertResponseStatusCodeSame(422);
        $this->assertSays('more than 200 million pixels together');
    }

    public function testOnePersonsPixelsAreCounted(): void
    {
        $limiter = self::getContainer()->get('limiter.photo_pixels');
        self::assertInstanceOf(RateLimiterFactoryInterface::class, $limiter);
        self::assertTrue($limiter->create((string) $this->member(Role::Technician)->getId())->consume(400)->isAccepted());
        $this->signIn();
        $job = $this->job();
        $this->send($job, self::picture(10, 10));
        self::assertResponseStatusCodeSame(422);
        $this->assertSays('more pictures than can be worked off just now');
        $this->signIn(Role::Apprentice);
        $this->send($job, self::picture(10, 10));
        self::assertResponseRedirects();
    }

    public function testARemovedPictureIsNoLongerServed(): void
    {
        $this->signIn();
        $job = $this->job();
        $this->send($job, self::picture(40, 30));
        $id = $this->photos($job)[0]->getId();
        $this->post("/photos/$id/remove", []);
        $this->browser->request('GET', "/photos/$id/full.jpg");
        self::assertResponseStatusCodeSame(404);
    }

    public function testAFullDiskIsAnOutageAndNothingIsHalfStored(): void
    {
        $job = $this->job();
        $stored = [];
        $full = self::createStub(FilesystemOperator::class);
        $full->method('write')->willReturnCallback(static function (string $file) use (&$stored): void {
            if (3 === \count($stored)) {
                throw UnableToWriteFile::atLocation($file, 'No space left on device');
            }
            $stored[] = $file;
        });
        $full->method('delete')->willReturnCallback(static function (string $file) use (&$stored): void {
            $stored = array_values(array_diff($stored, [$file]));
        });
        $limiter = self::getContainer()->get('limiter.photo_pixels');
        self::assertInstanceOf(RateLimiterFactoryInterface::class, $limiter);
        $store = new PhotoStore($full, self::entities(), self::service(ClockInterface::class), $limiter, sys_get_temp_dir());
        @mkdir(sys_get_temp_dir().'/tmp');
        try {
            $store->add($job, $this->member(Role::Technician), [self::picture(10, 10), self::picture(10, 10)]);
            self::fail('It was stored nowhere.');
        } catch (UnableToWriteFile $failure) {
            self::assertSame(Outage::Disk, Outage::in($failure));
        }
        self::assertSame([], $stored);
    }

    public function testStrayFilesAndLostOnesAreFoundAndMended(): void
    {
        $this->signIn();
        $job = $this->job();
        foreach ([1, 2, 3] as $picture) {
            $this->send($job, self::picture(40 + $picture, 30));
        }
        [$whole, $lost, $small] = $this->photos($job);
        $files = self::pictures();
        $files->delete('full/'.$lost->getFile());
        $files->delete('small/'.$small->getFile());
        $files->write('full/stray.jpg', 'x');
        self::mockTime(new \DateTimeImmutable('+3 hours'));
        $command = new CommandTester((new Application(self::$kernel ?? self::fail()))->find('shed:mend-photos'));
        $command->execute([]);
        self::assertStringContainsString('1 photos without a picture, 1 without a small one.', $command->getDisplay());
        $command->execute(['--yes' => true]);
        self::assertFalse($files->fileExists('full/stray.jpg'));
        self::assertTrue($files->fileExists('small/'.$small->getFile()));
        self::assertSame([$whole->getId(), $small->getId()], array_map(static fn (Photo $photo): int => $photo->getId(), $this->photos($job)));
        self::assertStringContainsString('1 without a small one: mended.', $command->getDisplay());
        // What is no picture any more is not said to be mended, and is kept: a backup may hold it whole.
        $files->delete('small/'.$small->getFile());
        $files->write('full/'.$small->getFile(), 'half a picture');
        $command->execute(['--yes' => true]);
        self::assertStringContainsString('Photo '.$small->getId().' of job '.$job->getId().': its picture cannot be read', $command->getDisplay());
        self::assertStringContainsString('0 photos without a picture, 0 without a small one: mended.', $command->getDisplay());
        self::assertFalse($files->fileExists('small/'.$small->getFile()));
        self::assertCount(2, $this->photos($job));
    }

    /** @return list<Photo> */
    private function photos(Job $job): array
    {
        self::entities()->clear();

        return self::service(PhotoRepository::class)->findBy(['job' => $job->getId(), 'removedAt' => null]);
    }
}
