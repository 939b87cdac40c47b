<?php

declare(strict_types=1);

namespace AwakeShed\App\Diagnosis;

use AwakeShed\App\Account\Member;
use AwakeShed\App\Audit\Deed;
use AwakeShed\App\Audit\Trail;
use AwakeShed\App\Once\OncePerKey;
use AwakeShed\App\Once\RequestKey;
use AwakeShed\Core\Diagnosis\FaultModel;
use AwakeShed\Core\Diagnosis\ImpossibleOdds;
use AwakeShed\Core\Diagnosis\Odds;
use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;

/** The odds as this shop holds them: those that ship, with what the owner has changed. */
final readonly class ShopOdds
{
    /** Nearer to what ships than this is what ships. */
    private const SAME = 1e-6;

    public function __construct(private OwnOddsRepository $own, private OwnShares $shares, private EntityManagerInterface $entities, private OncePerKey $once, private Trail $trail, private ClockInterface $clock)
    {
    }

    public function odds(): Odds
    {
        return self::with($this->shares->all());
    }

    public function model(): FaultModel
    {
        $own = $this->shares->all();

        // Those that ship are worked out ahead, by the build.
        return [] === $own ? FaultModel::shipped() : FaultModel::fromOdds(self::with($own));
    }

    /** @param array<string, float> $own by path */
    private static function with(array $own): Odds
    {
        $shipped = Odds::shipped();
        try {
            return $shipped->with($own);
        } catch (ImpossibleOdds) {
            // A later version may ship a row or a fault otherwise, so that a change no longer fits: what ships is whole.
            return $shipped;
        }
    }

    /**
     * @param array<string, float> $said by path; what is as it ships is no change any more
     *
     * @throws ImpossibleOdds
     */
    public function change(array $said, Member $by, RequestKey $key): void
    {
        $shipped = Odds::shipped();
        $this->once->run($key, $by->getId(), function () use ($said, $by, $shipped): null {
            $own = $this->own->byPath();
            $changes = array_map(static fn (OwnOdds $one): float => $one->getShare(), $own);
            foreach ($said as $path => $share) {
                unset($changes[$path]);
                if (abs($share - ($shipped->at($path) ?? 0.0)) > self::SAME) {
                    $changes[$path] = $share;
                }
            }
            $changed = $shipped->with($changes);
            foreach (array_keys($said) as $path) {
                $changed->check($path);
            }
            $before = array_map(static fn (OwnOdds $one): float => $one->getShare(), $own);
            $this->trail->change($by->getId(), Deed::OddsChanged, implode(', ', array_keys($said)), $before, $changes);
            foreach (array_diff_key($own, $changes) as $gone) {
                $this->entities->remove($gone);
            }
            foreach ($changes as $path => $share) {
                if (!isset($own[$path])) {
                    $this->entities->persist(new OwnOdds($path, $share, $by, $this->clock->now()));
                } elseif (abs($own[$path]->getShare() - $share) > self::SAME) {
                    $own[$path]->say($share, $by, $this->clock->now());
                }
            }

            return null;
        });
        $this->shares->reset();
    }

    /** @param list<string> $paths back to what ships; all of them when empty */
    public function reset(array $paths, Member $by, RequestKey $key): void
    {
        $this->once->run($key, $by->getId(), function () use ($paths, $by): null {
            $this->trail->note($by->getId(), Deed::OddsReset, implode(', ', $paths), array_map(static fn (OwnOdds $one): float => $one->getShare(), $this->own->byPath()));
            foreach ($this->own->byPath() as $path => $own) {
                if ([] === $paths || \in_array($path, $paths, true)) {
                    $this->entities->remove($own);
                }
            }

            return null;
        });
        $this->shares->reset();
    }
}
