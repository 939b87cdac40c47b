<?php

declare(strict_types=1);

namespace AwakeShed\App\Evidence;

use AwakeShed\App\Job\Job;
use AwakeShed\Core\Evidence\Vocabulary;
use AwakeShed\Core\Line\Line;
use AwakeShed\Core\Stage\StagePlan;
use Symfony\Component\Routing\Generator\UrlGeneratorInterface;

/** The page a tap was made on, as the tap says it. What leads nowhere leads to the job: what was recorded stands either way. */
final readonly class WayBack
{
    public function __construct(private UrlGeneratorInterface $addresses, private Vocabulary $vocabulary, private StagePlan $work)
    {
    }

    /**
     * @param string $back the page, with what it is of behind a colon: "gates", "room:bowl", "stage:flush"
     * @param string $gate at which of the gates, on their page
     *
     * @return string an address of the shed
     */
    public function to(Job $job, string $back, string $gate): string
    {
        [$page, $where] = [...explode(':', $back, 2), ''];
        $route = match ($page) {
            'gates' => ['gates', '' === $gate ? [] : ['gate' => $gate, '_fragment' => 'gate-'.$gate]],
            'tank', 'bowl' => ['fuel', ['sample' => $page]],
            'room' => \in_array($where, Line::places(), true) ? ['room', ['room' => $where]] : null,
            'test' => isset($this->vocabulary->tests[$where]) ? ['test', ['test' => $where]] : null,
            'stage', 'now' => $this->work->has($where) ? [$page, ['stage' => $where]] : null,
            'history' => ['job_history', []],
            'hand_back' => ['job_hand_back_look', []],
            'teardown' => ['carburetor', ['bench' => 'teardown']],
            'teardown_refit', 'teardown_check' => [str_replace('teardown', 'carburetor', $page), ['bench' => 'teardown']],
            'likely', 'carburetor', 'carburetor_refit', 'carburetor_map', 'carburetor_cleaning', 'carburetor_check' => [$page, []],
            default => null,
        };
        [$name, $parameters] = $route ?? ['job', []];

        return $this->addresses->generate($name, ['job' => $job->getId()] + $parameters);
    }
}
