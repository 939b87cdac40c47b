<?php

declare(strict_types=1);

namespace AwakeShed\App\Wait;

use AwakeShed\App\Account\Member;
use AwakeShed\App\Account\OwnVoter;
use AwakeShed\App\Http\Address;
use AwakeShed\App\Http\ButtonForm;
use AwakeShed\App\Job\JobWriter;
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
    /** Two days: a tank left to air, a part left to soak. */
    private const MOST_MINUTES = 2880;

    /** It takes otherwise long than was reckoned. */
    #[Route('/waits/{id}/minutes', name: 'wait_minutes', requirements: ['id' => Address::NUMBER], methods: ['POST'])]
    #[IsGranted(OwnVoter::MEND, 'wait')]
    public function minutes(#[MapEntity] Wait $wait, Request $request, ButtonForm $button, JobWriter $writer, #[CurrentUser] Member $member): Response
    {
        $key = $button->check($request);
        $minutes = filter_var($button->text($request, 'minutes'), \FILTER_VALIDATE_INT, ['options' => ['min_range' => 1, 'max_range' => self::MOST_MINUTES]]);
        if (\is_int($minutes)) {
            $writer->write($wait->getJob(), $member, $key, static function () use ($wait, $minutes): null {
                $wait->take($minutes);

                return null;
            });
            $this->addFlash('said', 'The timer is set anew, from when it was started.');
        } else {
            $this->addFlash('said', 'The timer stands as it was: it takes whole minutes, 1 to 2880.');
        }

        return $this->backTo($wait);
    }

    /** Somebody has come back to what waited. */
    #[Route('/waits/{id}/end', name: 'wait_end', requirements: ['id' => Address::NUMBER], methods: ['POST'])]
    #[IsGranted(OwnVoter::MEND, 'wait')]
    public function end(#[MapEntity] Wait $wait, Request $request, ButtonForm $button, JobWriter $writer, ClockInterface $clock, #[CurrentUser] Member $member): Response
    {
        $writer->write($wait->getJob(), $member, $button->check($request), static function () use ($wait, $clock): null {
            $wait->end($clock->now());

            return null;
        });

        return $this->backTo($wait);
    }

    private function backTo(Wait $wait): Response
    {
        [$route, $parameters] = $wait->getKind()->page();

        return $this->redirectToRoute($route, ['job' => $wait->getJob()->getId()] + $parameters, Response::HTTP_SEE_OTHER);
    }
}
