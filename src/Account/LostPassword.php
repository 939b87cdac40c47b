<?php

declare(strict_types=1);

namespace AwakeShed\App\Account;

use Symfony\Component\DependencyInjection\Attribute\AutowireServiceClosure;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpKernel\Event\TerminateEvent;

/**
 * Has the letter with a new password's link sent after the answer is out, so that neither its words nor its time say who
 * works here.
 */
final class LostPassword
{
    private ?string $asked = null;

    /** @param \Closure(): PasswordLetter $letter made only for somebody who asked: this listens at the end of every request */
    public function __construct(
        #[AutowireServiceClosure(PasswordLetter::class)]
        private readonly \Closure $letter,
    ) {
    }

    public function ask(string $signInName): void
    {
        $this->asked = $signInName;
    }

    #[AsEventListener]
    public function onTerminate(TerminateEvent $event): void
    {
        [$asked, $this->asked] = [$this->asked, null];
        if (null !== $asked) {
            ($this->letter)()->send($asked);
        }
    }
}
