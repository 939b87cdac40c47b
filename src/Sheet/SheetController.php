<?php

declare(strict_types=1);

namespace AwakeShed\App\Sheet;

use AwakeShed\App\Account\AnonymousDoor;
use AwakeShed\App\Account\Member;
use AwakeShed\App\Evidence\Record;
use AwakeShed\App\Evidence\Recorder;
use AwakeShed\App\Http\Address;
use AwakeShed\App\Http\ButtonForm;
use AwakeShed\App\Job\Job;
use AwakeShed\App\Job\JobVoter;
use AwakeShed\App\Job\JobWriter;
use Psr\Clock\ClockInterface;
use Symfony\Bridge\Doctrine\Attribute\MapEntity;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** What goes home with a machine on paper: shown, printed, sent, and kept as it was sent. */
final class SheetController extends AbstractController
{
    private const KINDS = 'done|starting_card|lay_up';

    public function __construct(private readonly Recorder $recorder, private readonly OwnersSheets $sheets, private readonly SheetWriter $writer, private readonly SentSheetRepository $sent, private readonly ButtonForm $button, private readonly ClockInterface $clock)
    {
    }

    #[Route('/jobs/{job}/sheet', name: 'job_sheet', requirements: ['job' => Address::NUMBER], methods: ['GET'])]
    public function look(Job $job): Response
    {
        $record = $this->recorder->open($job);

        return $this->page($job, $record, '', null);
    }

    /** The starting card, or how it is laid up, on a page to print. */
    #[Route('/jobs/{job}/papers/{kind}', name: 'job_paper', requirements: ['job' => Address::NUMBER, 'kind' => 'starting_card|lay_up'], methods: ['GET'])]
    public function paper(Job $job, SheetKind $kind): Response
    {
        $record = $this->recorder->open($job);

        return $this->render('sheet/paper.html.twig', ['job' => $job, 'record' => $record, 'kind' => $kind, 'title' => $this->writer->title($kind, $record), 'sections' => $this->writer->sections($kind, $record)]);
    }

    #[Route('/jobs/{job}/papers/{kind}.pdf', name: 'job_paper_pdf', requirements: ['job' => Address::NUMBER, 'kind' => self::KINDS], methods: ['GET'])]
    public function pdf(Job $job, SheetKind $kind): Response
    {
        return self::asPdf($this->writer->print($kind, $this->recorder->open($job)), \sprintf('job-%d-%s.pdf', $job->getId(), $kind->value));
    }

    /** By letter, or behind a link; what goes out is kept as it is now. */
    #[Route('/jobs/{job}/sheet/send', name: 'job_sheet_send', requirements: ['job' => Address::NUMBER], methods: ['POST'])]
    #[IsGranted(JobVoter::PUT_RIGHT, 'job')]
    public function send(Job $job, Request $request, #[CurrentUser] Member $member): Response
    {
        $key = $this->button->check($request);
        $kind = SheetKind::tryFrom($this->button->text($request, 'kind')) ?? SheetKind::Done;
        $to = $this->button->text($request, 'to');
        $isLink = 'link' === $this->button->text($request, 'how');
        if (!$isLink && false === filter_var($to, \FILTER_VALIDATE_EMAIL)) {
            return $this->page($job, $this->recorder->open($job), $to, 'That is no address a letter can go to.');
        }
        $link = $this->writer->send($job, $kind, $member, $key, $isLink ? '' : $to);
        if (null !== $link) {
            // Shown this once; nobody can look it up again.
            $this->addFlash('link', $link);
        }
        $this->addFlash('said', 'It went out as it is now, and is kept so.');

        return $this->redirectToRoute('job_sheet', ['job' => $job->getId()], Response::HTTP_SEE_OTHER);
    }

    #[Route('/sheets/{id}/withdraw', name: 'sheet_withdraw', requirements: ['id' => Address::NUMBER], methods: ['POST'])]
    #[IsGranted(JobVoter::PUT_RIGHT)]
    public function withdraw(#[MapEntity(mapping: ['id' => 'id'])] SentSheet $sheet, Request $request, JobWriter $jobs, #[CurrentUser] Member $member): Response
    {
        $jobs->write($sheet->getJob(), $member, $this->button->check($request), function () use ($sheet): null {
            $sheet->withdraw($this->clock->now());

            return null;
        }, evenIfHandedBack: true);
        $this->addFlash('said', 'The link opens nothing any more.');

        return $this->redirectToRoute('job_sheet', ['job' => $sheet->getJob()->getId()], Response::HTTP_SEE_OTHER);
    }

    /** As it went out, for whoever works here. */
    #[Route('/sheets/{id}.pdf', name: 'sheet_copy', requirements: ['id' => Address::NUMBER], methods: ['GET'])]
    public function copy(#[MapEntity(mapping: ['id' => 'id'])] SentSheet $sheet): Response
    {
        return self::asPdf($this->sent->copyOf($sheet)->bytes(), \sprintf('sheet-%d.pdf', $sheet->getId()));
    }

    /** Behind its link, for whoever has it; it opens this one sheet and nothing else. */
    #[Route('/s/{token}', name: 'sheet_open', defaults: [AnonymousDoor::OPEN => '1'], requirements: ['token' => '[A-Za-z0-9_-]{43}'], methods: ['GET'])]
    public function open(string $token): Response
    {
        $sheet = $this->sent->behind($token);
        if (null === $sheet || !$sheet->isOpen($this->clock->now())) {
            return $this->render('sheet/ended.html.twig', [], new Response(status: Response::HTTP_GONE));
        }
        $response = self::asPdf($this->sent->copyOf($sheet)->bytes(), 'sheet.pdf');
        $response->headers->set('Referrer-Policy', 'no-referrer');
        $response->headers->set('X-Robots-Tag', 'noindex');

        return $response;
    }

    private function page(Job $job, Record $record, string $typed, ?string $problem): Response
    {
        $contact = $job->getMachine()->getOwnerContact();

        return $this->render('sheet/sheet.html.twig', [
            'job' => $job,
            'record' => $record,
            'sheet' => $this->sheets->of($record),
            'sent' => $this->sent->ofJob($job),
            'now' => $this->clock->now(),
            'to' => '' !== $typed || null !== $problem ? $typed : (false === filter_var($contact, \FILTER_VALIDATE_EMAIL) ? '' : $contact),
            'problem' => $problem,
        ], new Response(status: null === $problem ? Response::HTTP_OK : Response::HTTP_UNPROCESSABLE_ENTITY));
    }

    private static function asPdf(string $bytes, string $name): Response
    {
        $response = new Response($bytes, headers: ['Content-Type' => 'application/pdf', 'Cache-Control' => 'no-store, private']);
        $response->headers->set('Content-Disposition', $response->headers->makeDisposition('inline', $name));

        return $response;
    }
}
