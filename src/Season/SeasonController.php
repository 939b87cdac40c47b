<?php

declare(strict_types=1);

namespace AwakeShed\App\Season;

use AwakeShed\App\Account\AnonymousDoor;
use AwakeShed\App\Account\Member;
use AwakeShed\App\Account\Role;
use AwakeShed\App\Account\Shops;
use AwakeShed\App\Audit\Deed;
use AwakeShed\App\Audit\Trail;
use AwakeShed\App\Evidence\Recorder;
use AwakeShed\App\Http\Address;
use AwakeShed\App\Http\ButtonForm;
use AwakeShed\App\Job\Job;
use AwakeShed\App\Job\Machine;
use AwakeShed\App\Once\OncePerKey;
use Doctrine\ORM\EntityManagerInterface;
use Symfony\Bridge\Doctrine\Attribute\MapEntity;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Generator\UrlGeneratorInterface;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** The days of machines for whatever calendar somebody keeps: a file for one owner, a feed for the shop. */
final class SeasonController extends AbstractController
{
    public function __construct(private readonly Calendar $calendar, private readonly Recorder $recorder, private readonly Shops $shops, private readonly EntityManagerInterface $entities, private readonly HomeMachines $home)
    {
    }

    /** The days of one machine, to be put into its owner's calendar. */
    #[Route('/machines/{machine}/days.ics', name: 'machine_days', requirements: ['machine' => Address::NUMBER], methods: ['GET'])]
    public function ofMachine(#[MapEntity(mapping: ['machine' => 'id'])] Machine $machine): Response
    {
        $last = $this->entities->getRepository(Job::class)->findOneBy(['machine' => $machine], ['id' => 'DESC']) ?? throw $this->createNotFoundException('It was never here.');

        return self::asCalendar($this->calendar->of([$this->recorder->open($last)], $machine->getLabel()), \sprintf('machine-%d.ics', $machine->getId() ?? 0));
    }

    /** The days of all machines that are at home, for whoever has the link. */
    #[Route('/calendar/{token}.ics', name: 'calendar_feed', defaults: [AnonymousDoor::OPEN => '1'], requirements: ['token' => '[A-Za-z0-9_-]{43}'], methods: ['GET'])]
    public function feed(string $token): Response
    {
        $shop = $this->shops->withFeed($token) ?? throw $this->createNotFoundException('No such calendar.');

        return self::asCalendar($this->calendar->of(array_map($this->recorder->open(...), $this->home->last()), $shop->getName()), 'shop.ics');
    }

    #[Route('/season', name: 'season', methods: ['GET'])]
    public function look(LayUps $layUps): Response
    {
        $rows = array_map(static fn (Job $job): array => ['job' => $job, 'wake' => $layUps->wakeDay($job), 'lay_up' => $layUps->layUpDay($job)], $this->home->last());
        usort($rows, static fn (array $one, array $other): int => $one['wake'] <=> $other['wake']);

        return $this->render('season/season.html.twig', ['has_feed' => true === $this->shops->current()?->hasFeed(), 'rows' => $rows]);
    }

    /** A new link for the feed; the one before opens nothing any more. */
    #[Route('/season/feed', name: 'season_feed', methods: ['POST'])]
    #[IsGranted(Role::OWNER_NAME)]
    public function newFeed(Request $request, ButtonForm $button, OncePerKey $once, Trail $trail, #[CurrentUser] Member $owner): Response
    {
        $key = $button->check($request);
        $shop = $this->shops->current() ?? throw $this->createNotFoundException('The shed is not open.');
        $isEnd = 'end' === $button->text($request, 'what');
        $token = null;
        $once->run($key, $owner->getId(), static function () use ($shop, $isEnd, $trail, $owner, &$token): null {
            $token = $isEnd ? $shop->endFeed() : $shop->newFeed();
            $trail->note($owner->getId(), $isEnd ? Deed::FeedEnded : Deed::FeedMade, '');

            return null;
        });
        if (\is_string($token)) {
            $this->addFlash('link', $this->generateUrl('calendar_feed', ['token' => $token], UrlGeneratorInterface::ABSOLUTE_URL));
        }

        return $this->redirectToRoute('season', status: Response::HTTP_SEE_OTHER);
    }

    private static function asCalendar(string $calendar, string $name): Response
    {
        return new Response($calendar, headers: ['Content-Type' => 'text/calendar; charset=utf-8', 'Content-Disposition' => 'attachment; filename="'.$name.'"', 'Cache-Control' => 'no-store, private']);
    }
}
