<?php

declare(strict_types=1);

namespace AwakeShed\Tests\App\Kept;

use AwakeShed\App\Account\Role;
use AwakeShed\Core\Evidence\MachineKind;
use AwakeShed\Tests\App\ShedTestCase;
use AwakeShed\Tests\Kept;
use AwakeShed\Tests\Seeded;
use Symfony\Component\Clock\Test\ClockSensitiveTrait;
use Symfony\Component\DomCrawler\Crawler;
use Symfony\Component\DomCrawler\Field\ChoiceFormField;
use Symfony\Component\DomCrawler\Field\FormField;
use Symfony\Component\DomCrawler\Form;
use Symfony\Component\HttpFoundation\Response;

/**
 * Somebody who presses whatever there is, on one machine after the other, and writes anything into the fields: nothing fails,
 * everything is answered, and what is answered is kept.
 */
final class WalksByChanceTest extends ShedTestCase
{
    use ClockSensitiveTrait;

    private const WALKS = 20;
    private const STEPS = 12;

    /** Of one job, and of the shop. */
    private const PLACES = ['', '/gates', '/gates', '/fuel/tank', '/fuel/bowl', '/machine', '/spec', '/money', '/parts', '/sheet', '/schools', '/carburetor', '/carburetor', '/carburetor/cleaning', '/carburetor/check', '/carburetor/refit', '/likely', '/stages/path', '/stages/first_run', '/stages/layup', '/look-back', '/hand-back', '/now/path', '/line/bowl', '/line/jets', '/waste', '/history'];
    private const SHOP = ['/shelf', '/waste', '/oil', '/plan', '/plan/hours', '/prices', '/season', '/schools', '/parts', '/shop', '/people'];

    private const ANSWERS = '.note.is-good, .note.is-bad, .note.is-ask, [role="alert"], [data-error], .help.is-danger, .saved';

    public function testWhateverIsPressedIsAnsweredAsItWas(): void
    {
        self::mockTime(new \DateTimeImmutable('2026-11-23 15:00 UTC'));
        $lines = [];
        for ($walk = 1; $walk <= self::WALKS; ++$walk) {
            $dice = new Seeded($walk);
            $kind = $dice->one(MachineKind::cases());
            $job = $this->job($kind);
            if (0 === $walk % 2) {
                $job = $this->pastGates($job);
            }
            $this->signIn($dice->one([Role::Owner, Role::Technician, Role::Technician, Role::Apprentice]));
            $lines[] = "$walk. a $kind->value".(0 === $walk % 2 ? ', past its gates' : '');
            for ($step = 0; $step < self::STEPS; ++$step) {
                $address = 0 === $dice->int(0, 5) ? $dice->one(self::SHOP) : '/jobs/'.$job->getId().$dice->one(self::PLACES);
                $lines[] = "$walk. ".self::named($this->step($address, $dice));
            }
            $page = $this->browser->request('GET', '/jobs/'.$job->getId().'/history');
            $lines[] = "$walk. it stands: ".self::named(self::text($page->filter('main')));
        }
        Kept::is(__DIR__.'/walks-by-chance.txt', array_map(Kept::short(...), $lines));
    }

    private function step(string $address, Seeded $dice): string
    {
        $page = $this->browser->request('GET', $address);
        $status = $this->browser->getResponse()->getStatusCode();
        self::assertLessThan(500, $status, $address);
        $buttons = $page->filter('main form button:not([type]), main form button[type="submit"]');
        if (0 === $buttons->count()) {
            return "$address: $status";
        }
        $button = $buttons->eq($dice->int(0, $buttons->count() - 1));
        $form = $button->form();
        $filled = self::fill($form, ($button->closest('form') ?? $page)->filter('input:not([type]), input[type="text"], input[type="number"], textarea')->each(static fn (Crawler $field): string => (string) $field->attr('name')), $dice);
        $this->browser->submit($form);
        $said = "$address, ".self::text($button)." $filled: ".$this->browser->getResponse()->getStatusCode();
        self::assertLessThan(500, $this->browser->getResponse()->getStatusCode(), $said);
        while (\in_array($this->browser->getResponse()->getStatusCode(), [Response::HTTP_FOUND, Response::HTTP_SEE_OTHER], true)) {
            $this->browser->followRedirect();
        }

        return $said.' '.$this->browser->getRequest()->getPathInfo().' “'.implode('; ', $this->browser->getCrawler()->filter(self::ANSWERS)->each(self::text(...))).'”';
    }

    /**
     * What is chosen is told by its place: its name may be counted up.
     *
     * @param list<string> $typed names of fields that are typed into
     */
    private static function fill(Form $form, array $typed, Seeded $dice): string
    {
        $filled = [];
        foreach ($form->all() as $name => $field) {
            if ($field instanceof ChoiceFormField && 'checkbox' === $field->getType()) {
                if (1 === $dice->int(0, 1)) {
                    $field->tick();
                    $filled[] = "$name ticked";
                }
            } elseif ($field instanceof ChoiceFormField) {
                $choices = array_values(array_filter($field->availableOptionValues(), static fn (mixed $value): bool => \is_string($value) && '' !== $value));
                if ([] !== $choices && 0 < $dice->int(0, 5)) {
                    $place = $dice->int(0, \count($choices) - 1);
                    $field->select($choices[$place]);
                    $filled[] = "$name choice $place";
                }
            } elseif ($field instanceof FormField && \in_array($name, $typed, true)) {
                $field->setValue($written = $dice->one(['', '1', '2', '4', '8', '15', '40', '90', '250', '600', '1 L', 'Put by at the lake']));
                $filled[] = "$name “{$written}”";
            }
        }

        return implode(', ', $filled);
    }

    private static function named(string $text): string
    {
        return (string) preg_replace(['~(?<=/)\d+~', '/#\d+/', '/[\w-]{40,}/'], ['N', '#N', '…'], $text);
    }
}
