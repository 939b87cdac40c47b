<?php

declare(strict_types=1);

namespace AwakeShed\App\Plan;

use AwakeShed\App\Account\Member;
use AwakeShed\App\Account\Role;
use AwakeShed\App\Http\Address;
use AwakeShed\App\Http\ButtonForm;
use AwakeShed\App\Once\OncePerKey;
use Doctrine\ORM\EntityManagerInterface;
use Symfony\Bridge\Doctrine\Attribute\MapEntity;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** Who is there when, and what is shared. */
final class HoursController extends AbstractController
{
    public function __construct(private readonly Workplace $place, private readonly AbsenceRepository $absences, private readonly Plans $plans, private readonly EntityManagerInterface $entities, private readonly ButtonForm $button, private readonly OncePerKey $once)
    {
    }

    #[Route('/plan/hours', name: 'plan_hours', methods: ['GET'])]
    public function look(): Response
    {
        return $this->page([], null);
    }

    #[Route('/plan/hours/{member}', name: 'plan_hours_set', requirements: ['member' => Address::NUMBER], methods: ['POST'])]
    #[IsGranted(Role::OWNER_NAME)]
    public function set(#[MapEntity(mapping: ['member' => 'id'])] Member $member, Request $request, #[CurrentUser] Member $owner): Response
    {
        $typed = $set = [];
        foreach (range(1, 7) as $weekday) {
            $typed['h'.$member->getId().'-'.$weekday] = $text = $this->button->text($request, 'day'.$weekday);
            $stretch = ClockText::stretch($text);
            if (null === $stretch) {
                return $this->page($typed, 'Hours are written like 8:00-16:30; an empty field is a free day.');
            }
            $set[$weekday] = $stretch;
        }
        $this->once->run($this->button->check($request), $owner->getId(), function () use ($member, $set): null {
            $known = $this->place->hours()[$member->getId()] ?? [];
            foreach ($set as $weekday => [$since, $until]) {
                $hours = $known[$weekday] ?? new Hours($member, $weekday);
                $hours->set($since, $until);
                $this->entities->persist($hours);
            }

            return null;
        });

        return $this->saved();
    }

    #[Route('/plan/away', name: 'plan_away', methods: ['POST'])]
    #[IsGranted(Role::OWNER_NAME)]
    public function away(Request $request, #[CurrentUser] Member $owner): Response
    {
        $key = $this->button->check($request);
        $typed = array_map(fn (string $field): string => $this->button->text($request, $field), ['who' => 'who', 'first' => 'first', 'last' => 'last', 'part' => 'part', 'note' => 'note']);
        $first = ClockText::day($typed['first']);
        $last = '' === $typed['last'] ? $first : ClockText::day($typed['last']);
        $part = PartOfDay::tryFrom($typed['part']);
        if (null === $first || null === $last || null === $part || $last < $first) {
            return $this->page($typed, 'Say from which day, and until which: not before it.');
        }
        $member = null;
        foreach ($this->place->people() as $one) {
            $member = (string) $one->getId() === $typed['who'] ? $one : $member;
        }
        $this->once->run($key, $owner->getId(), function () use ($member, $first, $last, $part, $typed): null {
            $this->entities->persist(new Absence($member, $first, $last, $part, $typed['note']));

            return null;
        });

        return $this->saved();
    }

    #[Route('/plan/away/{id}', name: 'plan_back', requirements: ['id' => Address::NUMBER], methods: ['POST'])]
    #[IsGranted(Role::OWNER_NAME)]
    public function back(#[MapEntity(mapping: ['id' => 'id'])] Absence $absence, Request $request, #[CurrentUser] Member $owner): Response
    {
        $this->once->run($this->button->check($request), $owner->getId(), function () use ($absence): null {
            $this->entities->remove($absence);

            return null;
        });

        return $this->saved();
    }

    #[Route('/plan/equipment', name: 'plan_equipment', methods: ['POST'])]
    #[IsGranted(Role::OWNER_NAME)]
    public function equipment(Request $request, #[CurrentUser] Member $owner): Response
    {
        $key = $this->button->check($request);
        $typed = $set = [];
        foreach (Equipment::BOUNDS as $setting => [$least, $most]) {
            $typed[$setting] = $this->button->text($request, $setting);
            $value = str_starts_with($setting, 'pad_') ? ClockText::minute($typed[$setting]) : filter_var($typed[$setting], \FILTER_VALIDATE_INT, ['options' => ['min_range' => $least, 'max_range' => $most]]);
            if (!\is_int($value)) {
                return $this->page($typed, 'A number is missing or too large: lifts 1 to 20, places 1 to 50, minutes of a bath 1 to 240, hours like 9:00.');
            }
            $set[$setting] = $value;
        }
        $typed['first_snow'] = $this->button->text($request, 'first_snow');
        $snow = '' === $typed['first_snow'] ? null : ClockText::day($typed['first_snow']);
        if ('' !== $typed['first_snow'] && null === $snow) {
            return $this->page($typed, 'The day of the first snow is no day.');
        }
        $sundays = 'on' === $this->button->text($request, 'sundays');
        $this->once->run($key, $owner->getId(), function () use ($set, $sundays, $snow): null {
            $equipment = $this->place->equipment();
            $equipment->set($set, $sundays, $snow);
            $this->entities->persist($equipment);

            return null;
        });

        return $this->saved();
    }

    private function saved(): Response
    {
        $this->addFlash('said', 'Saved. The plan is being mended.');

        return $this->redirectToRoute('plan_hours', status: Response::HTTP_SEE_OTHER);
    }

    /** @param array<string, string> $typed */
    private function page(array $typed, ?string $problem): Response
    {
        $hours = $this->place->hours();
        $rows = [];
        foreach ($this->place->people() as $member) {
            $days = [];
            foreach (range(1, 7) as $weekday) {
                $own = $hours[$member->getId()][$weekday] ?? null;
                $days[$weekday] = $typed['h'.$member->getId().'-'.$weekday] ?? ClockText::written(null === $own ? Hours::usual($weekday) : $own->stretch());
            }
            $rows[] = ['member' => $member, 'days' => $days];
        }
        $equipment = $this->place->equipment();
        $set = $equipment->all();

        return $this->render('plan/hours.html.twig', [
            'rows' => $rows,
            'absences' => $this->absences->since($this->plans->now()),
            'equipment' => $equipment,
            'settings' => array_map(static fn (string $setting): string => $typed[$setting] ?? (str_starts_with($setting, 'pad_') ? ClockText::clock($set[$setting]) : (string) $set[$setting]), array_combine(array_keys($set), array_keys($set))),
            'typed' => $typed,
            'problem' => $problem,
        ], new Response(status: null === $problem ? Response::HTTP_OK : Response::HTTP_UNPROCESSABLE_ENTITY));
    }
}
