<?php

declare(strict_types=1);

namespace AwakeShed\App\JobPage;

use AwakeShed\App\Job\Job;
use AwakeShed\App\Words\Words;
use AwakeShed\Core\Evidence\HoldDefinition;
use AwakeShed\Core\Evidence\Vocabulary;
use AwakeShed\Core\Gate\GateWalk;
use AwakeShed\Core\Line\ActRooms;
use AwakeShed\Core\Progress\Progress;
use AwakeShed\Core\Progress\WaitsOn;
use AwakeShed\Core\Proving\Attempt;
use AwakeShed\Core\Stage\StagePlan;
use Symfony\Component\Routing\Generator\UrlGeneratorInterface;
use Twig\Attribute\AsTwigFunction;

/** Leads to the page on which the next thing of a job is done, whatever it is: a look, an act, a cure. */
final readonly class NextPlaces
{
    /** Holds whose way out is a stage of its own. */
    private const STAGES = ['hold.gas_in_oil' => 'flush', 'hold.ejecta' => 'locked', 'hold.pull' => 'locked', 'hold.locked_plug_out' => 'locked'];

    /** Where a plain start is the first run, or the cold one of the proof, and not a look for a cause. */
    private const FIRST_RUN = [Progress::BeforeFirstRun, Progress::Proving];

    public function __construct(private Vocabulary $vocabulary, private GateWalk $walk, private StagePlan $plan, private ActRooms $rooms, private Words $words, private UrlGeneratorInterface $addresses)
    {
    }

    #[AsTwigFunction('next_of')]
    public function nextOf(Job $job): ?Next
    {
        $id = $job->getWaitsFor();
        if ('' === $id) {
            return null;
        }
        $hold = array_values(array_filter($this->vocabulary->holds, static fn (HoldDefinition $hold): bool => $hold->id === $id))[0] ?? null;
        if (null !== $hold) {
            return isset(self::STAGES[$id]) ? $this->at($job, $id, 'stage', ['stage' => self::STAGES[$id]]) : $this->to($job, $hold->waysOut[0]);
        }

        return $this->to($job, $id);
    }

    /** @param string $id of a test, an act or a fault */
    #[AsTwigFunction('next_to')]
    public function to(Job $job, string $id): Next
    {
        [$route, $parameters] = Attempt::TEST === $id && \in_array($job->getStand(), self::FIRST_RUN, true) ? self::step('first_run.start') : $this->route($id);

        return $this->at($job, $id, $route, $parameters);
    }

    /** @param array<string, string> $parameters */
    private function at(Job $job, string $id, string $route, array $parameters): Next
    {
        $parameters = ['job' => $job->getId()] + $parameters;

        return new Next($this->words->waitsFor($id), $this->addresses->generate($route, $parameters), $this->addresses->generate($route, array_diff_key($parameters, ['_fragment' => true, 'gate' => true])));
    }

    /** @return array{string, array<string, string>} route and parameters but the job */
    private static function step(string $step): array
    {
        return ['stage', ['stage' => (string) strstr($step, '.', true), '_fragment' => 'step-'.str_replace('.', '-', $step)]];
    }

    /** @return array{string, array<string, string>} route and parameters but the job */
    private function route(string $id): array
    {
        if (Job::PART === $id) {
            return ['job_parts', []];
        }
        if (null !== WaitsOn::tryFrom($id)) {
            return ['job', ['_fragment' => 'waits-on']];
        }
        if (isset($this->vocabulary->faults[$id])) {
            return ['job_fault', ['fault' => $id]];
        }
        if (\in_array($id, ['jar.tank', 'jar.smell'], true)) {
            return ['fuel', ['sample' => 'tank']];
        }
        $gate = $this->walk->gateOf($id);
        if (null !== $gate) {
            return ['gates', ['gate' => $gate, '_fragment' => 'gate-'.$gate]];
        }
        $step = $this->plan->stepFor($id);
        if (null !== $step) {
            return self::step($step->id);
        }
        if (isset($this->vocabulary->acts[$id])) {
            return ['room', ['room' => $this->rooms->roomOf($this->vocabulary->act($id)), '_fragment' => 'act-'.str_replace('.', '-', $id)]];
        }

        return ['test', ['test' => $id]];
    }
}
