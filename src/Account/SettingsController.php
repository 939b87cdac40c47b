<?php

declare(strict_types=1);

namespace AwakeShed\App\Account;

use AwakeShed\Core\Units\Length;
use Doctrine\ORM\EntityManagerInterface;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\PasswordHasher\Hasher\UserPasswordHasherInterface;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

final class SettingsController extends AbstractController
{
    #[Route('/me', name: 'me', methods: ['GET', 'POST'])]
    public function me(
        Request $request,
        #[CurrentUser]
        Member $member,
        UserPasswordHasherInterface $hasher,
        EntityManagerInterface $entities,
    ): Response {
        $preferences = $this->createForm(PreferencesType::class, ['units' => $member->getUnits(), 'look' => $member->getLook(), 'wires' => $member->getWires()]);
        $password = $this->createForm(ChangePasswordType::class);

        $preferences->handleRequest($request);
        if ($preferences->isSubmitted() && $preferences->isValid()) {
            /** @var array{units: UnitSystem, look: Look, wires: list<Length>} $chosen */
            $chosen = $preferences->getData();
            $member->prefer($chosen['units'], $chosen['look']);
            $member->ownWires($chosen['wires']);
            $entities->flush();
            $this->addFlash('said', 'Saved.');

            return $this->redirectToRoute('me', status: Response::HTTP_SEE_OTHER);
        }
        $password->handleRequest($request);
        if ($password->isSubmitted() && $password->isValid()) {
            $new = $password->get('new')->getData();
            $member->changePassword($hasher->hashPassword($member, \is_string($new) ? $new : ''));
            $entities->flush();
            $this->addFlash('said', 'Your password is changed.');

            return $this->redirectToRoute('me', status: Response::HTTP_SEE_OTHER);
        }

        return $this->render('account/me.html.twig', ['preferences' => $preferences, 'password' => $password, 'member' => $member]);
    }
}
