<?php

declare(strict_types=1);

namespace AwakeShed\App\Evidence;

use AwakeShed\App\Account\Member;
use AwakeShed\App\Http\Address;
use AwakeShed\App\Http\ButtonForm;
use AwakeShed\App\Job\Job;
use AwakeShed\App\Job\JobVoter;
use AwakeShed\Core\Evidence\Finding;
use AwakeShed\Core\Evidence\PutRight;
use AwakeShed\Core\Evidence\UnknownWord;
use AwakeShed\Core\Evidence\Vocabulary;
use AwakeShed\Core\Units\DecimalText;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** One-tap findings, and what undoes and corrects them. */
final class FindingController extends AbstractController
{
    public function __construct(private readonly Recorder $recorder, private readonly ButtonForm $button, private readonly Vocabulary $vocabulary, private readonly WayBack $wayBack)
    {
    }

    #[Route('/jobs/{job}/findings', name: 'finding', requirements: ['job' => Address::NUMBER], methods: ['POST'])]
    #[IsGranted(JobVoter::RECORD, 'job')]
    public function record(Job $job, Request $request, #[CurrentUser] Member $member): Response
    {
        $key = $this->button->check($request);
        // Of a look of which several answers hold, the page says which stood when it was tapped: one more joins them.
        $this->recorder->observe($job, $member, $key, [$this->finding($request, $this->button->text($request, 'standing'))]);

        return $this->saved($job, $request);
    }

    #[Route('/jobs/{job}/put-right', name: 'put_right', requirements: ['job' => Address::NUMBER], methods: ['POST'])]
    #[IsGranted(JobVoter::PUT_RIGHT, 'job')]
    public function putRight(Job $job, Request $request, #[CurrentUser] Member $member): Response
    {
        $key = $this->button->check($request);
        $this->recorder->observe($job, $member, $key, [new PutRight($this->button->text($request, 'fault'))]);

        return $this->saved($job, $request);
    }

    #[Route('/entries/{entry}/correct', name: 'entry_correct', requirements: ['entry' => Address::NUMBER], methods: ['POST'])]
    #[IsGranted(EntryVoter::CHANGE, 'entry')]
    public function correct(Entry $entry, Request $request, #[CurrentUser] Member $member): Response
    {
        $key = $this->button->check($request);
        $corrected = $this->finding($request, $this->button->text($request, 'standing'));
        $this->recorder->correct($entry, $member, $key, $entry->sayingInstead($corrected) ?? throw UnknownWord::test($corrected->test));

        return $this->saved($entry->job, $request);
    }

    #[Route('/entries/{entry}/undo', name: 'entry_undo', requirements: ['entry' => Address::NUMBER], methods: ['POST'])]
    #[IsGranted(EntryVoter::CHANGE, 'entry')]
    public function undo(Entry $entry, Request $request, #[CurrentUser] Member $member): Response
    {
        $this->recorder->withdraw($entry, $member, $this->button->check($request));
        $this->addFlash('said', 'Undone. It stays in the history.');

        return $this->back($entry->job, $request);
    }

    /**
     * @throws UnknownWord                            when the test is none of the vocabulary's
     * @throws \AwakeShed\Core\Units\UnreadableAmount when it takes a number and this is none
     */
    private function finding(Request $request, string $standing): Finding
    {
        $test = $this->vocabulary->test($this->button->text($request, 'test'));
        $outcome = $this->button->text($request, 'outcome');

        return $test->takesNumber()
            ? Finding::number($test->id, DecimalText::parse($outcome, ...$this->vocabulary->bounds($test)))
            : Finding::observed($test->id, ...$test->afterTap('' === $standing ? [] : explode(' ', $standing), $outcome));
    }

    private function saved(Job $job, Request $request): Response
    {
        $this->addFlash('saved', 'Saved.');

        return $this->back($job, $request);
    }

    /** To the page the tap was made on, at the gate it was made at. */
    private function back(Job $job, Request $request): Response
    {
        return $this->redirect($this->wayBack->to($job, $this->button->text($request, 'back'), $this->button->text($request, 'gate')), Response::HTTP_SEE_OTHER);
    }
}
