<?php

declare(strict_types=1);

namespace AwakeShed\App\Shop;

use AwakeShed\App\Account\Member;
use AwakeShed\App\Account\OnOff;
use AwakeShed\App\Account\Role;
use AwakeShed\App\Account\Shop;
use AwakeShed\App\Account\Shops;
use AwakeShed\App\Audit\Deed;
use AwakeShed\App\Audit\Trail;
use AwakeShed\App\Form\Carried;
use AwakeShed\App\Form\ChangedSince;
use AwakeShed\App\Form\SideBySide;
use AwakeShed\App\Http\ButtonForm;
use AwakeShed\App\Once\OncePerKey;
use AwakeShed\App\Once\Turns;
use AwakeShed\App\Reader\UnitSystem;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\BinaryFileResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** What the shop is called, and what may be thrown away of the demo; for the owner. */
#[IsGranted(Role::OWNER_NAME)]
final class ShopController extends AbstractController
{
    public function __construct(private readonly Shops $shops, private readonly OncePerKey $once, private readonly Turns $turns, private readonly Trail $trail, private readonly SideBySide $sideBySide)
    {
    }

    #[Route('/shop', name: 'shop', methods: ['GET', 'POST'])]
    public function shop(Request $request, DemoMachines $demo, #[CurrentUser] Member $owner): Response
    {
        $shop = $this->shops->current() ?? throw $this->createNotFoundException('The shed is not open.');
        $form = $this->createForm(ShopType::class, self::said($shop));
        $form->handleRequest($request);
        $changed = null;
        if ($form->isSubmitted() && $form->isValid()) {
            try {
                $this->once->run(Carried::keyOf($form, $request), $owner->getId(), function () use ($shop, $form, $owner): null {
                    $this->turns->take($shop);
                    /** @var array{name: string, place: string|null, units: UnitSystem, standIns: OnOff} $said */
                    $said = $form->getData();
                    $before = self::said($shop);
                    $this->sideBySide->demandUnchanged($form, $this->createForm(ShopType::class, $said), $this->createForm(ShopType::class, $before));
                    $shop->call($said['name'], (string) $said['place'], $said['units']);
                    $shop->useStandIns(OnOff::On === $said['standIns']);
                    $this->trail->change($owner->getId(), Deed::ShedChanged, $shop->getName(), $before, self::said($shop));

                    return null;
                });
                $this->addFlash('said', 'Saved.');

                return $this->redirectToRoute('shop', status: Response::HTTP_SEE_OTHER);
            } catch (ChangedSince $changed) {
            }
        }
        $view = $form->createView();
        $changed?->rebase($view);

        return $this->render('shop/shop.html.twig', ['form' => $view, 'shop' => $shop, 'differences' => $changed->differences ?? [], 'demo_machines' => $demo->count()], new Response(
            status: $form->isSubmitted() ? Response::HTTP_UNPROCESSABLE_ENTITY : Response::HTTP_OK,
        ));
    }

    /** All the machines the demo brought, with everything recorded of them, in one act. */
    #[Route('/shop/demo-machines', name: 'shop_throw_away_demo', methods: ['POST'])]
    public function throwAway(Request $request, ButtonForm $button, DemoMachines $demo, #[CurrentUser] Member $owner): Response
    {
        $key = $button->check($request);
        if ('throw away' !== mb_strtolower($button->text($request, 'sure'))) {
            $this->addFlash('refused', 'Nothing was thrown away: the words were not typed.');

            return $this->redirectToRoute('shop', status: Response::HTTP_SEE_OTHER);
        }
        $this->once->run($key, $owner->getId(), function () use ($demo, $owner): null {
            $this->trail->note($owner->getId(), Deed::DemoThrownAway, '', ['machines' => $demo->throwAway()]);

            return null;
        });
        $this->addFlash('said', 'The machines of the demo are gone.');

        return $this->redirectToRoute('shed', status: Response::HTTP_SEE_OTHER);
    }

    #[Route('/shop.zip', name: 'shop_export', methods: ['GET'])]
    public function all(ShopFile $file): Response
    {
        $path = (string) tempnam(sys_get_temp_dir(), 'shed');
        $file->write($path);
        $response = new BinaryFileResponse($path, headers: ['Content-Type' => 'application/zip']);
        $response->setContentDisposition('attachment', 'shop.zip');
        $response->deleteFileAfterSend();

        return $response;
    }

    /** @return array{name: string, place: string, units: UnitSystem, standIns: OnOff} */
    private static function said(Shop $shop): array
    {
        return ['name' => $shop->getName(), 'place' => $shop->getPlace(), 'units' => $shop->getUnits(), 'standIns' => $shop->usesStandIns() ? OnOff::On : OnOff::Off];
    }
}
