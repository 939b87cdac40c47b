<?php

declare(strict_types=1);

namespace AwakeShed\App\Sheet;

use AwakeShed\App\Account\Role;
use AwakeShed\App\Device\Mail\Outbox;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** What the stand-in for a mail server has taken; with a real one there is nothing here. */
#[IsGranted(Role::OWNER_NAME)]
final class OutboxController extends AbstractController
{
    #[Route('/letters', name: 'letters', methods: ['GET'])]
    public function look(Outbox $outbox): Response
    {
        return $this->render('sheet/letters.html.twig', ['letters' => $outbox->letters()]);
    }

    #[Route('/letters/{name}.eml', name: 'letter', requirements: ['name' => '[0-9a-f-]+'], methods: ['GET'])]
    public function letter(string $name, Outbox $outbox): Response
    {
        $letter = $outbox->read($name) ?? throw $this->createNotFoundException('No such letter.');

        return new Response($letter, headers: ['Content-Type' => 'message/rfc822', 'Content-Disposition' => 'attachment; filename="'.$name.'.eml"']);
    }
}
