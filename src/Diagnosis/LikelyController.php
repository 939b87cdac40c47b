<?php

declare(strict_types=1);

namespace AwakeShed\App\Diagnosis;

use AwakeShed\App\Drawing\CourseDrawing;
use AwakeShed\App\Evidence\Entry;
use AwakeShed\App\Evidence\Recorder;
use AwakeShed\App\Http\Address;
use AwakeShed\App\Job\Job;
use AwakeShed\App\TestCard\TestCards;
use AwakeShed\Core\Diagnosis\Assessing;
use AwakeShed\Core\Diagnosis\Assessor;
use AwakeShed\Core\Diagnosis\NextTest;
use AwakeShed\Core\Diagnosis\Suspect;
use AwakeShed\Core\Evidence\CaseFile;
use AwakeShed\Core\Evidence\UnknownWord;
use AwakeShed\Core\Evidence\Vocabulary;
use AwakeShed\Core\Progress\ProofRun;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/** What a job's evidence comes to: the likely faults and why, the next tests, the claims that no longer hold. */
#[Route('/jobs/{job}', requirements: ['job' => Address::NUMBER])]
final class LikelyController extends AbstractController
{
    /** Below this a fault is not worth a line. */
    private const SHOWN_FROM = 0.08;
    private const MOST_SHOWN = 12;
    private const NEXT_SHOWN = 6;

    /** The course is drawn over so many of the last steps. */
    private const STEPS_DRAWN = 60;

    public function __construct(private readonly Recorder $recorder, private readonly Assessing $assessor, private readonly TestCards $bearings)
    {
    }

    #[Route('/likely', name: 'likely', methods: ['GET'])]
    public function likely(Job $job): Response
    {
        $record = $this->recorder->open($job);
        $case = $record->case();
        $assessment = $this->assessor->assess($case);
        $before = $this->assessor->beliefs($record->caseBefore());
        $next = \array_slice($assessment->next, 0, self::NEXT_SHOWN);

        return $this->render('diagnosis/likely.html.twig', [
            'job' => $job,
            'record' => $record,
            'causes' => self::worthALine($assessment->causes()),
            'beside' => self::worthALine($assessment->alsoToDo()),
            'sure' => array_filter($assessment->faults, static fn (Suspect $suspect): bool => $suspect->isSure()),
            'before' => $before,
            'next' => $next,
            'bearings' => $this->bearings->lay($record, array_map(static fn (NextTest $test): string => $test->test, $next)),
            'contradictions' => $assessment->contradictions,
            'split' => $assessment->split,
            'closed' => $assessment->blocked,
            'proving' => ProofRun::left($case),
        ]);
    }

    /**
     * @param list<Suspect> $suspects
     *
     * @return list<Suspect>
     */
    private static function worthALine(array $suspects): array
    {
        return \array_slice(array_filter($suspects, static fn (Suspect $suspect): bool => $suspect->probability >= self::SHOWN_FROM), 0, self::MOST_SHOWN);
    }

    #[Route('/course', name: 'course', methods: ['GET'])]
    public function course(Job $job, Assessor $assessor): Response
    {
        $record = $this->recorder->open($job);
        $telling = array_values(array_filter($record->counting(), static fn (Entry $entry): bool => [] !== $entry->events()));
        $earlier = \count($telling) - self::STEPS_DRAWN;
        $before = array_map($record->eventsOf(...), \array_slice($telling, 0, max(0, $earlier)));
        $start = new CaseFile($record->case()->machine, array_merge([], ...$before));
        $steps = \array_slice($telling, max(0, $earlier));
        $course = $assessor->course($start, [[], ...array_map($record->eventsOf(...), $steps)]);

        return $this->render('diagnosis/course.html.twig', ['job' => $job, 'steps' => $steps, 'drawing' => CourseDrawing::ofBeliefs($course), 'earlier' => max(0, $earlier)]);
    }

    #[Route('/tests/{test}', name: 'test', requirements: ['test' => '[a-z_]+\.[a-z_]+'], methods: ['GET'])]
    public function test(Job $job, string $test, Vocabulary $vocabulary, Assessor $assessor): Response
    {
        try {
            $vocabulary->test($test);
        } catch (UnknownWord $unknown) {
            throw $this->createNotFoundException($unknown->getMessage(), $unknown);
        }
        $record = $this->recorder->open($job);
        $case = $record->case();
        $bearing = $this->bearings->lay($record, [$test])[0] ?? null;

        return $this->render('diagnosis/test.html.twig', [
            'job' => $job,
            'record' => $record,
            'test' => $test,
            'bearing' => $bearing,
            'prospects' => null === $bearing ? [] : $assessor->prospects($case, $test),
        ]);
    }
}
