<?php

declare(strict_types=1);

namespace AwakeShed\Tests\App\Trace;

use AwakeShed\App\Device\Gauge\Scenario;
use Symfony\Bundle\FrameworkBundle\Console\Application;
use Symfony\Bundle\FrameworkBundle\Test\KernelTestCase;
use Symfony\Component\Console\Tester\CommandTester;

final class HearCommandTest extends KernelTestCase
{
    public function testSaysSpeedAndHuntAsJson(): void
    {
        $file = (string) tempnam(sys_get_temp_dir(), 'hear');
        file_put_contents($file, Scenario::Surge->sound());
        $tester = self::tester();
        self::assertSame(0, $tester->execute(['file' => $file]));
        self::assertSame(0, self::tester()->execute(['file' => $file, '--near' => '3100']));
        $said = json_decode($tester->getDisplay(), true, 8, \JSON_THROW_ON_ERROR);
        self::assertIsArray($said);
        self::assertSame(['told', 'hunts'], [$said['verdict'], $said['speed']]);
        self::assertEqualsWithDelta(3150, $said['rpm'], 32);
        self::assertEqualsWithDelta(1.8, $said['beat_seconds'], 0.18);
        // No finer than they are known.
        foreach (['confidence' => 2, 'rpm' => 1, 'half_width_rpm' => 1] as $figure => $places) {
            self::assertIsFloat($said[$figure]);
            self::assertSame(round($said[$figure], $places), $said[$figure], $figure);
        }
    }

    public function testWhatItCannotReadIsTwoAndALine(): void
    {
        foreach ([['file' => '/nowhere.wav'], ['file' => __FILE__], ['file' => __FILE__, '--firing' => 'steam'], ['file' => __FILE__, '--near' => 'fast']] as $arguments) {
            $tester = self::tester();
            self::assertSame(2, $tester->execute($arguments, ['capture_stderr_separately' => true]));
            self::assertSame('', $tester->getDisplay());
            self::assertStringEndsWith('.', trim($tester->getErrorOutput()));
        }
    }

    private static function tester(): CommandTester
    {
        return new CommandTester((new Application(self::bootKernel()))->find('shed:hear'));
    }
}
