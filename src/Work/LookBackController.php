<?php

declare(strict_types=1);

namespace AwakeShed\App\Work;

use AwakeShed\App\Account\Member;
use AwakeShed\App\Evidence\Recorder;
use AwakeShed\App\Http\Address;
use AwakeShed\App\Http\ButtonForm;
use AwakeShed\App\Job\Job;
use AwakeShed\App\Job\JobVoter;
use AwakeShed\Core\Evidence\Done;
use AwakeShed\Core\Evidence\Vocabulary;
use AwakeShed\Core\Progress\LookBack;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** What was done and not said, said in one go: every bad finding that stands, with the act that cured it. */
#[Route('/jobs/{job}/look-back', requirements: ['job' => Address::NUMBER])]
final class LookBackController extends AbstractController
{
    public function __construct(private readonly Recorder $recorder, private readonly LookBack $lookBack)
    {
    }

    #[Route('', name: 'look_back', methods: ['GET'])]
    public function look(Job $job): Response
    {
        $record = $this->recorder->open($job);

        return $this->render('work/look_back.html.twig', ['job' => $job, 'record' => $record, 'case' => $record->case(), 'left' => $this->lookBack->left($record->case())]);
    }

    #[Route('', name: 'look_back_say', methods: ['POST'])]
    #[IsGranted(JobVoter::RECORD, 'job')]
    public function say(Job $job, Request $request, ButtonForm $button, Vocabulary $vocabulary, #[CurrentUser] Member $member): Response
    {
        $key = $button->check($request);
        $done = [];
        foreach ($this->lookBack->left($this->recorder->open($job)->case()) as $test => $acts) {
            $act = $button->text($request, str_replace('.', '-', $test));
            if (\in_array($act, $acts, true)) {
                $done[$act] = new Done($vocabulary->act($act), extras: LookBack::EARLIER);
            }
        }
        if ([] !== $done) {
            $this->recorder->observe($job, $member, $key, array_values($done));
            $this->addFlash('saved', 'Saved.');
        }

        return $this->redirectToRoute('job', ['job' => $job->getId()], Response::HTTP_SEE_OTHER);
    }
}
