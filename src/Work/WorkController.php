<?php

declare(strict_types=1);

namespace AwakeShed\App\Work;

use AwakeShed\App\Account\Member;
use AwakeShed\App\Evidence\Recorder;
use AwakeShed\App\Http\Address;
use AwakeShed\App\Http\ButtonForm;
use AwakeShed\App\Job\Job;
use AwakeShed\App\Job\JobVoter;
use AwakeShed\App\JobPage\LineDrawer;
use AwakeShed\App\Oil\Shelf;
use AwakeShed\App\Unit\ActFigures;
use AwakeShed\Core\Stage\Act;
use AwakeShed\Core\Stage\StagePlan;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** The stages of the work after the gates, a step at a time or all on one page, and what is recorded of each. */
#[Route('/jobs/{job}', requirements: ['job' => Address::NUMBER])]
final class WorkController extends AbstractController
{
    private const STAGE = 'fuel|locked|flush|split|path|needle|decide|jet|first_run|prove|service|layup';

    public function __construct(private readonly Recorder $recorder, private readonly StagePlan $work, private readonly StagePages $pages)
    {
    }

    #[Route('/stages', name: 'work', methods: ['GET'])]
    public function index(Job $job): Response
    {
        $record = $this->recorder->open($job);

        return $this->render('work/index.html.twig', ['job' => $job, 'record' => $record, 'stages' => $this->work->states($record->case(), $record->acts())]);
    }

    #[Route('/stages/{stage}', name: 'stage', requirements: ['stage' => self::STAGE], methods: ['GET'])]
    public function stage(Job $job, string $stage, LineDrawer $lines): Response
    {
        $page = $this->pages->forStage($job, $stage);

        return $this->render('work/stage.html.twig', [
            'page' => $page,
            // Tank to cylinder: the stage that walks down it shows it.
            'line' => 'path' === $stage ? $lines->draw($job, $page->record->case()) : null,
        ]);
    }

    /** One step, big, for one hand: the next to be done, or the one that is named. */
    #[Route('/now/{stage}', name: 'now', requirements: ['stage' => self::STAGE], methods: ['GET'])]
    public function now(Job $job, string $stage, Request $request): Response
    {
        $page = $this->pages->forStage($job, $stage);

        return $this->render('work/now.html.twig', ['page' => $page, 'at' => $page->place($request->query->getString('step'))]);
    }

    #[Route('/acts', name: 'act', methods: ['POST'])]
    #[IsGranted(JobVoter::RECORD, 'job')]
    public function act(Job $job, Request $request, ButtonForm $button, ActRecorder $doing, ActFigures $read, Shelf $shelf, #[CurrentUser] Member $member): Response
    {
        $key = $button->check($request);
        $step = $this->work->step($button->text($request, 'step'));
        $figures = [];
        foreach ($step->fields ?? [] as $field => $possible) {
            $figures[$field] = $read->read($field, $button->text($request, $field), $possible);
        }
        $choice = $button->text($request, 'choice');
        $act = new Act($step->id, $figures, '' === $choice ? null : $choice);
        $oil = $button->text($request, 'oil');
        $doing->record($job, $member, $key, $act, ctype_digit($oil) ? $shelf->find((int) $oil) : null);
        $this->addFlash('saved', 'Saved.');
        $stage = strstr($step->id, '.', true);

        return 'now' === $button->text($request, 'back')
            ? $this->redirectToRoute('now', ['job' => $job->getId(), 'stage' => $stage] + ($step->repeats ? ['step' => $step->id] : []), Response::HTTP_SEE_OTHER)
            : $this->redirectToRoute('stage', ['job' => $job->getId(), 'stage' => $stage] + ($this->work->stage((string) $stage)->folds ? [] : ['_fragment' => 'step-'.str_replace('.', '-', $step->id)]), Response::HTTP_SEE_OTHER);
    }
}
