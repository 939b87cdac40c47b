<?php

declare(strict_types=1);

namespace AwakeShed\Tests\App\Demo;

use AwakeShed\App\Account\MemberRepository;
use AwakeShed\App\Carburetor\WantedPartRepository;
use AwakeShed\App\Carburetor\WantedState;
use AwakeShed\App\Demo\Barn;
use AwakeShed\App\Demo\SignIn;
use AwakeShed\App\Evidence\Derivation;
use AwakeShed\App\Evidence\Recorder;
use AwakeShed\App\Job\Job;
use AwakeShed\App\Job\JobRepository;
use AwakeShed\App\Once\RequestKey;
use AwakeShed\App\Work\ActRecorder;
use AwakeShed\Core\Carburetor\Move;
use AwakeShed\Core\Carburetor\MoveKind;
use AwakeShed\Core\Diagnosis\Assessor;
use AwakeShed\Core\Diagnosis\FaultModel;
use AwakeShed\Core\Evidence\Done;
use AwakeShed\Core\Evidence\Finding;
use AwakeShed\Core\Evidence\PutRight;
use AwakeShed\Core\Evidence\Vocabulary;
use AwakeShed\Core\Progress\Progress;
use AwakeShed\Core\Progress\Progression;
use Doctrine\ORM\EntityManagerInterface;
use Symfony\Bundle\FrameworkBundle\Test\KernelTestCase;

/** Whoever does nothing but what the header names next, and finds each thing sound, brings every machine of the demo home. */
final class NextOnlyTest extends KernelTestCase
{
    private const MOST_STEPS = 90;

    public function testEveryMachineOfTheDemoIsFinishedByFollowingNextAlone(): void
    {
        self::service(Barn::class)->fill(new \DateTimeImmutable('2026-11-23 15:00'));
        $walked = [];
        foreach (self::service(JobRepository::class)->findAll() as $job) {
            if (!$job->isHandedBack()) {
                $walked[$job->getMachine()->getLabel()] = $this->walk($job->getId());
            }
        }
        self::assertGreaterThan(20, \count($walked));
        self::assertSame([], array_filter($walked, static fn (array $steps): bool => 'fit_to_go_home' !== $steps[\count($steps) - 1]), 'each ends fit to go home');
    }

    /** @return non-empty-list<string> what was done, and where it ended */
    private function walk(int $number): array
    {
        $steps = [];
        do {
            self::service(EntityManagerInterface::class)->clear();
            $job = self::service(JobRepository::class)->withMachine($number) ?? self::fail();
            if (Progress::FitToGoHome === $job->getStand()) {
                break;
            }
            $steps[] = $this->doNext($job);
        } while (\count($steps) < self::MOST_STEPS);

        return [...$steps, $job->getStand()->value];
    }

    private function doNext(Job $job): string
    {
        $vocabulary = self::service(Vocabulary::class);
        $by = self::service(MemberRepository::class)->withSignInName(SignIn::Technician->value) ?? self::fail();
        if (Job::PART === $job->getWaitsFor()) {
            foreach (self::service(WantedPartRepository::class)->ofJob($job) as $part) {
                $part->becomes(WantedState::Here, new \DateTimeImmutable());
            }
            $job->waitForParts(false);
            self::service(Derivation::class)->recompute($job);
            self::service(EntityManagerInterface::class)->flush();

            return 'parts came';
        }
        $case = self::service(Recorder::class)->open($job)->case();
        $next = self::service(Progression::class)->standOf($case, self::service(Assessor::class)->assess($case))->next() ?? self::fail($job->getStand()->value.' names nothing');
        $ledger = self::service(Recorder::class)->open($job)->ledger();
        if ($ledger->isApart() && \in_array($next, ['bowl.on', 'carburetor.on', 'carburetor.checked'], true)) {
            // The room it leads to leads on to the bench.
            $part = $ledger->onMat()[0] ?? null;
            $check = $ledger->checksLeft()[0] ?? null;
            $this->move($job, match (true) {
                null !== $part => MoveKind::On->move($part->place),
                null !== $check => MoveKind::Check->move(said: ['check' => $check->id] + ([] === $check->good ? [] : ['outcome' => $check->good[0]])),
                default => MoveKind::Close->move(),
            });

            return 'at the bench';
        }
        $key = RequestKey::fresh();
        match (true) {
            isset($vocabulary->acts[$next]) => self::service(ActRecorder::class)->done($job, $by, $key, new Done($vocabulary->acts[$next])),
            isset($vocabulary->tests[$next]) => self::service(Recorder::class)->observe($job, $by, $key, [Finding::observed($next, self::sound($next))]),
            default => self::service(Recorder::class)->observe($job, $by, $key, [new PutRight($next)]),
        };

        return $next;
    }

    private function move(Job $job, Move $move): void
    {
        self::service(Recorder::class)->moved($job, self::service(MemberRepository::class)->withSignInName(SignIn::Technician->value) ?? self::fail(), RequestKey::fresh(), static fn (): Move => $move);
    }

    /** What a sound machine shows. */
    private static function sound(string $test): string
    {
        $special = ['jar.tank' => 'clear_one_layer', 'look.plug' => 'like_new', 'start.bypass' => 'runs_while_fed', 'start.bypass_repeat' => 'runs_while_fed', 'prep.cylinder_oiled' => 'done', 'gate.water_supply' => 'on'];

        return $special[$test] ?? FaultModel::shipped()->tests[$test]->outcomes[0];
    }

    /**
     * @template T of object
     *
     * @param class-string<T> $class
     *
     * @return T
     */
    private static function service(string $class): object
    {
        $service = self::getContainer()->get($class);
        self::assertInstanceOf($class, $service);

        return $service;
    }
}
