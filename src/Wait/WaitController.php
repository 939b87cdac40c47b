<?php

declare(strict_types=1);

namespace AwakeShed\App\Wait;

use AwakeShed\App\Account\Member;
use AwakeShed\App\Http\Taps;
use AwakeShed\App\Job\JobResolver;
use AwakeShed\App\Job\JobVoter;
use AwakeShed\App\Once\Once;
use Psr\Clock\ClockInterface;
use Symfony\Bridge\Doctrine\Attribute\MapEntity;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;

final class WaitController extends AbstractController
{
    /** Somebody has come back to what waited. */
    #[Route('/waits/{id}/end', name: 'wait_end', requirements: ['id' => JobResolver::NUMBER], methods: ['POST'])]
    #[IsGranted(JobVoter::RECORD)]
    public function end(#[MapEntity] Wait $wait, Request $request, Taps $taps, Once $once, ClockInterface $clock, #[CurrentUser] Member $member): Response
    {
        $once->run($taps->check($request), $member, static function () use ($wait, $clock): null {
            $wait->end($clock->now());

            return null;
        });

        [$route, $parameters] = $wait->getKind()->page();

        return $this->redirectToRoute($route, ['job' => $wait->getJob()->getId()] + $parameters, Response::HTTP_SEE_OTHER);
    }
}
