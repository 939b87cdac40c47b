<?php

declare(strict_types=1);

namespace AwakeShed\App\Plan;

use AwakeShed\App\Account\AnonymousDoor;
use AwakeShed\App\Account\Member;
use AwakeShed\App\Account\Token;
use AwakeShed\App\Belonging\CurrentShop;
use AwakeShed\App\Http\ButtonForm;
use AwakeShed\App\Once\OncePerKey;
use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;
use Sabre\VObject\Component\VCalendar;
use Sabre\VObject\Component\VEvent;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Generator\UrlGeneratorInterface;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/** Somebody's own work in whatever calendar they keep, behind a link that nobody can guess. */
final class PlanFeedController extends AbstractController
{
    public function __construct(private readonly EntityManagerInterface $entities, private readonly PlanBoards $boards, private readonly PlanWords $words, private readonly ClockInterface $clock, private readonly CurrentShop $shop)
    {
    }

    #[Route('/my-work/{token}.ics', name: 'plan_feed_read', defaults: [AnonymousDoor::OPEN => '1'], requirements: ['token' => '[A-Za-z0-9_-]{43}'], methods: ['GET'])]
    public function read(string $token): Response
    {
        $feed = $this->shop->enterBy(fn (): ?PlanFeed => $this->entities->getRepository(PlanFeed::class)->findOneBy(['hash' => Token::digest($token)]));
        if (null === $feed || !$feed->getMember()->isActive()) {
            throw $this->createNotFoundException('No such calendar.');
        }
        $calendar = new VCalendar(['PRODID' => '-//Awake Shed//Plan//EN', 'X-WR-CALNAME' => $feed->getMember()->getName(), 'METHOD' => 'PUBLISH']);
        foreach ($this->boards->last()?->of($feed->getMember()->getId()) ?? [] as $item) {
            $utc = new \DateTimeZone('UTC');
            $calendar->add(new VEvent($calendar, 'VEVENT', [
                // The same piece of work is the same event wherever it is moved.
                'UID' => $item->id.'@awake-shed',
                'DTSTAMP' => $this->clock->now()->setTimezone($utc),
                'DTSTART' => $item->start->setTimezone($utc),
                'DTEND' => $item->end->setTimezone($utc),
                'SUMMARY' => $this->words->piece($item->kind).': '.$item->job->label,
                'STATUS' => $item->isLikely ? 'TENTATIVE' : 'CONFIRMED',
                'URL' => $this->generateUrl('job', ['job' => $item->job->id], UrlGeneratorInterface::ABSOLUTE_URL),
            ]));
        }

        return new Response($calendar->serialize(), headers: ['Content-Type' => 'text/calendar; charset=utf-8', 'Content-Disposition' => 'attachment; filename="work.ics"', 'Cache-Control' => 'no-store, private']);
    }

    /** A new link; the one before opens nothing any more. */
    #[Route('/plan/feed', name: 'plan_feed', methods: ['POST'])]
    public function renew(Request $request, ButtonForm $button, OncePerKey $once, #[CurrentUser] Member $member): Response
    {
        $token = null;
        $isEnd = 'end' === $button->text($request, 'what');
        $once->run($button->check($request), $member->getId(), function () use ($member, $isEnd, &$token): null {
            $feed = $this->entities->find(PlanFeed::class, $member->getId());
            if ($isEnd) {
                if (null !== $feed) {
                    $this->entities->remove($feed);
                }

                return null;
            }
            $feed ??= new PlanFeed($member);
            $token = $feed->renew();
            $this->entities->persist($feed);

            return null;
        });
        if (\is_string($token)) {
            $this->addFlash('link', $this->generateUrl('plan_feed_read', ['token' => $token], UrlGeneratorInterface::ABSOLUTE_URL));
        }

        return $this->redirectToRoute('plan', status: Response::HTTP_SEE_OTHER);
    }
}
