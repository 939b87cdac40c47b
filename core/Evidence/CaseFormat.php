<?php

declare(strict_types=1);

namespace AwakeShed\Core\Evidence;

use AwakeShed\Core\Fuel\JarReading;
use AwakeShed\Core\Refusal;

/**
 * The open case format, version 1: from a decoded document whose shape data/case.schema.json has passed, and back.
 *
 * The schema knows shapes; what the words mean and which numbers are possible is decided here. Keys that mean
 * nothing here are kept, so that reading and writing a foreign file loses nothing of it.
 *
 * @phpstan-import-type JarArray from JarReading
 *
 * @phpstan-type CaseDocument array<string, mixed>&array{
 *     format: string,
 *     version: int,
 *     machine: array<string, mixed>&array{kind: string},
 *     schools?: array<string, string>,
 *     findings?: list<array<string, mixed>>,
 *     jars?: array<string, JarArray>
 * }
 */
final readonly class CaseFormat
{
    public const NAME = 'awake-shed/case';
    public const VERSION = 1;
    public const SCHEMA = __DIR__.'/data/case.schema.json';

    private const OWN_KEYS = ['format', 'version', 'machine', 'schools', 'findings', 'jars'];
    private const MACHINE_KEYS = ['kind', 'cycle', 'displacement_cc', 'compression_ratio', 'compression_release', 'feed', 'choke', 'oil_ml', 'tank_ml', 'blade_mm', 'governed_rpm', 'spoken_for', 'cylinders', 'electric_start', ...MachineFacts::PLATE];

    /** Readings in `measured` that cannot be below this, by the unit at the end of their key. */
    private const MEASURED_FLOORS = ['_ml' => 0.0, '_mm' => 0.0, '_cc' => 0.0, '_minutes' => 0.0, '_months' => 0.0, '_celsius' => -273.15, '_rpm' => 0.0, '_k' => 0.0,
        'ml' => 0.0, 'mm' => 0.0, 'rpm' => 0.0, 'minutes' => 0.0, 'times' => 0.0, 'pulls' => 0.0, 'turns' => 0.0];

    public function __construct(private Vocabulary $vocabulary, private EventFormat $events)
    {
    }

    /**
     * @param CaseDocument $document
     *
     * @throws UnreadableCase with every problem found
     */
    public function read(array $document): CaseFile
    {
        $problems = [];
        $machine = self::attempt('/machine', static fn (): MachineFacts => self::machineFromArray($document['machine']), $problems);
        $schools = $document['schools'] ?? [];
        foreach ($schools as $question => $school) {
            self::attempt('/schools/'.self::token($question), fn () => $this->vocabulary->checkSchool($question, $school), $problems);
        }
        $events = [];
        foreach ($document['findings'] ?? [] as $index => $entry) {
            $events[] = self::attempt('/findings/'.$index, fn (): Finding|PutRight|Done => $this->event($entry), $problems);
        }
        $jars = [];
        foreach ($document['jars'] ?? [] as $sample => $jar) {
            $jars[$sample] = self::attempt('/jars/'.self::token($sample), static fn (): JarReading => JarReading::fromArray($jar), $problems);
        }
        if ([] !== $problems || null === $machine) {
            throw new UnreadableCase([] === $problems ? throw new \LogicException('A machine was neither read nor refused.') : $problems);
        }

        return new CaseFile($machine, array_values(array_filter($events)), $schools, array_filter($jars), array_diff_key($document, array_flip(self::OWN_KEYS)));
    }

    /** @return array<string, mixed> ready for JSON */
    public function write(CaseFile $case): array
    {
        $document = [
            'format' => self::NAME,
            'version' => self::VERSION,
            'machine' => self::machineToArray($case->machine),
            'findings' => array_map(EventFormat::toArray(...), $case->events),
        ];
        if ([] !== $case->schools) {
            $document['schools'] = $case->schools;
        }
        foreach ($case->jars as $sample => $jar) {
            // An unknown age is an empty object in JSON; PHP would make it an empty list.
            $document['jars'][$sample] = array_map(static fn (array $part): array|object => [] === $part ? (object) [] : $part, $jar->toArray());
        }

        return $document + $case->extras;
    }

    /**
     * @param array<string, mixed>&array{kind: string} $machine
     *
     * @throws Refusal when a number is outside its bounds
     */
    public static function machineFromArray(array $machine): MachineFacts
    {
        $number = static fn (string $key): ?float => isset($machine[$key]) && is_numeric($machine[$key]) ? (float) $machine[$key] : null;
        $word = static fn (string $key): ?string => isset($machine[$key]) && \is_string($machine[$key]) ? $machine[$key] : null;

        return new MachineFacts(
            MachineKind::from($machine['kind']),
            null === $word('cycle') ? null : Cycle::from($word('cycle')),
            $number('displacement_cc'),
            $number('compression_ratio'),
            isset($machine['compression_release']) ? true === $machine['compression_release'] : null,
            null === $word('feed') ? null : Feed::from($word('feed')),
            null === $word('choke') ? null : ChokeKind::from($word('choke')),
            $number('oil_ml'),
            $number('tank_ml'),
            $number('blade_mm'),
            $number('governed_rpm'),
            $word('spoken_for'),
            null === $number('cylinders') ? null : (int) $number('cylinders'),
            isset($machine['electric_start']) ? true === $machine['electric_start'] : null,
            array_diff_key($machine, array_flip(self::MACHINE_KEYS)),
            array_filter(array_map($word, array_combine(MachineFacts::PLATE, MachineFacts::PLATE)), is_string(...)),
        );
    }

    /** @return array<string, mixed> only what is known */
    public static function machineToArray(MachineFacts $machine): array
    {
        return array_filter([
            'kind' => $machine->kind->value,
            'cycle' => $machine->cycle->value,
            'compression_release' => $machine->compressionRelease,
            'feed' => $machine->feed?->value,
            'choke' => $machine->choke?->value,
            'spoken_for' => $machine->spokenFor,
            'cylinders' => $machine->cylinders,
            'electric_start' => $machine->electricStart,
        ] + $machine->numbers() + $machine->plate, static fn (string|bool|float|int|null $fact): bool => null !== $fact) + $machine->extras;
    }

    /**
     * @param array<string, mixed> $entry
     *
     * @throws Refusal
     */
    private function event(array $entry): Finding|PutRight|Done
    {
        $event = $this->events->read($entry) ?? throw UnknownWord::answerWanted($this->vocabulary->test(\is_string($entry['test'] ?? null) ? $entry['test'] : ''));
        if ($event instanceof PutRight) {
            $this->vocabulary->checkFault($event->fault);

            return $event;
        }
        if ($event instanceof Finding) {
            $this->vocabulary->check($event);
        }
        foreach ($event->measured as $key => $value) {
            self::checkMeasured((string) $key, $value);
        }

        return $event;
    }

    /** @throws Refusal */
    private static function checkMeasured(string $key, mixed $value): void
    {
        if (!\is_int($value) && !\is_float($value)) {
            return;
        }
        foreach (self::MEASURED_FLOORS as $ending => $floor) {
            if (str_ends_with($key, $ending) && $value < $floor) {
                throw ImpossibleMeasurement::below($key, $value, $floor);
            }
        }
    }

    /**
     * @template T
     *
     * @param \Closure(): T     $read
     * @param list<CaseProblem> $problems
     *
     * @return T|null null when it was refused; the refusal is then among the problems
     */
    private static function attempt(string $pointer, \Closure $read, array &$problems): mixed
    {
        try {
            return $read();
        } catch (Refusal $refusal) {
            $problems[] = new CaseProblem($pointer, $refusal->reason(), $refusal->getMessage(), $refusal->figures());

            return null;
        }
    }

    private static function token(string $key): string
    {
        return str_replace(['~', '/'], ['~0', '~1'], $key);
    }
}
