<?php

declare(strict_types=1);

namespace AwakeShed\Tests\Published;

use AwakeShed\Core\Diagnosis\Inference;
use AwakeShed\Core\Diagnosis\Network;
use AwakeShed\Core\Diagnosis\Observation;
use AwakeShed\Core\Diagnosis\TestModel;
use AwakeShed\Tests\NeedsProgram;
use PHPUnit\Framework\TestCase;

/** A small network of the model's structure against bayesjs, a library of somebody else's that infers exactly. */
final class BayesianNetworkTest extends TestCase
{
    use NeedsProgram;

    private const PRIORS = ['cause' => 0.15, 'a' => 0.1, 'b' => 0.25, 'c' => 0.05];

    /** A cause that two faults share, and one that brings the third. */
    private const BRINGS = ['cause' => ['a' => 0.6, 'b' => 0.3], 'a' => ['c' => 0.2]];

    /** By test: what a sound machine shows, and what each fault by itself does; the least alarming first. */
    private const TESTS = [
        'start' => [['runs' => 0.9, 'rough' => 0.06, 'nothing' => 0.04], ['a' => ['rough' => 0.3, 'nothing' => 0.5], 'b' => ['rough' => 0.6, 'nothing' => 0.1]]],
        'spark' => [['strong' => 0.95, 'none' => 0.05], ['a' => ['none' => 0.9], 'c' => ['none' => 0.4]]],
        'jet' => [['clear' => 0.92, 'partial' => 0.05, 'blocked' => 0.03], ['b' => ['partial' => 0.3, 'blocked' => 0.6], 'c' => ['partial' => 0.2, 'blocked' => 0.1]]],
    ];

    /** What was found; and last, what somebody looked at itself. */
    private const SEEN = [
        ['start' => 'nothing'],
        ['start' => 'nothing', 'spark' => 'none'],
        ['start' => 'rough', 'spark' => 'strong', 'jet' => 'blocked'],
        ['spark' => 'none', 'jet' => 'partial'],
        ['start' => 'runs', 'jet' => 'clear'],
        ['start' => 'nothing', 'spark' => 'strong', 'b' => 'yes'],
        ['start' => 'rough', 'c' => 'yes', 'jet' => 'clear'],
    ];

    /** Makes each test's table by drawing what the machine and every fault show, and taking the most alarming. */
    private const SCRIPT = <<<'JS'
        const { infer } = require('bayesjs');
        const { priors, brings, tests, seen } = JSON.parse(process.argv[1]);
        const network = {};
        for (const [id, p] of Object.entries(priors)) {
            const parents = Object.keys(brings).filter((bringer) => id in brings[bringer]);
            const cpt = [...Array(2 ** parents.length).keys()].map((mask) => {
                const absent = parents.reduce((left, parent, n) => mask >> n & 1 ? left * (1 - brings[parent][id]) : left, 1 - p);
                return { when: Object.fromEntries(parents.map((parent, n) => [parent, mask >> n & 1 ? 'yes' : 'no'])), then: { yes: 1 - absent, no: absent } };
            });
            network[id] = { id, states: ['yes', 'no'], parents, cpt: parents.length ? cpt : cpt[0].then };
        }
        for (const [id, [sound, shows]] of Object.entries(tests)) {
            const states = Object.keys(sound), parents = Object.keys(shows);
            const cpt = [];
            for (let mask = 0; mask < 2 ** parents.length; mask++) {
                const when = Object.fromEntries(parents.map((parent, n) => [parent, mask >> n & 1 ? 'yes' : 'no']));
                let draws = states.map((state) => sound[state]);
                for (const parent of parents.filter((parent) => when[parent] === 'yes')) {
                    const own = states.map((state) => shows[parent][state] ?? 0);
                    own[0] = 1 - own.reduce((sum, share) => sum + share, 0);
                    const next = states.map(() => 0);
                    draws.forEach((one, i) => own.forEach((other, j) => { next[Math.max(i, j)] += one * other; }));
                    draws = next;
                }
                cpt.push({ when, then: Object.fromEntries(states.map((state, n) => [state, draws[n]])) });
            }
            network[id] = { id, states, parents, cpt };
        }
        console.log(JSON.stringify(seen.map((given) => Object.fromEntries(Object.keys(priors).map((id) => [id, infer(network, { [id]: 'yes' }, given)])))));
        JS;

    public function testPosteriorsAgreeToNineDigits(): void
    {
        $told = json_encode(['priors' => self::PRIORS, 'brings' => self::BRINGS, 'tests' => self::TESTS, 'seen' => self::SEEN], \JSON_THROW_ON_ERROR);
        self::needs('node', 'nodejs');
        exec(\sprintf('node -e %s %s 2>&1', escapeshellarg(self::SCRIPT), escapeshellarg($told)), $lines, $status);
        self::assertSame(0, $status, implode("\n", $lines));
        $answers = json_decode($lines[0] ?? '', true, 4, \JSON_THROW_ON_ERROR);
        self::assertIsArray($answers);
        foreach (self::SEEN as $case => $seen) {
            $observations = [];
            $looked = array_fill_keys(array_keys($seen, 'yes', true), true);
            foreach (array_intersect_key($seen, self::TESTS) as $test => $outcome) {
                $model = TestModel::fromOdds(...self::TESTS[$test]);
                $observations[] = new Observation($test, $model, [$model->place($outcome) ?? self::fail()], []);
            }
            $expected = $answers[$case];
            self::assertIsArray($expected);
            foreach (Inference::posterior(new Network(self::PRIORS, self::BRINGS, $looked), $observations)->beliefs as $fault => $probability) {
                self::assertEqualsWithDelta(isset($looked[$fault]) ? Inference::SEEN : $expected[$fault], $probability, 1e-9, "case $case, $fault");
            }
        }
    }
}
