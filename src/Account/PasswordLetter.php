<?php

declare(strict_types=1);

namespace AwakeShed\App\Account;

use AwakeShed\App\Belonging\CurrentShop;
use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Symfony\Component\Mailer\MailerInterface;
use Symfony\Component\Mime\Email;
use Symfony\Contracts\Translation\TranslatorInterface;

/** The letter to somebody who lost their password, with a link that lets them choose another. */
final readonly class PasswordLetter
{
    public function __construct(
        private MemberRepository $members,
        private Links $links,
        private MailerInterface $mailer,
        private TranslatorInterface $translator,
        #[Autowire('%env(SHED_MAIL_FROM)%')]
        private string $from,
        private CurrentShop $shop,
    ) {
    }

    /** To whoever signs in by that name and has an address; to nobody else, and without a word about it. */
    public function send(string $signInName): void
    {
        $member = $this->members->withSignInName($signInName);
        if (null === $member?->getEmail() || !$member->isActive()) {
            return;
        }
        $this->shop->enter($member->shop());
        $this->mailer->send((new Email())
            ->from($this->from)
            ->to($member->getEmail())
            ->subject($this->translator->trans('A new password for the shed'))
            ->text($this->translator->trans("Somebody, you we hope, asked for a new password for the shed.\n\nChoose one here within the hour: %link%\n\nIf it was not you, do nothing: the old one stays.", ['%link%' => $this->links->make($member, Links::LOST, null)])));
    }
}
