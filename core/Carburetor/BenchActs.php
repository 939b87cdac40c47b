<?php

declare(strict_types=1);

namespace AwakeShed\Core\Carburetor;

use AwakeShed\Core\Evidence\Done;
use AwakeShed\Core\Evidence\Vocabulary;
use AwakeShed\Core\Table;

/** What was done at the carburetor bench, in the vocabulary's acts (data/part-acts.json): moves are told to the machine's state by it. */
final readonly class BenchActs
{
    /**
     * @param array<string, string> $groups    by part
     * @param array<string, string> $opened    by group
     * @param array<string, string> $closed    by group
     * @param array<string, string> $cleaned   by part
     * @param array<string, string> $renewed   by part
     * @param array<string, string> $cleared   by test
     * @param string                $otherwise the group of whatever is in none
     */
    private function __construct(
        private Carburetors $carburetors,
        private Vocabulary $vocabulary,
        private array $groups,
        private array $opened,
        private array $closed,
        private ?string $checked,
        private array $cleaned,
        private array $renewed,
        private array $cleared,
        private string $otherwise = 'carburetor',
    ) {
    }

    public static function shipped(Carburetors $carburetors, Vocabulary $vocabulary): self
    {
        /** @var array{groups: array<string, string>, opened: array<string, string>, closed: array<string, string>, checked: string, cleaned: array<string, string>, renewed: array<string, string>, cleared: array<string, string>} $data */
        $data = Table::read(__DIR__.'/data/part-acts.json');

        return new self($carburetors, $vocabulary, $data['groups'], $data['opened'], $data['closed'], $data['checked'], $data['cleaned'], $data['renewed'], $data['cleared']);
    }

    /** What is in front of something else is a cover, whatever it is. */
    public static function ofTeardowns(Carburetors $teardowns, Vocabulary $vocabulary): self
    {
        return new self($teardowns, $vocabulary, [], ['covers' => 'covers.off'], ['covers' => 'covers.on'], null, [], [], [], 'covers');
    }

    /**
     * @param array<int, Move> $moves in the order they were made
     *
     * @return array<int, list<Done>> under the same keys; nothing for a move that no longer fits
     */
    public function told(array $moves): array
    {
        $ledger = $this->carburetors->ledger([]);
        $told = [];
        foreach ($moves as $key => $move) {
            try {
                $after = $ledger->after($move);
            } catch (ImpossibleMove) {
                $told[$key] = [];
                continue;
            }
            $told[$key] = array_map(fn (string $act): Done => new Done($this->vocabulary->act($act)), $this->acts($move, $ledger, $after));
            $ledger = $after;
        }

        return $told;
    }

    /** @return list<string> acts */
    private function acts(Move $move, PartsLedger $before, PartsLedger $after): array
    {
        $part = $after->parts[$move->place() ?? 0] ?? null;

        return array_values(array_filter(match ($move->kind()) {
            MoveKind::Off => $this->moved($this->opened, $before, $after),
            MoveKind::On => [PartFate::Renew === $part?->fate() ? $this->renewed[$part->kind ?? ''] ?? null : null, ...$this->moved($this->closed, $after, $before)],
            MoveKind::LeaveOff => $this->moved($this->closed, $after, $before),
            MoveKind::Clean => [$this->cleaned[$part->kind ?? ''] ?? null],
            MoveKind::Through, MoveKind::Holes => [$this->cleared($move->said()['passage'] ?? '', $before, $after)],
            MoveKind::Close => [$this->checked],
            MoveKind::Begin, MoveKind::StayOn, MoveKind::Note, MoveKind::Condition, MoveKind::Keep, MoveKind::Blocked, MoveKind::Check => [],
        }, is_string(...)));
    }

    /**
     * @param array<string, string> $acts by group
     *
     * @return list<string> of the groups that are whole on one side and not on the other
     */
    private function moved(array $acts, PartsLedger $whole, PartsLedger $open): array
    {
        [$off, $still] = [$this->groupsOff($open), $this->groupsOff($whole)];

        return array_values(array_intersect_key($acts, array_diff_key($off, $still)));
    }

    /** @return array<string, true> the groups of which a part lies on the mat */
    private function groupsOff(PartsLedger $ledger): array
    {
        $groups = [];
        foreach ($ledger->onMat() as $part) {
            $groups[$this->groups[$part->kind ?? ''] ?? $this->otherwise] = true;
        }

        return $groups;
    }

    private function cleared(string $passage, PartsLedger $before, PartsLedger $after): ?string
    {
        [$was, $is] = [$before->passage($passage), $after->passage($passage)];

        return null !== $was && $was->isBlocked && true !== $is?->isBlocked ? $this->cleared[$was->passage->test ?? ''] ?? null : null;
    }
}
