<?php

declare(strict_types=1);

namespace AwakeShed\Tests\App\Diagnosis;

use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Bundle\FrameworkBundle\Console\Application;
use Symfony\Bundle\FrameworkBundle\Test\KernelTestCase;
use Symfony\Component\Console\Tester\CommandTester;

final class SimulateCommandTest extends KernelTestCase
{
    public function testReportsAsJson(): void
    {
        $tester = $this->simulate(['--cases' => '6', '--seed' => '2', '--compare-every' => '2', '--world' => 'one_fault', '--format' => 'json']);
        self::assertSame(0, $tester->getStatusCode());
        $report = json_decode($tester->getDisplay(), true, 16, \JSON_THROW_ON_ERROR);
        self::assertIsArray($report);
        self::assertSame(['world', 'orders', 'minutes_of_textbook', 'minutes_of_random', 'minutes_of_knowing', 'calibration', 'bars'], array_keys($report));
        self::assertSame(['suggested', 'suggested_compared', 'textbook', 'random', 'suggested_known', 'knowing'], array_keys((array) $report['orders']));
    }

    public function testReportsInWordsAndWorksMachinesWhole(): void
    {
        $tester = $this->simulate(['--cases' => '2', '--whole' => true]);
        self::assertSame(0, $tester->getStatusCode());
        foreach (['suggested', 'textbook', 'Brier', 'expected calibration error', 'of the textbook order'] as $word) {
            self::assertStringContainsString($word, $tester->getDisplay());
        }
    }

    /** @return iterable<string, array{array<string, string>, string}> */
    public static function bad(): iterable
    {
        yield 'no cases' => [['--cases' => '0'], '--cases'];
        yield 'no number' => [['--seed' => 'x'], '--seed'];
        yield 'a world nobody knows' => [['--world' => 'flat'], '--world'];
        yield 'a format nobody knows' => [['--format' => 'xml'], '--format'];
    }

    /** @param array<string, string> $options */
    #[DataProvider('bad')]
    public function testRefusesInWords(array $options, string $named): void
    {
        $tester = $this->simulate($options);
        self::assertSame(2, $tester->getStatusCode());
        self::assertStringContainsString($named, $tester->getErrorOutput());
        self::assertSame('', $tester->getDisplay());
    }

    /** @param array<string, string|true> $options */
    private function simulate(array $options): CommandTester
    {
        $tester = new CommandTester((new Application(self::bootKernel()))->find('shed:simulate'));
        $tester->execute($options, ['capture_stderr_separately' => true]);

        return $tester;
    }
}
