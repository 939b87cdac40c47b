<?php

declare(strict_types=1);

namespace AwakeShed\Tests\App\Kept;

use AwakeShed\App\Calc\Answer;
use AwakeShed\App\Calc\Calculations;
use AwakeShed\App\Calc\CalcWords;
use AwakeShed\App\Calc\Given;
use AwakeShed\App\Device\Gauge\Scenario;
use AwakeShed\App\Device\Gauge\TraceKind;
use AwakeShed\App\Device\Weather\SimulatedWeather;
use AwakeShed\App\Drawing\Bar;
use AwakeShed\App\Drawing\BarDrawing;
use AwakeShed\App\Drawing\Drawing;
use AwakeShed\App\Drawing\PartShape;
use AwakeShed\App\Drawing\PlanDrawing;
use AwakeShed\App\Drawing\TraceDrawing;
use AwakeShed\App\Form\ChipChoices;
use AwakeShed\App\FuelTest\JarPart;
use AwakeShed\App\FuelTest\JarPartType;
use AwakeShed\App\Intake\IntakeType;
use AwakeShed\App\Unit\Figures;
use AwakeShed\App\Unit\Measure;
use AwakeShed\App\Unit\Quantities;
use AwakeShed\App\Waste\WasteType;
use AwakeShed\App\Words\Words;
use AwakeShed\Core\Carburetor\Carburetors;
use AwakeShed\Core\Carburetor\Material;
use AwakeShed\Core\Evidence\Finding;
use AwakeShed\Core\Evidence\MachineKind;
use AwakeShed\Core\Refusal;
use AwakeShed\Core\Sound\WavFile;
use AwakeShed\Core\Trace\NeedleTrace;
use AwakeShed\Core\Trace\SpeedTrace;
use AwakeShed\Core\Units\Interval;
use AwakeShed\Core\Units\ShaftSpeed;
use AwakeShed\Core\Units\SpeedUnit;
use AwakeShed\Tests\App\Calc\AnyInputs;
use AwakeShed\Tests\App\Calc\CalcCommandTest;
use AwakeShed\Tests\App\ShedTestCase;
use AwakeShed\Tests\Core\Trace\Shapes;
use AwakeShed\Tests\Kept;
use AwakeShed\Tests\Seeded;
use Symfony\Component\Clock\Test\ClockSensitiveTrait;
use Symfony\Component\DomCrawler\Crawler;
use Symfony\Component\Form\FormFactoryInterface;
use Twig\Environment;

/** Words, units and drawings of pages as they were looked at once: every field of the bench, every answer worked by hand, the drawings of a job. */
final class KeptPagesTest extends ShedTestCase
{
    use ClockSensitiveTrait;

    /** Of each calculation. */
    private const BY_CHANCE = 16;

    public function testEveryFieldAsksInItsUnitAndWithinItsBounds(): void
    {
        $lines = [];
        foreach (self::service(Calculations::class)->all() as $calculation) {
            foreach ($calculation->inputs() as $name => $input) {
                $schema = $input->schema('');
                unset($schema['description']);
                $usual = ($input->field(self::service(Quantities::class), self::service(ChipChoices::class))[1] ?? [])['usual'] ?? null;
                $lines[] = "{$calculation->name()}, $name: ".($usual instanceof Interval ? \sprintf('usually %.9g to %.9g %s, ', $usual->least, $usual->most, $usual->unit->symbol()) : '').json_encode($schema, \JSON_THROW_ON_ERROR | \JSON_UNESCAPED_UNICODE | \JSON_UNESCAPED_SLASHES).($input->isRequired() ? '' : ', optional').', '.json_encode($input->write($input->default()), \JSON_THROW_ON_ERROR);
            }
        }
        Kept::is(__DIR__.'/fields.txt', array_map(Kept::short(...), $lines));
    }

    public function testEveryAmountOfAFormIsPossibleAndUsualWithinItsBounds(): void
    {
        $forms = self::service(FormFactoryInterface::class);
        $asked = ['intake' => $forms->create(IntakeType::class), 'waste' => $forms->create(WasteType::class)];
        foreach (JarPart::cases() as $part) {
            $asked["jar, $part->value"] = $forms->create(JarPartType::class, null, ['part' => $part]);
        }
        $bounds = static fn (mixed $interval): string => $interval instanceof Interval ? \sprintf('%.9g to %.9g %s', $interval->least, $interval->most, $interval->unit->symbol()) : 'anything';
        $lines = [];
        foreach ($asked as $form => $fields) {
            foreach ($fields as $name => $field) {
                $options = $field->getConfig()->getOptions();
                if (($options['measure'] ?? null) instanceof Measure) {
                    $lines[] = "$form, $name: {$options['measure']->value}, possible {$bounds($options['possible'])}, usual {$bounds($options['usual'])}";
                }
            }
        }
        Kept::is(__DIR__.'/amounts-of-forms.txt', $lines);
    }

    public function testWhatTheBenchAnswersAndDraws(): void
    {
        $this->signIn();
        $lines = [];
        foreach (CalcCommandTest::worked() as [$name, $inputs]) {
            if (!isset($inputs['csv']) && 'quote' !== $name) {
                $page = $this->browser->request('GET', "/bench/$name?".http_build_query($inputs))->filter('main');
                $lines[] = "$name: ".self::text($page->filter('.verdict'));
                $given = static fn (Crawler $input): string => implode('=', array_filter([$input->attr('name'), $input->attr('value'), null === $input->attr('checked') ? null : 'checked'], is_string(...)));
                $lines = [...$lines, ...$page->filter('.calc-fields .field')->each(static fn (Crawler $field): string => "$name asks: ".self::text($field).' '.implode(' ', $field->filter('input, select')->each($given)))];
                $lines = [...$lines, ...$page->filter('.workings dt')->each(static fn (Crawler $term): string => "$name says: ".self::text($term).': '.self::text($term->nextAll()->first()))];
                $lines = [...$lines, ...$page->filter('.calc-figure svg')->each(static fn (Crawler $drawing): string => "$name draws: ".self::markup($drawing->outerHtml()))];
            }
        }
        Kept::is(__DIR__.'/bench.txt', $lines);
    }

    /** The same findings always come to the same figures. */
    public function testWhatACommandAnswers(): void
    {
        $lines = [];
        foreach (CalcCommandTest::worked() as [$name, $inputs]) {
            $calculation = self::service(Calculations::class)->named($name) ?? self::fail($name);
            $values = [];
            foreach ($calculation->inputs() as $field => $input) {
                $values[$field] = isset($inputs[$field]) ? $input->read($inputs[$field]) : $input->default();
            }
            $lines[] = "$name: ".self::answered($calculation->run(new Given($values)));
        }
        Kept::is(__DIR__.'/answers.txt', $lines);
    }

    /** What nobody would ask comes to the same as well, its sentence and its drawing too. */
    public function testWhatItAnswersByChance(): void
    {
        $lines = [];
        foreach (self::service(Calculations::class)->all() as $calculation) {
            $random = new Seeded(\strlen($calculation->name()));
            for ($case = 1; $case <= self::BY_CHANCE; ++$case) {
                [, $given] = AnyInputs::of($calculation, $random);
                try {
                    $answer = $calculation->run($given);
                    $said = self::answered($answer).' '.self::service(CalcWords::class)->verdict($calculation, $answer).(null === $answer->drawing ? '' : ' draws '.md5($this->drawn($answer->drawing)));
                } catch (Refusal $refusal) {
                    $said = 'refused, '.self::service(Words::class)->refusal($refusal);
                }
                $lines[] = Kept::short("{$calculation->name()} $case: $said");
            }
        }
        Kept::is(__DIR__.'/answers-by-chance.txt', $lines);
    }

    private static function answered(Answer $answer): string
    {
        return "$answer->verdict, {$answer->tone->value}, ".self::rounded($answer->plain()).'; '.implode(' ', array_map(static fn (Finding $finding): string => $finding->test.'='.($finding->number ?? implode('+', $finding->outcomes)), $answer->findings));
    }

    /** The stand-in of the gauge and the tachometer, second by second. */
    public function testWhatStandInsMakeUp(): void
    {
        $lines = [];
        foreach (Scenario::cases() as $scenario) {
            $lines[] = "$scenario->value, {$scenario->kind()->value}, {$scenario->unit()}, ".$scenario->duration().' s: '.implode(' ', array_map(static fn (int $n): string => \sprintf('%.9g', $scenario->at($n / 10, 3)), range(0, (int) (10 * min(40, $scenario->duration())), 7)));
        }
        foreach (array_filter(Scenario::cases(), static fn (Scenario $one): bool => TraceKind::Speed === $one->kind()) as $scenario) {
            $sound = WavFile::read($scenario->sound(1.2));
            $lines[] = "$scenario->value, heard: ".Kept::figure($sound->rate).' Hz, '.Kept::summed($sound->samples);
        }
        foreach (range(0, 11) as $month) {
            $moment = (new \DateTimeImmutable('2026-01-03 02:30 UTC'))->modify("+$month months +$month days +".(5 * $month).' hours');
            $lines[] = 'weather, '.$moment->format('Y-m-d H:i').': '.self::service(SimulatedWeather::class)->at($moment)->inCelsius().' °C';
        }
        Kept::is(__DIR__.'/stand-ins.txt', $lines);
    }

    /** Drawings of what no job of these tests comes to. */
    public function testDrawingsByThemselves(): void
    {
        $lines = [];
        foreach ([1, 4, 9, 16] as $number) {
            $lines[] = "$number bars: ".$this->drawn(BarDrawing::withBars('thrown_by_pull', array_map(static fn (int $n): Bar => new Bar((string) $n, 3.0 * $n, Figures::share(0.05 * $n), 2.5 * $n, 4.0 * $n), range(1, $number)), 12.0, Figures::share(0.5)));
        }
        foreach (['quick' => Shapes::needle(20.0, decay: 0.001), 'slow' => Shapes::needle(4.0, decay: 0.02)] as $name => $needle) {
            $lines[] = "a $name needle: ".$this->drawn(TraceDrawing::ofNeedle(NeedleTrace::fromPressures(Shapes::series($needle))));
        }
        foreach (['steady' => static fn (float $t): float => 3100.0, 'loaded' => static fn (float $t): float => $t < 9 ? 3700.0 : 3550.0] as $name => $rpm) {
            $lines[] = "a $name engine: ".$this->drawn(TraceDrawing::ofSpeed(SpeedTrace::fromSpeeds(Shapes::series(Shapes::speed(4, 20, $rpm)), ShaftSpeed::of(3456, SpeedUnit::Rpm))));
        }
        $bar = static fn (int $from, int $to, string $tone): array => ['id' => "j1.$tone", 'words' => 'Prove it', 'more' => 'ten minutes and more', 'machine' => '#1 Heronbill', 'from' => $from, 'to' => $to, 'tone' => $tone];
        $lines[] = 'a day: '.$this->drawn(new PlanDrawing('Monday', [
            ['id' => 'h1', 'name' => 'Wim', 'bars' => [$bar(495, 500, 'sure'), $bar(500, 560, 'likely'), $bar(560, 605, 'pinned'), $bar(605, 640, 'sure')]],
            ['id' => 'lift', 'name' => 'Lift', 'bars' => [$bar(510, 700, 'wait'), $bar(700, 1200, 'under-way')]],
        ], 490, 1050, 545));
        $kinds = [];
        foreach (Carburetors::shipped()->types as $type) {
            foreach ($type->parts as $part) {
                $kinds[$part->id] = "$part->id of {$part->material->value} is drawn as ".PartShape::ofPart($part->id, $part->material)->value;
            }
        }
        ksort($kinds);
        foreach (Material::cases() as $material) {
            $kinds[] = "something of $material->value is drawn as ".PartShape::ofPart(null, $material)->value;
        }
        Kept::is(__DIR__.'/drawings-by-themselves.txt', [...$lines, ...array_values($kinds)]);
    }

    public function testTheDrawingsOfAJobAndItsHistory(): void
    {
        self::mockTime(new \DateTimeImmutable('2026-06-09 09:00:00 UTC'));
        $this->signIn();
        $job = $this->job(MachineKind::Generator);
        $this->found($job, Finding::observed('look.oil_level', 'far_over'), Finding::observed('look.oil_smell', 'gas'), Finding::observed('look.plug', 'dry'), Finding::observed('flow.line', 'pours'), Finding::observed('bowl.inside', 'jelly'), Finding::number('claim.idle_months', 26), Finding::observed('needle.pressure', 'leaks'), Finding::observed('jet.pilot', 'blocked'));
        $at = '/jobs/'.$job->getId();
        $own = static fn (string $text): string => (string) preg_replace(['#/jobs/\d+#', '/, Jun 9, 2026, [^,]+,/'], ['/jobs/N', ','], $text);
        $lines = ['the line: '.$own(self::markup($this->got("$at/line.svg")))];
        $this->browser->request('POST', "$at/fuel/tank/read/layers", ['layers' => ['total' => '80', 'height' => '92', 'lower' => '14', 'edge' => 'sharp', '_token' => $this->token(), 'based_on' => '']]);
        self::assertResponseRedirects();
        $lines[] = 'the jar: '.$own(self::markup($this->got("$at/fuel/tank/jar.svg")));
        foreach ($this->browser->request('GET', "$at/history")->filter('.entry')->each(self::text(...)) as $entry) {
            $lines[] = 'history: '.$own($entry);
        }
        foreach ($this->browser->request('GET', "$at/gates")->filter('.hold, .gate .note')->each(self::text(...)) as $hold) {
            $lines[] = 'gates: '.$hold;
        }
        foreach (Carburetors::shipped()->types as $type) {
            $other = $this->job();
            $this->post('/jobs/'.$other->getId().'/carburetor', ['what' => 'begin', 'type' => $type->id]);
            $lines[] = "$type->id: ".$own(self::markup($this->browser->request('GET', '/jobs/'.$other->getId().'/carburetor/map')->filter('svg.section-drawing')->outerHtml()));
        }
        Kept::is(__DIR__.'/drawings.txt', $lines);
    }

    private function drawn(Drawing $drawing): string
    {
        return self::markup(self::service(Environment::class)->render('drawing/'.$drawing->template().'.svg.twig', ['drawing' => $drawing, 'standalone' => true, 'calc_words' => self::service(CalcWords::class)]));
    }

    private function got(string $address): string
    {
        $this->browser->request('GET', $address);
        self::assertResponseIsSuccessful($address);

        return (string) $this->browser->getResponse()->getContent();
    }

    private static function markup(string $markup): string
    {
        return trim((string) preg_replace(['/>\s+</', '/\s+/'], ['><', ' '], $markup));
    }

    /** @param array<string, mixed> $plain */
    private static function rounded(array $plain): string
    {
        array_walk_recursive($plain, static function (mixed &$one): void {
            $one = \is_float($one) ? (float) \sprintf('%.9g', $one) : $one;
        });

        return json_encode($plain, \JSON_THROW_ON_ERROR | \JSON_UNESCAPED_UNICODE | \JSON_UNESCAPED_SLASHES);
    }
}
