<?php

declare(strict_types=1);

namespace AwakeShed\App\Diagnosis;

use AwakeShed\App\Account\Member;
use AwakeShed\App\Evidence\Recorder;
use AwakeShed\App\Http\Address;
use AwakeShed\App\Http\ButtonForm;
use AwakeShed\App\Job\Job;
use AwakeShed\App\Job\JobVoter;
use AwakeShed\Core\Evidence\Done;
use AwakeShed\Core\Evidence\Finding;
use AwakeShed\Core\Evidence\Shorthand;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** Findings as an old hand types them: a few letters, completed while they are typed, recorded with Enter. */
#[Route('/jobs/{job}/short', requirements: ['job' => Address::NUMBER])]
final class ShortController extends AbstractController
{
    private const LONGEST = 300;

    public function __construct(private readonly Lexicon $lexicon)
    {
    }

    /** What the last of the findings typed so far may mean. */
    #[Route('', name: 'short_hits', methods: ['GET'])]
    public function hits(Job $job, Request $request): Response
    {
        $line = mb_substr(mb_scrub($request->query->getString('line')), 0, self::LONGEST);
        $parts = Shorthand::split($line);

        return $this->render('diagnosis/_hits.html.twig', [
            'typed' => [] !== $parts,
            'earlier' => \array_slice($parts, 0, -1),
            'readings' => [] === $parts ? [] : $this->lexicon->forMachine($job->getMachine()->facts())->readings($parts[array_key_last($parts)]),
        ]);
    }

    #[Route('', name: 'short', methods: ['POST'])]
    #[IsGranted(JobVoter::RECORD, 'job')]
    public function record(Job $job, Request $request, ButtonForm $button, Recorder $recorder, #[CurrentUser] Member $member): Response
    {
        $key = $button->check($request);
        $line = $button->text($request, 'line');
        $parts = Shorthand::split($line);
        $shorthand = $this->lexicon->forMachine($job->getMachine()->facts());
        $meant = array_map($shorthand->plain(...), $parts);
        $findings = array_values(array_filter($meant, static fn (Finding|Done|null $meant): bool => null !== $meant));
        if ([] === $parts || \count($findings) < \count($parts)) {
            $unclear = array_values(array_intersect_key($parts, array_filter($meant, is_null(...))));

            return $this->render('diagnosis/short.html.twig', [
                'job' => $job,
                'line' => $line,
                'unclear' => array_map(static fn (string $part): array => ['part' => $part, 'readings' => $shorthand->readings($part)], $unclear),
            ], new Response(status: Response::HTTP_UNPROCESSABLE_ENTITY));
        }
        $recorder->observe($job, $member, $key, $findings);
        $this->addFlash('saved', 'Saved.');

        return $this->redirectToRoute('likely', ['job' => $job->getId()], Response::HTTP_SEE_OTHER);
    }
}
