<?php

declare(strict_types=1);

namespace AwakeShed\App\Http;

use AwakeShed\App\Once\KeyConflict;
use AwakeShed\App\Once\Turns;
use AwakeShed\App\Words\StepWords;
use AwakeShed\App\Words\Words;
use AwakeShed\Core\Refusal;
use AwakeShed\Core\Units\OffersReadings;
use Symfony\Component\HttpFoundation\Exception\RequestExceptionInterface;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Event\ExceptionEvent;
use Symfony\Component\HttpKernel\Exception\HttpExceptionInterface;
use Symfony\Component\HttpKernel\KernelInterface;
use Symfony\Component\Security\Core\Exception\AccessDeniedException;
use Twig\Environment;

/** Turns whatever went wrong into a page that says what happened, that nothing was lost, and what to do. */
final readonly class ErrorPage
{
    public function __construct(private Environment $twig, private Words $words, private StepWords $steps, private KernelInterface $kernel, private SessionPlace $sessions)
    {
    }

    public function answer(ExceptionEvent $event): void
    {
        $failure = $event->getThrowable();
        [$status, $code, $detail] = $this->judge($failure);
        if (Response::HTTP_INTERNAL_SERVER_ERROR === $status && $this->kernel->isDebug()) {
            return;
        }
        if (Response::HTTP_SERVICE_UNAVAILABLE === $status) {
            // The person could not be loaded, so the firewall would sign them out on the way back: the session is
            // left as it is, and they are who they were once the database answers again.
            $event->getRequest()->attributes->remove('_security_firewall_run');
            $event->getRequest()->attributes->set(ResponseHeaders::SAME_SESSION, true);
            $this->sessions->giveUp();
        }
        $asked = $failure instanceof OffersReadings ? $failure : null;
        $event->setResponse(new Response($this->twig->render('error/error.html.twig', [
            'code' => $code,
            'detail' => $detail,
            'kept' => self::kept($code, $event->getRequest()),
            'asked' => $asked?->typed(),
            'readings' => $asked?->readings(),
            'path' => $event->getRequest()->getPathInfo(),
        ]), $status));
        $event->allowCustomResponseCode();
    }

    /** @return array{int, string, string|null} status, name of the page's text, a sentence of detail */
    private function judge(\Throwable $failure): array
    {
        $outage = Outage::in($failure);
        if (null !== $outage) {
            return [Outage::Disk === $outage ? Response::HTTP_INSUFFICIENT_STORAGE : Response::HTTP_SERVICE_UNAVAILABLE, $outage->value, null];
        }

        return match (true) {
            $failure instanceof Explained => [Response::HTTP_CONFLICT, $failure->text(), $failure->detail($this->words, $this->steps)],
            $failure instanceof KeyConflict => [Response::HTTP_CONFLICT, 'used_key', null],
            $failure instanceof StaleForm => [Response::HTTP_FORBIDDEN, 'stale_form', null],
            $failure instanceof OffersReadings => [Response::HTTP_UNPROCESSABLE_ENTITY, 'which', $this->words->refusal($failure)],
            $failure instanceof Refusal => [Response::HTTP_UNPROCESSABLE_ENTITY, 'refused', $this->words->refusal($failure)],
            $failure instanceof AccessDeniedException => [Response::HTTP_FORBIDDEN, 'role', null],
            $failure instanceof RequestExceptionInterface => [Response::HTTP_BAD_REQUEST, 'malformed', null],
            $failure instanceof HttpExceptionInterface => [$failure->getStatusCode(), match ($failure->getStatusCode()) {
                403 => 'role',
                404 => 'not_found',
                405 => 'not_found',
                default => 'malformed',
            }, null],
            default => [Response::HTTP_INTERNAL_SERVER_ERROR, 'ours', null],
        };
    }

    /** Sending again makes sense when the cause can pass; not when the input itself, or who sent it, is the cause. */
    private static function kept(string $code, Request $request): ?KeptInput
    {
        return match ($code) {
            'database', 'disk', 'ours', 'stale_form', 'which' => KeptInput::fromRequest($request),
            'used_key' => KeptInput::fromRequest($request)?->underAFreshKey(),
            default => null,
        };
    }
}
