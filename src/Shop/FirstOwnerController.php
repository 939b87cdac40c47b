<?php

declare(strict_types=1);

namespace AwakeShed\App\Shop;

use AwakeShed\App\Account\AnonymousDoor;
use AwakeShed\App\Account\MemberRepository;
use AwakeShed\App\Account\People;
use AwakeShed\App\Account\Role;
use AwakeShed\App\Account\Shop;
use AwakeShed\App\Account\Shops;
use AwakeShed\App\Audit\Deed;
use AwakeShed\App\Audit\Trail;
use AwakeShed\App\Belonging\CurrentShop;
use AwakeShed\App\Once\Transaction;
use AwakeShed\App\Once\Turns;
use AwakeShed\App\School\Schools;
use AwakeShed\Core\Evidence\Vocabulary;
use Doctrine\DBAL\Exception\UniqueConstraintViolationException;
use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Bundle\SecurityBundle\Security;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/**
 * The page on which a shed becomes somebody's: open until it was used, and only to whoever has the code that the
 * terminal printed.
 */
final class FirstOwnerController extends AbstractController
{
    public function __construct(
        private readonly MemberRepository $members,
        private readonly Shops $shops,
        private readonly OpeningCode $code,
        private readonly Vocabulary $vocabulary,
        private readonly Transaction $transaction,
        private readonly Turns $turns,
        private readonly CurrentShop $shop,
        private readonly EntityManagerInterface $entities,
        private readonly People $people,
        private readonly Schools $schools,
        private readonly Trail $trail,
        private readonly ClockInterface $clock,
    ) {
    }

    #[Route('/first-owner', name: 'first_owner', defaults: [AnonymousDoor::OPEN => '1'], methods: ['GET', 'POST'])]
    public function open(Request $request, Security $security): Response
    {
        $code = $request->query->getString('code');
        if ($this->members->hasAnybody() || !$this->code->isRight($code)) {
            throw $this->createNotFoundException('This shed is somebody\'s, or the code is not the one that was printed.');
        }
        $input = new FirstOwnerInput();
        foreach ($this->vocabulary->schools as $question => $choices) {
            $input->schools[$question] = $choices[0];
        }
        $form = $this->createForm(FirstOwnerType::class, $input, ['action' => $this->generateUrl('first_owner', ['code' => $code])]);
        $form->handleRequest($request);
        if ($form->isSubmitted() && $form->isValid()) {
            try {
                $owner = $this->transaction->run(function () use ($input) {
                    // Of two who send this at once, the second comes after the first, and before it has read anything.
                    $this->turns->hold('first owner');
                    $shop = $this->shops->only();
                    $this->shop->enter($shop?->getId() ?? Shop::FIRST);
                    $shop?->call((string) $input->shop, (string) $input->place, $input->units ?? throw new \LogicException('A valid form has units.'));
                    if (null === $shop) {
                        $shop = new Shop((string) $input->shop, (string) $input->place, $input->units ?? throw new \LogicException('A valid form has units.'), false, $this->clock->now());
                        $this->entities->persist($shop);
                    }
                    $this->entities->flush();
                    if ($this->members->hasAnybody()) {
                        throw $this->createNotFoundException('Somebody was faster.');
                    }
                    foreach ($input->schools as $question => $school) {
                        if (null !== $school && $school !== ($this->vocabulary->schools[$question][0] ?? null)) {
                            $this->schools->choose($question, $school);
                        }
                    }
                    $owner = $this->people->add((string) $input->signInName, (string) $input->name, Role::Owner, $input->email, null, null);
                    $owner->prefer($input->units ?? $owner->getUnits(), $owner->getLook());
                    $this->people->changePassword($owner, (string) $input->password);
                    $this->trail->note($owner->getId(), Deed::ShedOpened, $shop->getName());

                    return $owner;
                });
            } catch (UniqueConstraintViolationException $rival) {
                throw $this->createNotFoundException('Somebody was faster.', $rival);
            }
            $this->code->throwAway();

            return $security->login($owner, 'form_login', 'main') ?? $this->redirectToRoute('people', status: Response::HTTP_SEE_OTHER);
        }

        return $this->render('shop/first_owner.html.twig', ['form' => $form]);
    }
}
