<?php

declare(strict_types=1);

namespace AwakeShed\Tests\App\Plan;

use AwakeShed\Core\Schedule\ProblemFormat;
use AwakeShed\Tests\Core\Schedule\Problems;
use Symfony\Bundle\FrameworkBundle\Console\Application;
use Symfony\Bundle\FrameworkBundle\Test\KernelTestCase;
use Symfony\Component\Console\Tester\CommandTester;

final class PlanCommandTest extends KernelTestCase
{
    public function testAnswersAProblemWithAPlan(): void
    {
        $command = $this->planned(json_encode(ProblemFormat::write(Problems::madeUp(3)), \JSON_THROW_ON_ERROR));

        self::assertSame(0, $command->getStatusCode());
        $plan = json_decode($command->getDisplay(), true, 8, \JSON_THROW_ON_ERROR);
        self::assertIsArray($plan);
        self::assertSame(['format', 'version', 'objective', 'value', 'makespan', 'lower_bound', 'proved_best', 'operations', 'jobs', 'unplanned', 'spent_ms'], array_keys($plan));
    }

    public function testSaysWhatIsWrongAndAnswersNothing(): void
    {
        $command = $this->planned('{"format":"awake-shed/plan-problem","version":1,"objective":"fun","resources":[],"jobs":[],"operations":[],"extra":1}');

        self::assertSame(2, $command->getStatusCode());
        self::assertSame('', $command->getDisplay());
        self::assertMatchesRegularExpression('#^/extra: .+\n/objective: .+\n$#', $command->getErrorOutput());
        self::assertSame(2, $this->planned('{}', 'yaml')->getStatusCode());
        self::assertStringStartsWith(': Not JSON', $this->planned('{')->getErrorOutput());
    }

    private function planned(string $json, string $format = 'json'): CommandTester
    {
        $file = (string) tempnam(sys_get_temp_dir(), 'plan');
        file_put_contents($file, $json);
        $tester = new CommandTester((new Application(self::bootKernel()))->find('shed:plan'));
        $tester->execute(['file' => $file, '--format' => $format], ['capture_stderr_separately' => true]);
        unlink($file);

        return $tester;
    }
}
