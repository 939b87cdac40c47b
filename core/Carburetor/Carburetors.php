<?php

declare(strict_types=1);

namespace AwakeShed\Core\Carburetor;

use AwakeShed\Core\Table;

/** What may be taken apart in order: the carburetor types that ship (data/carburetors.json), or what is in front of them (data/teardowns.json); and the points of the final check. */
final readonly class Carburetors
{
    /** The word for a ledger without a type. */
    public const FREE = 'free';

    /**
     * @param array<string, CarburetorType> $types
     * @param list<CoverCheck>              $checks
     * @param list<string>                  $mayBeLeftOff parts an engine runs safely without
     * @param list<string>                  $holdTheBowl  parts that come off first where only the bowl does
     * @param list<string>                  $saidByLedger acts that the ledger says while it is open
     */
    private function __construct(public array $types, public array $checks, public array $mayBeLeftOff, public array $holdTheBowl, public array $saidByLedger, public Cleaning $cleaning)
    {
    }

    public static function shipped(): self
    {
        return self::read('carburetors.json');
    }

    /** What comes off to get at something else. */
    public static function teardowns(): self
    {
        return self::read('teardowns.json');
    }

    private static function read(string $file): self
    {
        /** @var array{may_be_left_off: list<string>, hold_the_bowl: list<string>, said_by_ledger: list<string>, checks?: list<string>, types: list<array{id: string, parts: list<array{id: string, material: string, asks?: list<string>, stack?: string, size?: string}>, passages: list<array{id: string, from: string, to: non-empty-list<string>, circuit: string, bore_mm?: float, test?: string, holes?: int}>}>} $data */
        $data = Table::read(__DIR__.'/data/'.$file);
        $types = [];
        foreach ($data['types'] as $type) {
            $types[$type['id']] = new CarburetorType(
                $type['id'],
                array_map(static fn (array $part): PartKind => new PartKind($part['id'], Material::from($part['material']), $part['asks'] ?? [], $part['stack'] ?? null, $part['size'] ?? null), $type['parts']),
                array_map(static fn (array $passage): Passage => new Passage($passage['id'], $passage['from'], $passage['to'], $passage['circuit'], $passage['bore_mm'] ?? null, $passage['test'] ?? null, $passage['holes'] ?? null), $type['passages']),
            );
        }
        /** @var array{checks: list<array{id: string, test?: string, good?: list<string>}>} $covers */
        $covers = Table::read(__DIR__.'/data/covers.json');

        $checks = array_values(array_filter($covers['checks'], static fn (array $check): bool => \in_array($check['id'], $data['checks'] ?? [$check['id']], true)));

        return new self($types, array_map(static fn (array $check): CoverCheck => new CoverCheck($check['id'], $check['test'] ?? null, $check['good'] ?? []), $checks), $data['may_be_left_off'], $data['hold_the_bowl'], $data['said_by_ledger'], Cleaning::shipped());
    }

    /** @param list<Move> $moves in the order they were done */
    public function ledger(array $moves): PartsLedger
    {
        return PartsLedger::folded($this, $moves);
    }

    public function check(string $id): ?CoverCheck
    {
        foreach ($this->checks as $check) {
            if ($check->id === $id) {
                return $check;
            }
        }

        return null;
    }

    /** Whether a ledger may be begun with it. */
    public function has(string $type): bool
    {
        return self::FREE === $type || isset($this->types[$type]);
    }
}
