<?php

declare(strict_types=1);

namespace AwakeShed\App\Account;

use AwakeShed\App\Audit\Deed;
use AwakeShed\App\Audit\Trail;
use AwakeShed\App\Http\ButtonForm;
use AwakeShed\App\Once\Transaction;
use AwakeShed\App\Once\Turns;
use AwakeShed\App\Presentation\QrCode;
use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\RateLimiter\RateLimiterFactoryInterface;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** A code that follows the time, besides the password: for owners, who hold the keys to everything. */
final class SecondFactorController extends AbstractController
{
    private const SECRET = 'second_factor_secret';
    private const RECOVERY_CODES = 8;

    public function __construct(
        private readonly EntityManagerInterface $entities,
        private readonly Transaction $transaction,
        private readonly Turns $turns,
        private readonly OpenSessionRepository $sessions,
        private readonly RateLimiterFactoryInterface $secondFactorLimiter,
        private readonly Seal $seal,
        private readonly Trail $trail,
        private readonly ClockInterface $clock,
        private readonly ButtonForm $button,
    ) {
    }

    /** Asked after the password, as long as this session has not shown it. */
    #[Route('/second-factor', name: 'second_factor', methods: ['GET', 'POST'])]
    public function ask(Request $request, #[CurrentUser] Member $member): Response
    {
        $session = $this->sessions->find((string) $member->getSession());
        if (null === $session || $session->isProved()) {
            return $this->redirectToRoute('shed', status: Response::HTTP_SEE_OTHER);
        }
        $problem = null;
        if ($request->isMethod('POST')) {
            $code = $this->button->text($request, 'code');
            $problem = !$this->secondFactorLimiter->create((string) $member->getId())->consume()->isAccepted() ? 'too_many' : ($this->isGood($member, $code) ? null : 'wrong');
            if (null === $problem) {
                $session->prove();
                $this->entities->flush();
                // What could be read before is worth nothing after.
                $request->getSession()->migrate(true);

                return $this->redirectToRoute('shed', status: Response::HTTP_SEE_OTHER);
            }
            $this->trail->note($member->getId(), Deed::SignInRefused, $member->getName(), [], ['second_factor' => $problem]);
        }

        return $this->render('account/second_factor.html.twig', ['problem' => $problem], new Response(status: null === $problem ? Response::HTTP_OK : Response::HTTP_UNPROCESSABLE_ENTITY));
    }

    #[Route('/me/second-factor', name: 'my_second_factor', methods: ['GET', 'POST'])]
    #[IsGranted(Role::OWNER_NAME)]
    public function setUp(Request $request, #[CurrentUser] Member $member): Response
    {
        $store = $request->getSession();
        $problem = null;
        if ($request->isMethod('POST')) {
            $code = $this->button->text($request, 'code');
            if ($member->secondFactor()->isOn()) {
                if ($this->isGood($member, $code)) {
                    $member->secondFactor()->end();
                    $this->entities->flush();
                    $this->trail->note($member->getId(), Deed::SecondFactorOff, $member->getName());
                    $this->addFlash('said', 'The second factor is off.');

                    return $this->redirectToRoute('me', status: Response::HTTP_SEE_OTHER);
                }
                $problem = 'wrong';
            } else {
                $secret = $store->get(self::SECRET);
                $step = \is_string($secret) ? Totp::step($secret, $code, $this->clock->now()->getTimestamp()) : null;
                if (\is_string($secret) && null !== $step) {
                    $codes = self::recoveryCodes();
                    $member->secondFactor()->begin($this->seal->close($secret), $step, $codes);
                    $this->entities->flush();
                    $this->trail->note($member->getId(), Deed::SecondFactorOn, $member->getName());
                    $store->remove(self::SECRET);

                    // Shown here and nowhere again.
                    return $this->render('account/recovery_codes.html.twig', ['codes' => $codes]);
                }
                $problem = 'wrong';
            }
        }
        if ($member->secondFactor()->isOn()) {
            return $this->render('account/my_second_factor.html.twig', ['is_on' => true, 'left' => $member->secondFactor()->recoveryLeft(), 'problem' => $problem], new Response(status: null === $problem ? 200 : 422));
        }
        $secret = $store->get(self::SECRET);
        if (!\is_string($secret)) {
            $secret = Totp::secret();
            $store->set(self::SECRET, $secret);
        }

        return $this->render('account/my_second_factor.html.twig', [
            'is_on' => false,
            'secret' => implode(' ', str_split($secret, 4)),
            'qr' => QrCode::encoding(Totp::address($secret, 'Awake Shed', $member->getSignInName())),
            'problem' => $problem,
        ], new Response(status: null === $problem ? Response::HTTP_OK : Response::HTTP_UNPROCESSABLE_ENTITY));
    }

    /** In the person's turn, so that one code opens one session. */
    private function isGood(Member $member, #[\SensitiveParameter] string $code): bool
    {
        return $this->transaction->run(function () use ($member, $code): bool {
            $this->turns->take($member);
            $factor = $member->secondFactor();
            $secret = $this->seal->open($factor->getSealed());
            $step = null === $secret ? null : Totp::step($secret, $code, $this->clock->now()->getTimestamp());

            return null !== $step && $factor->use($step) || $factor->useRecovery($code);
        });
    }

    /** @return list<string> 40 bits each, in two groups that are easily typed */
    private static function recoveryCodes(): array
    {
        return array_map(static fn (): string => implode('-', str_split(strtolower(Totp::base32(random_bytes(5))), 4)), range(1, self::RECOVERY_CODES));
    }
}
