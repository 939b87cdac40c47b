<?php

declare(strict_types=1);

namespace AwakeShed\Tests\Core\Carburetor;

use AwakeShed\Core\Carburetor\BenchActs;
use AwakeShed\Core\Carburetor\Carburetors;
use AwakeShed\Core\Carburetor\CarburetorType;
use AwakeShed\Core\Carburetor\Condition;
use AwakeShed\Core\Carburetor\ImpossibleMove;
use AwakeShed\Core\Carburetor\Material;
use AwakeShed\Core\Carburetor\Method;
use AwakeShed\Core\Carburetor\Move;
use AwakeShed\Core\Carburetor\MoveKind;
use AwakeShed\Core\Carburetor\Part;
use AwakeShed\Core\Carburetor\PartFate;
use AwakeShed\Core\Carburetor\PartKind;
use AwakeShed\Core\Carburetor\PartsLedger;
use AwakeShed\Core\Evidence\Done;
use AwakeShed\Core\Evidence\Finding;
use AwakeShed\Core\Evidence\Vocabulary;
use AwakeShed\Tests\Core\Facts;
use AwakeShed\Tests\Kept;
use AwakeShed\Tests\Seeded;
use PHPUnit\Framework\TestCase;

/** Moves made as they come, possible or not, on every type: what each comes to is kept, what it tells the machine too. */
final class LedgersByChanceTest extends TestCase
{
    private const MOVES = 150;

    public function testEveryMoveComesToWhatItCame(): void
    {
        $carburetors = Carburetors::shipped();
        $bench = BenchActs::shipped($carburetors, Vocabulary::shipped());
        $lines = [];
        foreach (array_values($carburetors->types) as $seed => $type) {
            foreach ([3 * $seed, 3 * $seed + 1, 3 * $seed + 2] as $start) {
                $dice = new Seeded($start);
                $ledger = $carburetors->ledger([]);
                $moves = [];
                foreach (range(0, self::MOVES) as $n) {
                    $kind = 0 === $n ? MoveKind::Begin : $dice->one([...MoveKind::cases(), MoveKind::Off, MoveKind::Off, MoveKind::Off, MoveKind::On, MoveKind::Clean, MoveKind::Through, MoveKind::Holes]);
                    $told = ['kind' => $kind->value, 'place' => self::place($kind, $ledger, $dice), 'said' => self::said($kind, $type, $ledger, $dice)];
                    $said = "$type->id $start, $kind->value ".($told['place'] ?? '').' '.implode(' ', array_map(static fn (string $field, string $word): string => "$field=$word", array_keys($told['said']), $told['said']));
                    try {
                        $moves[] = $move = Move::fromArray($told);
                        self::assertEquals($move, Move::fromArray($move->toArray()));
                        $ledger = $ledger->after($move);
                        $stands = self::stands($ledger);
                        $lines[] = "$said: ".(0 === $n % 10 ? $stands : hash('crc32b', $stands)).'; finds '.implode(' ', array_map(static fn (Finding $one): string => $one->test.'='.implode('+', $one->outcomes), $move->finds($ledger)));
                    } catch (ImpossibleMove $impossible) {
                        $lines[] = "$said: {$impossible->reason()} ".Facts::of($impossible->figures());
                    }
                }
                $lines[] = "$type->id $start told: ".implode(', ', array_map(static fn (array $done): string => implode(' ', array_map(static fn (Done $one): string => $one->act->id, $done)), $bench->told($moves)));
                foreach ($ledger->parts as $part) {
                    $lines[] = "$type->id $start, $part->name: ".Facts::said($part);
                }
            }
        }
        Kept::is(\dirname(__DIR__).'/Kept/ledgers-by-chance.txt', array_map(Kept::short(...), $lines));
    }

    private static function place(MoveKind $kind, PartsLedger $ledger, Seeded $dice): ?int
    {
        return match ($kind) {
            MoveKind::Off => $dice->one([null, null, null, null, $dice->int(0, 9)]),
            MoveKind::Note, MoveKind::Condition, MoveKind::Keep, MoveKind::Clean, MoveKind::On, MoveKind::LeaveOff => 0 === $dice->int(0, 6) || [] === $ledger->parts ? $dice->int(0, 12) : $dice->one(array_keys($ledger->parts)),
            default => null,
        };
    }

    /** @return array<string, string> */
    private static function said(MoveKind $kind, CarburetorType $type, PartsLedger $ledger, Seeded $dice): array
    {
        $kinds = array_map(static fn (PartKind $part): string => $part->id, $type->parts);
        $passages = [...array_map(static fn ($state): string => $state->passage->id, $ledger->passages()), 'no_such_passage'];
        $next = $ledger->nextOff(1 === $dice->int(0, 3));
        $hole = ['hole' => $dice->one(['2', '', 'the middle one'])];

        return match ($kind) {
            MoveKind::Begin => ['type' => $type->id] + $dice->one([[], ['template' => 'as we do it']]),
            MoveKind::Off => match ($dice->int(0, 5)) {
                0 => ['name' => $dice->one(['', 'A clip', str_repeat('x', 81)]), 'material' => $dice->one(Material::cases())->value],
                1 => ['kind' => $dice->one([...$kinds, 'no_such_part'])] + $hole,
                default => ['kind' => null === $next ? 'none' : $next->id, 'turns' => $dice->one(['', '1 1/4'])] + $hole,
            },
            MoveKind::StayOn => ['kind' => $dice->one([...$kinds, 'no_such_part'])],
            MoveKind::Note => [$dice->one(PartsLedger::NOTES) => $dice->one(['0.68', 'outer', ''])],
            MoveKind::Condition => ['condition' => $dice->one([...array_column(Condition::cases(), 'value'), 'rusty'])],
            MoveKind::Keep => ['keep' => $dice->one([...array_column(PartFate::cases(), 'value'), 'lost'])],
            MoveKind::Clean => ['method' => $dice->one([...array_column(Method::cases(), 'value'), 'hammer'])],
            MoveKind::LeaveOff => ['reason' => $dice->one(['', 'on order'])],
            MoveKind::Through => ['passage' => $passage = $dice->one($passages), 'exit' => $dice->one([...$ledger->passage($passage)->passage->exits ?? [], 'nowhere'])],
            MoveKind::Blocked => ['passage' => $dice->one($passages)],
            MoveKind::Holes => ['passage' => $dice->one($passages), 'holes' => $dice->one(['0', '1', '2', '3', '4', '-1', 'all'])],
            MoveKind::Check => ['check' => $dice->one([...array_map(static fn ($check): string => $check->id, Carburetors::shipped()->checks), 'no_such_check'])] + $dice->one([[], ['outcome' => 'free'], ['outcome' => 'stuck']]),
            MoveKind::On, MoveKind::Close => [],
        };
    }

    private static function stands(PartsLedger $ledger): string
    {
        $ids = static fn (array $some): string => implode(' ', array_map(static fn (mixed $one): string => match (true) {
            $one instanceof Part => (string) $one->place,
            \is_object($one) && isset($one->id) && \is_string($one->id) => $one->id,
            \is_array($one) => '['.implode(' ', array_map(static fn (mixed $part): string => $part instanceof Part ? (string) $part->place : '?', $one)).']',
            default => '?',
        }, $some));

        return ($ledger->isOpen ? 'open' : 'shut').($ledger->isApart() ? ', apart' : '').', mat '.$ids($ledger->onMat()).', left off '.$ids($ledger->leftOff()).', back '.$ids($ledger->toGoBack())
            .', stacks '.$ids($ledger->stacks()).', next '.($ledger->nextOff(false)->id ?? 'none').' or '.($ledger->nextOff(true)->id ?? 'none').', on '.\count($ledger->stillOn()).', checks '.\count($ledger->checksLeft()).', not clear '.\count($ledger->notClear()).', place '.$ledger->nextPlace();
    }
}
