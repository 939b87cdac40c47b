<?php

declare(strict_types=1);

namespace AwakeShed\App\Sheet;

use AwakeShed\App\Account\Member;
use AwakeShed\App\Account\Shops;
use AwakeShed\App\Evidence\Record;
use AwakeShed\App\Evidence\Recorder;
use AwakeShed\App\Job\Job;
use AwakeShed\App\Job\JobWriter;
use AwakeShed\App\Once\RequestKey;
use AwakeShed\App\Reader\Dates;
use AwakeShed\App\Season\LayUps;
use AwakeShed\App\Words\Catalogue;
use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;
use Psr\Log\LoggerInterface;
use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Symfony\Component\Mailer\Exception\TransportExceptionInterface;
use Symfony\Component\Mailer\MailerInterface;
use Symfony\Component\Mime\Address;
use Symfony\Component\Mime\Email;
use Symfony\Component\Routing\Generator\UrlGeneratorInterface;

/** Prints what goes home with a machine, sends it, and keeps what went out. */
final readonly class SheetWriter
{
    /** A link is for a customer who comes within the month. */
    private const LINK_LASTS = '+30 days';

    public function __construct(
        private OwnersSheets $sheets,
        private StartingCards $cards,
        private LayUps $layUps,
        private SheetPdf $pdf,
        private Shops $shops,
        private Catalogue $catalogue,
        private Dates $dates,
        private Recorder $recorder,
        private JobWriter $jobs,
        private EntityManagerInterface $entities,
        private ClockInterface $clock,
        private MailerInterface $mailer,
        private LoggerInterface $logger,
        private UrlGeneratorInterface $addresses,
        #[Autowire('%env(SHED_MAIL_FROM)%')]
        private string $from,
    ) {
    }

    public function title(SheetKind $kind, Record $record): string
    {
        $machine = ['%machine%' => $record->job->getMachine()->getLabel()];

        return match ($kind) {
            SheetKind::Done => $this->catalogue->say('title', $machine, 'sheet'),
            SheetKind::StartingCard => $this->catalogue->say('card_title', $machine, 'sheet'),
            SheetKind::LayUp => $this->catalogue->say('sheet_title', $machine, 'season'),
        };
    }

    /** @return list<SheetSection> */
    public function sections(SheetKind $kind, Record $record): array
    {
        return match ($kind) {
            SheetKind::Done => $this->sheets->of($record)->sections,
            SheetKind::StartingCard => $this->cards->of($record),
            SheetKind::LayUp => $this->layUp($record),
        };
    }

    public function print(SheetKind $kind, Record $record): string
    {
        return SheetKind::Done === $kind
            ? $this->pdf->print($this->sheets->of($record))
            : $this->pdf->printWords($this->title($kind, $record), $this->shops->current()?->getName() ?? '', [$this->catalogue->say('job', ['%number%' => $record->job->getId(), '%owner%' => $record->job->getMachine()->getOwnerName()], 'sheet')], $this->sections($kind, $record));
    }

    /**
     * @param string $to where the letter goes; empty for a link that somebody passes on
     *
     * @return string|null the link; null where a letter went, and where this was sent before
     */
    public function send(Job $job, SheetKind $kind, Member $by, RequestKey $key, string $to): ?string
    {
        $record = $this->recorder->open($job);
        $bytes = $this->print($kind, $record);
        $title = $this->title($kind, $record);
        $link = $new = null;
        $this->jobs->write($job, $by, $key, function () use ($job, $kind, $by, $to, $bytes, &$link, &$new): null {
            $now = $this->clock->now();
            $new = new SentSheet($job, $kind, SheetCopy::digest($bytes), $by, $now, $to);
            if (null === $this->entities->find(SheetCopy::class, $new->getSha256())) {
                $this->entities->persist(new SheetCopy($bytes));
            }
            if ('' === $to) {
                $link = $this->addresses->generate('sheet_open', ['token' => $new->openUntil($now->modify(self::LINK_LASTS))], UrlGeneratorInterface::ABSOLUTE_URL);
            }
            $this->entities->persist($new);

            return null;
        }, evenIfHandedBack: true);
        // The letter goes once the sheet is kept: one that went and is not kept could not be told again.
        if ('' !== $to && $new instanceof SentSheet) {
            $new->wasTaken($this->post($to, $title, $job, $bytes));
            $this->entities->flush();
        }

        return \is_string($link) ? $link : null;
    }

    private function post(string $to, string $title, Job $job, string $bytes): bool
    {
        $shop = $this->shops->current()?->getName() ?? '';
        $letter = (new Email())->from(new Address($this->from, $shop))->to($to)->subject($title)
            ->text($this->catalogue->say('mail_text', ['%machine%' => $job->getMachine()->getLabel(), '%shop%' => $shop], 'sheet'))
            ->attach($bytes, 'sheet.pdf', 'application/pdf');
        try {
            $this->mailer->send($letter);

            return true;
        } catch (TransportExceptionInterface $failure) {
            $this->logger->error('A letter was not taken: {reason}', ['reason' => $failure->getMessage()]);

            return false;
        }
    }

    /** @return list<SheetSection> */
    private function layUp(Record $record): array
    {
        $case = $record->case();
        $sections = [
            'sheet_steps' => $this->layUps->lines($record),
            'sheet_settings' => $this->layUps->settings($case),
            'sheet_days' => [$this->say('sheet_lay_up_day', ['%day%' => $this->dates->day($this->layUps->layUpDay($record->job))]), $this->say('sheet_wake_day', ['%day%' => $this->dates->day($this->layUps->wakeDay($record->job))])],
            'sheet_needs' => $this->layUps->needs($record->job, $this->layUps->service($record)),
        ];

        return array_values(array_filter(array_map(fn (string $id, array $lines): ?SheetSection => [] === $lines ? null : new SheetSection($id, $this->say($id), $lines), array_keys($sections), $sections)));
    }

    /** @param array<string, int|string> $with */
    private function say(string $key, array $with = []): string
    {
        return $this->catalogue->say($key, $with, 'season');
    }
}
