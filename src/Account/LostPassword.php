<?php

declare(strict_types=1);

namespace AwakeShed\App\Account;

use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpKernel\Event\TerminateEvent;
use Symfony\Component\Mailer\MailerInterface;
use Symfony\Component\Mime\Email;
use Symfony\Contracts\Translation\TranslatorInterface;

/**
 * Sends a link to somebody who lost their password: after the answer is out, so that neither its words nor its time say
 * who works here.
 */
final class LostPassword
{
    private ?string $asked = null;

    public function __construct(
        private readonly MemberRepository $members,
        private readonly Links $links,
        private readonly MailerInterface $mailer,
        private readonly TranslatorInterface $translator,
        #[Autowire('%env(SHED_MAIL_FROM)%')]
        private readonly string $from,
    ) {
    }

    public function ask(string $signInName): void
    {
        $this->asked = $signInName;
    }

    #[AsEventListener]
    public function onTerminate(TerminateEvent $event): void
    {
        $member = null === $this->asked ? null : $this->members->withSignInName($this->asked);
        $this->asked = null;
        if (null === $member?->getEmail() || !$member->isActive()) {
            return;
        }
        $this->mailer->send((new Email())
            ->from($this->from)
            ->to($member->getEmail())
            ->subject($this->translator->trans('A new password for the shed'))
            ->text($this->translator->trans("Somebody, you we hope, asked for a new password for the shed.\n\nChoose one here within the hour: %link%\n\nIf it was not you, do nothing: the old one stays.", ['%link%' => $this->links->make($member, Links::LOST, null)])));
    }
}
