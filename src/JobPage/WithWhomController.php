<?php

declare(strict_types=1);

namespace AwakeShed\App\JobPage;

use AwakeShed\App\Account\Member;
use AwakeShed\App\Account\MemberRepository;
use AwakeShed\App\Http\Address;
use AwakeShed\App\Http\ButtonForm;
use AwakeShed\App\Job\Job;
use AwakeShed\App\Job\JobVoter;
use AwakeShed\App\Job\JobWriter;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** Says in whose hands a machine is, so that two do not walk to it at once. */
final class WithWhomController extends AbstractController
{
    #[Route('/jobs/{job}/with', name: 'job_with', requirements: ['job' => Address::NUMBER], methods: ['POST'])]
    #[IsGranted(JobVoter::RECORD, 'job')]
    public function say(Job $job, Request $request, ButtonForm $button, JobWriter $writer, MemberRepository $members, #[CurrentUser] Member $member): Response
    {
        $key = $button->check($request);
        $number = $button->text($request, 'member');
        $whom = '' === $number ? null : $members->find((int) $number) ?? throw $this->createNotFoundException('Nobody here has that number.');
        $writer->write($job, $member, $key, static function () use ($job, $whom): null {
            $job->goesTo($whom);

            return null;
        });
        $this->addFlash('said', 'Saved.');

        return $this->redirectToRoute('job', ['job' => $job->getId(), '_fragment' => 'with'], Response::HTTP_SEE_OTHER);
    }
}
