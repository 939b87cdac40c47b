<?php

declare(strict_types=1);

namespace AwakeShed\App\Demo;

use AwakeShed\App\Account\Member;
use AwakeShed\App\Account\Shop;
use AwakeShed\App\Belonging\CurrentShop;
use AwakeShed\App\Calc\Calculations;
use AwakeShed\App\Calc\Given;
use AwakeShed\App\Carburetor\WantedPart;
use AwakeShed\App\Device\Gauge\Scenario;
use AwakeShed\App\Evidence\Content\Observed;
use AwakeShed\App\Evidence\Content\WorkedOut;
use AwakeShed\App\Evidence\Derivation;
use AwakeShed\App\Evidence\Recorder;
use AwakeShed\App\Intake\Intake;
use AwakeShed\App\Intake\IntakeInput;
use AwakeShed\App\Job\Job;
use AwakeShed\App\Job\JobRepository;
use AwakeShed\App\Job\Machine;
use AwakeShed\App\Life\LifeNote;
use AwakeShed\App\Life\LifeTopic;
use AwakeShed\App\Money\Estimate;
use AwakeShed\App\Money\OwnersWord;
use AwakeShed\App\Oil\Oil;
use AwakeShed\App\Oil\Shelf;
use AwakeShed\App\Once\RequestKey;
use AwakeShed\App\Photo\PhotoStore;
use AwakeShed\App\Reader\Look;
use AwakeShed\App\Reader\UnitSystem;
use AwakeShed\App\Shelf\PartCondition;
use AwakeShed\App\Shelf\PartsShelf;
use AwakeShed\App\Shelf\ShelfPart;
use AwakeShed\App\Spec\SpecPage;
use AwakeShed\App\Trace\Trace;
use AwakeShed\App\Wait\Wait;
use AwakeShed\App\Wait\WaitKind;
use AwakeShed\App\Wait\WaitRepository;
use AwakeShed\App\Waste\WasteCan;
use AwakeShed\App\Waste\WasteLedger;
use AwakeShed\App\Waste\WasteRule;
use AwakeShed\App\Work\ActRecorder;
use AwakeShed\Core\Carburetor\Move;
use AwakeShed\Core\Carburetor\MoveKind;
use AwakeShed\Core\Carburetor\PartsLedger as StripLedger;
use AwakeShed\Core\Evidence\CaseFile;
use AwakeShed\Core\Evidence\CaseFormat;
use AwakeShed\Core\Evidence\Done;
use AwakeShed\Core\Evidence\Finding;
use AwakeShed\Core\Evidence\MachineKind;
use AwakeShed\Core\Evidence\PutRight;
use AwakeShed\Core\Evidence\Vocabulary;
use AwakeShed\Core\Fuel\JarReading;
use AwakeShed\Core\Fuel\JarSample;
use AwakeShed\Core\Fuel\WasteStream;
use AwakeShed\Core\Proving\Attempt;
use AwakeShed\Core\Proving\ChokeStep;
use AwakeShed\Core\Spec\SourceClass;
use AwakeShed\Core\Spec\SpecFigure;
use AwakeShed\Core\Spec\SpecValue;
use AwakeShed\Core\Stage\Act;
use AwakeShed\Core\Table;
use AwakeShed\Core\Trace\Series;
use AwakeShed\Core\Units\CalendarSpan;
use AwakeShed\Core\Units\Length;
use AwakeShed\Core\Units\Volume;
use Doctrine\ORM\EntityManagerInterface;
use Symfony\Component\Clock\Clock;
use Symfony\Component\Clock\MockClock;
use Symfony\Component\PasswordHasher\Hasher\UserPasswordHasherInterface;

/**
 * Fills an empty shed with the demo (data/barn.json), through the same use cases as the pages, with the clock set
 * back to when each thing happened.
 *
 * @phpstan-import-type JarArray from JarReading
 *
 * @phpstan-type Step array{
 *     by?: string, find?: array{string, string}, correct?: array{string, string}, put_right?: string,
 *     jar?: string, reading?: JarArray, settle?: string, waste?: array{string, float|int}, hand_back?: bool,
 *     work?: array{string, array<string, mixed>}, trace?: string, did?: array{string, array<string, float|int>, string|null},
 *     done?: string, strip?: array{string, int|null, array<string, string>}, want?: string,
 *     attempt?: array{array<key-of<Attempt::BOUNDS>, float|int>, string, string},
 *     spend?: array{float|int, float|int}, estimate?: array{float|int, float|int, string}, agreed?: array{string, string}, life?: array{string, string}
 * }
 * @phpstan-type DemoPage array{page: string, kind: string, figures: array<string, array{float|int, string, string}>}
 * @phpstan-type DemoMachine array{
 *     label: string, owner: string, contact: string, kind: string, days_ago: int, wanted_in: int|null, remarks: string,
 *     facts: array<string, mixed>, spec?: string, claims: array<string, string|int>, photos: int, steps: list<Step>
 * }
 */
final class Barn
{
    /** Days. */
    private const LATELY = 5;

    /** @var array<string, Member> by sign-in name */
    private array $people = [];

    /** @var list<Oil> */
    private array $oils = [];

    /** The last that was made. */
    private ?Estimate $estimate = null;

    /** @var array<string, SpecPage> by name */
    private array $pages = [];

    public function __construct(
        private readonly EntityManagerInterface $entities,
        private readonly CurrentShop $shop,
        private readonly UserPasswordHasherInterface $hasher,
        private readonly CaseFormat $format,
        private readonly Intake $intake,
        private readonly Recorder $recorder,
        private readonly Derivation $derivation,
        private readonly JobRepository $jobs,
        private readonly PhotoStore $photos,
        private readonly Calculations $calculations,
        private readonly ActRecorder $doing,
        private readonly WaitRepository $waits,
        private readonly WasteLedger $ledger,
        private readonly Shelf $shelf,
        private readonly Vocabulary $vocabulary,
        private readonly PartsShelf $parts,
    ) {
    }

    public function fill(\DateTimeImmutable $now): void
    {
        $real = Clock::get();
        try {
            $this->hire($now->modify('-60 days'));
            /** @var array{wires_mm: list<float>, cans: list<array{string, string, float|int}>, waste_rules: array<string, string>, oils: array<string, float|int>, shelf: list<array{string, string, string, string, int, int, string, string, float|int}>, spec_book: list<DemoPage>, machines: list<DemoMachine>} $barn */
            $barn = Table::read(__DIR__.'/data/barn.json');
            $this->people[SignIn::Technician->value]->ownWires(array_map(Length::millimetres(...), $barn['wires_mm']));
            foreach ($barn['cans'] as [$name, $stream, $litres]) {
                $this->entities->persist(new WasteCan($name, WasteStream::from($stream), Volume::millilitres(1000.0 * $litres)));
            }
            foreach ($barn['waste_rules'] as $stream => $note) {
                $rule = new WasteRule(WasteStream::from($stream));
                $rule->say($note);
                $this->entities->persist($rule);
            }
            foreach ($barn['oils'] as $name => $litres) {
                $this->oils[] = new Oil($name);
                $this->shelf->bought($this->oils[\count($this->oils) - 1], Volume::millilitres(1000.0 * $litres), $this->people[SignIn::Owner->value]);
            }
            foreach ($barn['shelf'] as [$name, $number, $condition, $place, $count, $least, $fits, $comesOff, $price]) {
                $part = new ShelfPart($name, PartCondition::from($condition));
                $part->describe(PartCondition::from($condition), $number, $place, $fits, $comesOff, $least, (float) $price);
                $this->entities->persist($part);
                $this->entities->flush();
                $this->entities->wrapInTransaction(fn () => $this->parts->move($part, $count, null, $this->people[SignIn::Owner->value]));
            }
            $this->entities->flush();
            foreach ($barn['spec_book'] as $page) {
                $this->write($page);
            }
            // In the order they came, so that numbers grow with time.
            usort($barn['machines'], static fn (array $a, array $b): int => $b['days_ago'] <=> $a['days_ago']);
            foreach ($barn['machines'] as $machine) {
                $this->takeIn($machine, $now);
            }
        } finally {
            Clock::set($real);
        }
    }

    private function hire(\DateTimeImmutable $at): void
    {
        $this->shop->enter(Shop::FIRST);
        $this->entities->persist(new Shop('The machine barn', 'Alderholm lake', UnitSystem::TradeMixed, true, $at));
        foreach (SignIn::cases() as $signIn) {
            $member = new Member($signIn->value, $signIn->fullName(), $signIn->role(), $at);
            $member->changePassword($this->hasher->hashPassword($member, $signIn->password()));
            $member->prefer($signIn->units(), Look::Device);
            $this->entities->persist($member);
            $this->people[$signIn->value] = $member;
        }
        $this->entities->flush();
    }

    /** @param DemoMachine $machine */
    private function takeIn(array $machine, \DateTimeImmutable $now): void
    {
        $clock = new MockClock($now->modify(\sprintf('-%d days', $machine['days_ago']))->setTime(9, 40));
        Clock::set($clock);
        $case = $this->format->read(['format' => CaseFormat::NAME, 'version' => CaseFormat::VERSION, 'machine' => ['kind' => $machine['kind']] + $machine['facts']]);
        $technician = $this->people[SignIn::Technician->value];
        $number = $this->intake->takeIn($this->input($machine, $case, $now), $technician, RequestKey::fresh());
        $job = $this->jobs->withMachine($number) ?? throw new \LogicException('The demo lost a job.');
        $job->isForShow();
        $job->getMachine()->lookUpIn($this->pages[$machine['spec'] ?? ''] ?? null);
        for ($photo = 0; $photo < $machine['photos']; ++$photo) {
            $this->photograph($job, $technician, $photo);
        }
        foreach ($machine['steps'] as $step) {
            $clock->modify('+7 minutes');
            $this->step($job, $step, $now, $clock);
        }
        // Whoever worked at it lately has it still.
        $last = $machine['steps'][array_key_last($machine['steps'])] ?? null;
        if (null !== $last && !$job->isHandedBack() && $machine['days_ago'] <= self::LATELY) {
            $job->goesTo($this->people[$last['by'] ?? SignIn::Technician->value]);
        }
        $this->entities->flush();
    }

    /** @param DemoPage $page */
    private function write(array $page): void
    {
        $written = new SpecPage($page['page'], MachineKind::from($page['kind']));
        $written->write(array_map(
            static fn (string $figure, array $known): SpecValue => new SpecValue(SpecFigure::from($figure), (float) $known[0], SourceClass::from($known[1]), $known[2]),
            array_keys($page['figures']),
            $page['figures'],
        ));
        $this->entities->persist($written);
        $this->pages[$page['page']] = $written;
    }

    /** @param DemoMachine $machine */
    private function input(array $machine, CaseFile $case, \DateTimeImmutable $now): IntakeInput
    {
        $input = IntakeInput::fromJob(new Job(
            new Machine($machine['label'], $case->machine, $machine['owner'], $machine['contact']),
            $this->people[SignIn::Technician->value],
            $now,
        ));
        $input->wantedBy = null === $machine['wanted_in'] ? null : $now->modify(\sprintf('+%d days', $machine['wanted_in']))->setTime(0, 0);
        $input->remarks = $machine['remarks'];
        foreach ($machine['claims'] as $test => $said) {
            if (\is_int($said)) {
                $input->idle = CalendarSpan::months($said);
            } else {
                $input->claims[$test] = $said;
            }
        }

        return $input;
    }

    /** @param Step $step */
    private function step(Job $job, array $step, \DateTimeImmutable $now, MockClock $clock): void
    {
        $by = $this->people[$step['by'] ?? SignIn::Technician->value];
        $key = RequestKey::fresh();
        if (isset($step['find'])) {
            $this->recorder->observe($job, $by, $key, [Finding::observed(...$step['find'])]);
        }
        if (isset($step['correct'])) {
            $wrong = $this->recorder->open($job)->standingEntry($step['correct'][0]) ?? throw new \LogicException('The demo corrects what was found.');
            $this->recorder->correct($wrong, $by, $key, new Observed([Finding::observed(...$step['correct'])]));
        }
        if (isset($step['put_right'])) {
            $this->recorder->observe($job, $by, $key, [new PutRight($step['put_right'])]);
        }
        if (isset($step['jar'], $step['reading'])) {
            $jar = JarReading::fromArray($step['reading']);
            $this->recorder->readJar($job, JarSample::from($step['jar']), $by, $key, static fn (): JarReading => $jar, []);
        }
        if (isset($step['settle'])) {
            $this->entities->persist(new Wait($job, WaitKind::settling(JarSample::from($step['settle'])), $by, $now, $now->modify('+14 minutes')));
        }
        if (isset($step['waste'])) {
            [$stream, $millilitres] = $step['waste'];
            $this->ledger->pour($job, WasteStream::from($stream), Volume::millilitres($millilitres), $by);
        }
        if (isset($step['did'])) {
            [$done, $figures, $choice] = $step['did'];
            $this->doing->record($job, $by, $key, new Act($done, array_map(floatval(...), $figures), $choice), $this->oils[0] ?? null);
            // What was waited for then is long over.
            foreach ($this->waits->ofJob($job) as $wait) {
                $wait->end($clock->now());
            }
        }
        if (isset($step['done'])) {
            $this->doing->done($job, $by, $key, new Done($this->vocabulary->act($step['done'])));
            foreach ($this->waits->ofJob($job) as $wait) {
                $wait->end($clock->now());
            }
        }
        if (isset($step['strip'])) {
            [$what, $place, $said] = $step['strip'];
            $this->recorder->moved($job, $by, $key, static fn (StripLedger $ledger): Move => MoveKind::from($what)->move($place, $said));
        }
        if (isset($step['want'])) {
            $this->entities->persist(new WantedPart($job, $step['want'], 1, $by, $clock->now()));
            $job->waitForParts(true);
            $this->derivation->recompute($job);
        }
        if (isset($step['work'])) {
            $this->workOut($job, $by, $key, ...$step['work']);
        }
        if (isset($step['trace'])) {
            $this->record($job, $by, Scenario::from($step['trace']), $clock->now());
        }
        if (isset($step['attempt'])) {
            [$figures, $choke, $outcome] = $step['attempt'];
            $this->recorder->observe($job, $by, $key, [(new Attempt(array_map(floatval(...), $figures), ChokeStep::from($choke), $outcome))->finding()]);
        }
        if (isset($step['spend'])) {
            $job->limit((float) $step['spend'][0], (float) $step['spend'][1]);
            // What is recorded next takes the job from the database.
            $this->entities->flush();
        }
        if (isset($step['estimate'])) {
            [$least, $most, $text] = $step['estimate'];
            $this->estimate = new Estimate($job, (float) $least, (float) $most, $text, $by, $clock->now());
            $this->entities->persist($this->estimate);
        }
        if (isset($step['agreed'])) {
            [$word, $who] = $step['agreed'];
            $this->estimate?->answered(OwnersWord::from($word), null, $who, $clock->now());
        }
        if (isset($step['life'])) {
            [$topic, $text] = $step['life'];
            $this->entities->persist(new LifeNote($job->getMachine(), LifeTopic::from($topic), $text, $by, $clock->now()));
        }
        if (true === ($step['hand_back'] ?? false)) {
            $job->handBack($clock->now());
        }
    }

    /** @param array<string, mixed> $given as the command line takes it */
    private function workOut(Job $job, Member $by, RequestKey $key, string $name, array $given): void
    {
        $calculation = $this->calculations->named($name) ?? throw new \LogicException('The demo works out what can be worked out.');
        $this->recorder->observe($job, $by, $key, $calculation->run(Given::read($calculation, $given))->findings, worked: new WorkedOut($name, $given));
    }

    /** As the stand-in for a gauge would have played it. */
    private function record(Job $job, Member $by, Scenario $scenario, \DateTimeImmutable $at): void
    {
        $unit = $scenario->kind()->units()[0];
        $times = array_map(static fn (int $reading): float => $reading / 20, range(0, (int) (20 * $scenario->duration())));
        $values = array_map(static fn (float $time): float => $unit->toSi($scenario->at($time)), $times);
        $this->entities->persist(Trace::imported($scenario->kind(), $job, $scenario->value, $by, $at, Series::fromSamples($times, $values), isSimulated: true));
    }

    /** A drawn stand-in for a photo: no real machine is shown. */
    private function photograph(Job $job, Member $by, int $variant): void
    {
        $picture = imagecreatetruecolor(800, 600);
        if (false === $picture) {
            throw new \RuntimeException('No memory for a picture.');
        }
        imagefilledrectangle($picture, 0, 0, 800, 600, self::colour($picture, 206, 200, 182));
        imagefilledrectangle($picture, 0, 430, 800, 600, self::colour($picture, 120, 104, 82));
        imagefilledrectangle($picture, 180, 330, 620, 430, 0 === $variant ? self::colour($picture, 46, 110, 74) : self::colour($picture, 196, 150, 40));
        imagefilledrectangle($picture, 320, 230, 480, 330, self::colour($picture, 70, 74, 72));
        imagefilledellipse($picture, 230, 440, 110, 110, self::colour($picture, 30, 30, 30));
        imagefilledellipse($picture, 570, 440, 110, 110, self::colour($picture, 30, 30, 30));
        imagesetthickness($picture, 12);
        imageline($picture, 600, 340, 730, 120, self::colour($picture, 60, 60, 60));
        $file = tempnam(sys_get_temp_dir(), 'demo');
        if (false === $file) {
            throw new \RuntimeException('No room for a picture.');
        }
        imagepng($picture, $file);
        $this->photos->add($job, $by, [$file]);
        unlink($file);
    }

    /**
     * @param int<0, 255> $red
     * @param int<0, 255> $green
     * @param int<0, 255> $blue
     */
    private static function colour(\GdImage $picture, int $red, int $green, int $blue): int
    {
        return (int) imagecolorallocate($picture, $red, $green, $blue);
    }
}
