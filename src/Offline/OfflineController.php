<?php

declare(strict_types=1);

namespace AwakeShed\App\Offline;

use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\Asset\Packages;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Contracts\Translation\TranslatorInterface;

/** What a device needs to hold the shed as an application of its own, and to say when there is no line to it. */
final class OfflineController extends AbstractController
{
    /** The web application manifest (W3C). */
    #[Route('/manifest', name: 'manifest', methods: ['GET'])]
    public function manifest(Packages $assets, TranslatorInterface $translator): Response
    {
        return new JsonResponse([
            'name' => 'Awake Shed',
            'short_name' => 'Shed',
            'description' => $translator->trans('Machines that stood long, woken safely.'),
            'lang' => 'en',
            'id' => '/',
            'start_url' => $this->generateUrl('shed'),
            'scope' => '/',
            'display' => 'standalone',
            'background_color' => '#f3efe4',
            'theme_color' => '#0d4f4a',
            'icons' => [['src' => $assets->getUrl('icons/shed.svg'), 'sizes' => 'any', 'type' => 'image/svg+xml', 'purpose' => 'any']],
        ], headers: ['Content-Type' => 'application/manifest+json']);
    }

    /** Kept on the device, and shown there in place of a page that it has not seen. */
    #[Route('/no-line', name: 'no_line', methods: ['GET'])]
    public function noLine(): Response
    {
        return $this->render('offline/no_line.html.twig');
    }
}
