<?php

declare(strict_types=1);

namespace AwakeShed\App\Http;

use Symfony\Component\DependencyInjection\Attribute\AutowireServiceClosure;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpKernel\Event\ExceptionEvent;

/**
 * Hands a failure to the page that explains it. The page is made only then: at the end of every request the security
 * system looks through those who listen for failures, which makes each of them, and that page needs all our words.
 */
final readonly class Failures
{
    /** @param \Closure(): ErrorPage $page */
    public function __construct(
        #[AutowireServiceClosure(ErrorPage::class)]
        private \Closure $page,
    ) {
    }

    /** After the security system has had its say (it turns "not signed in" into the sign-in page), before Symfony's own page. */
    #[AsEventListener(priority: -64)]
    public function onException(ExceptionEvent $event): void
    {
        ($this->page)()->answer($event);
    }
}
