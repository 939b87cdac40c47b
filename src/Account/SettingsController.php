<?php

declare(strict_types=1);

namespace AwakeShed\App\Account;

use AwakeShed\App\Form\ChangedSince;
use AwakeShed\App\Form\SideBySide;
use AwakeShed\App\Http\ButtonForm;
use AwakeShed\App\Once\Transaction;
use AwakeShed\App\Once\Turns;
use AwakeShed\App\Reader\Look;
use AwakeShed\App\Reader\UnitSystem;
use AwakeShed\Core\Units\Length;
use Psr\Clock\ClockInterface;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\Form\FormInterface;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/** A person's own page: how they read, their password, their second factor, where they are signed in. */
final class SettingsController extends AbstractController
{
    public function __construct(
        private readonly People $people,
        private readonly OpenSessionRepository $sessions,
        private readonly Transaction $transaction,
        private readonly Turns $turns,
        private readonly SideBySide $sideBySide,
        private readonly ClockInterface $clock,
    ) {
    }

    #[Route('/me', name: 'me', methods: ['GET', 'POST'])]
    public function me(Request $request, #[CurrentUser] Member $member): Response
    {
        $preferences = $this->createForm(PreferencesType::class, self::preferences($member));
        $password = $this->createForm(ChangePasswordType::class, options: ['is_own' => fn (#[\SensitiveParameter] string $typed): bool => $this->people->isPassword($member, $typed)]);
        $changed = null;

        $preferences->handleRequest($request);
        if ($preferences->isSubmitted() && $preferences->isValid()) {
            try {
                $this->prefer($member, $preferences);
                $this->addFlash('said', 'Saved.');

                return $this->redirectToRoute('me', status: Response::HTTP_SEE_OTHER);
            } catch (ChangedSince $changed) {
            }
        }
        $password->handleRequest($request);
        if ($password->isSubmitted() && $password->isValid()) {
            $new = $password->get('new')->getData();
            $this->people->changePassword($member, \is_string($new) ? $new : '');
            $this->addFlash('said', 'Your password is changed. Elsewhere you are signed out.');

            return $this->redirectToRoute('me', status: Response::HTTP_SEE_OTHER);
        }
        $view = $preferences->createView();
        $changed?->rebase($view);

        return $this->render('account/me.html.twig', [
            'preferences' => $view,
            'password' => $password->createView(),
            'member' => $member,
            'differences' => $changed->differences ?? [],
            'sessions' => $this->sessions->ofMember($member),
        ], new Response(status: $preferences->isSubmitted() || $password->isSubmitted() ? Response::HTTP_UNPROCESSABLE_ENTITY : Response::HTTP_OK));
    }

    /** Ends one session of one's own, or all but this. */
    #[Route('/me/sessions', name: 'my_sessions', methods: ['POST'])]
    public function endSessions(Request $request, ButtonForm $button, #[CurrentUser] Member $member): Response
    {
        $one = $button->text($request, 'session');
        $this->sessions->end($member, $this->clock->now(), '' === $one ? null : $one, '' === $one ? $member->getSession() : null);
        $this->addFlash('said', 'Signed out there.');

        return $this->redirectToRoute('me', status: Response::HTTP_SEE_OTHER);
    }

    /**
     * @param FormInterface<array{units: UnitSystem, look: Look, letterKeys: OnOff, timerSound: OnOff, wires: list<Length>}> $form
     *
     * @throws ChangedSince when the same person saved something else on another device
     */
    private function prefer(Member $member, FormInterface $form): void
    {
        $this->transaction->run(function () use ($member, $form): void {
            $this->turns->take($member);
            $chosen = $form->getData();
            $this->sideBySide->demandUnchanged($form, $this->createForm(PreferencesType::class, $chosen), $this->createForm(PreferencesType::class, self::preferences($member)));
            $member->prefer($chosen['units'], $chosen['look']);
            $member->goByLetters($chosen['letterKeys']);
            $member->hearTimers($chosen['timerSound']);
            $member->ownWires($chosen['wires']);
        });
    }

    /** @return array{units: UnitSystem, look: Look, letterKeys: OnOff, timerSound: OnOff, wires: list<Length>} */
    private static function preferences(Member $member): array
    {
        return ['units' => $member->getUnits(), 'look' => $member->getLook(), 'letterKeys' => $member->getLetterKeys(), 'timerSound' => $member->getTimerSound(), 'wires' => $member->getWires()];
    }
}
