<?php

declare(strict_types=1);

namespace AwakeShed\App\JobPage;

use AwakeShed\App\Account\Member;
use AwakeShed\App\Evidence\RecordReader;
use AwakeShed\App\Http\Address;
use AwakeShed\App\Job\Job;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/** What somebody else recorded on a job since a page of it was opened: asked every few seconds, seldom answered. */
final class PulseController extends AbstractController
{
    #[Route('/jobs/{job}/news/{since}', name: 'job_news', requirements: ['job' => Address::NUMBER, 'since' => '\d{1,10}'], methods: ['GET'])]
    public function news(Job $job, int $since, RecordReader $entries, #[CurrentUser] Member $member): Response
    {
        $news = $entries->ofOthersSince($job, $since, $member);

        return [] === $news ? new Response(status: Response::HTTP_NO_CONTENT) : $this->render('job/_news.html.twig', ['job' => $job, 'since' => $since, 'news' => $news]);
    }
}
