<?php

declare(strict_types=1);

namespace AwakeShed\App\School;

use AwakeShed\App\Account\Member;
use AwakeShed\App\Account\Role;
use AwakeShed\App\Audit\Deed;
use AwakeShed\App\Audit\Trail;
use AwakeShed\App\Evidence\Recorder;
use AwakeShed\App\Http\Address;
use AwakeShed\App\Http\ButtonForm;
use AwakeShed\App\Job\Job;
use AwakeShed\App\Job\JobVoter;
use AwakeShed\App\Once\OncePerKey;
use AwakeShed\Core\Evidence\Vocabulary;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** Which school of the trade is followed: by the shop, for what is taken in from now on, and by one job. */
final class SchoolController extends AbstractController
{
    public function __construct(private readonly Vocabulary $vocabulary, private readonly Schools $schools, private readonly ButtonForm $button)
    {
    }

    #[Route('/schools', name: 'schools', methods: ['GET'])]
    public function ofShop(): Response
    {
        return $this->render('school/schools.html.twig', ['job' => null, 'schools' => $this->vocabulary->schools, 'followed' => $this->schools->chosen()]);
    }

    #[Route('/schools', name: 'schools_choose', methods: ['POST'])]
    #[IsGranted(Role::OWNER_NAME)]
    public function choose(Request $request, OncePerKey $once, Trail $trail, #[CurrentUser] Member $member): Response
    {
        $key = $this->button->check($request);
        [$question, $school] = $this->chosen($request);
        $once->run($key, $member->getId(), function () use ($question, $school, $trail, $member): null {
            $before = $this->schools->chosen()[$question] ?? $this->vocabulary->schools[$question][0];
            $trail->change($member->getId(), Deed::SchoolChosen, $question, ['school' => $before], ['school' => $school]);
            $this->schools->choose($question, $school);

            return null;
        });
        $this->addFlash('said', 'Saved.');

        return $this->redirectToRoute('schools', status: Response::HTTP_SEE_OTHER);
    }

    #[Route('/jobs/{job}/schools', name: 'job_schools', requirements: ['job' => Address::NUMBER], methods: ['GET'])]
    public function ofJob(Job $job): Response
    {
        return $this->render('school/schools.html.twig', ['job' => $job, 'schools' => $this->vocabulary->schools, 'followed' => $this->vocabulary->followed($job->getSchools(), $job->getMachine()->getKind())]);
    }

    #[Route('/jobs/{job}/schools', name: 'job_schools_choose', requirements: ['job' => Address::NUMBER], methods: ['POST'])]
    #[IsGranted(JobVoter::PUT_RIGHT, 'job')]
    public function chooseForJob(Job $job, Request $request, Recorder $recorder, #[CurrentUser] Member $member): Response
    {
        $key = $this->button->check($request);
        [$question, $school] = $this->chosen($request);
        $recorder->rewrite($job, $member, $key, static function () use ($job, $question, $school): void {
            $job->follow($question, $school);
        });
        $this->addFlash('said', 'Saved.');

        return $this->redirectToRoute('job_schools', ['job' => $job->getId()], Response::HTTP_SEE_OTHER);
    }

    /**
     * @return array{string, string} question, school
     *
     * @throws \AwakeShed\Core\Evidence\UnknownWord
     */
    private function chosen(Request $request): array
    {
        [$question, $school] = [$this->button->text($request, 'question'), $this->button->text($request, 'school')];
        if (!isset($this->vocabulary->schools[$question])) {
            throw $this->createNotFoundException('There is no such question.');
        }
        $this->vocabulary->checkSchool($question, $school);

        return [$question, $school];
    }
}
