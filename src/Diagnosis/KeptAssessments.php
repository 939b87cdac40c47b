<?php

declare(strict_types=1);

namespace AwakeShed\App\Diagnosis;

use AwakeShed\Core\Diagnosis\Assessing;
use AwakeShed\Core\Diagnosis\Assessment;
use AwakeShed\Core\Diagnosis\Assessor;
use AwakeShed\Core\Evidence\CaseFile;
use AwakeShed\Core\Evidence\Vocabulary;
use AwakeShed\Core\Gate\Gatekeeper;
use Symfony\Component\DependencyInjection\Attribute\AsAlias;
use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Symfony\Component\DependencyInjection\Attribute\AutowireServiceClosure;
use Symfony\Contracts\Cache\CacheInterface;

/**
 * An assessment follows from the case and the odds alone, and takes a sixth of a page: worked out when something is
 * recorded, it is taken from where it was kept by every page until the next. A build begins with nothing kept, so that
 * none outlives the rules it was made by; which web server kept it makes no difference.
 */
#[AsAlias]
final class KeptAssessments implements Assessing
{
    /** @var array<string, Assessor> by the odds they go by: a command goes from shop to shop */
    private array $assessors = [];

    /** @param \Closure(): ShopOdds $odds asked only where something is to be worked out */
    public function __construct(
        #[AutowireServiceClosure(ShopOdds::class)]
        private readonly \Closure $odds,
        private readonly Vocabulary $vocabulary,
        private readonly Gatekeeper $gatekeeper,
        private readonly OwnShares $own,
        #[Autowire(service: 'shed.assessments')]
        private readonly CacheInterface $kept,
    ) {
    }

    public function assess(CaseFile $case): Assessment
    {
        return $this->kept->get('all.'.$this->key($case), fn (): Assessment => $this->assessor()->assess($case), 0.0);
    }

    public function beliefs(CaseFile $case): array
    {
        return $this->kept->get('beliefs.'.$this->key($case), fn (): array => $this->assessor()->beliefs($case), 0.0);
    }

    private function assessor(): Assessor
    {
        return $this->assessors[self::digest($this->own->all())] ??= new Assessor(($this->odds)()->model(), $this->vocabulary, $this->gatekeeper);
    }

    /** @return string of all that an assessment hangs on */
    private function key(CaseFile $case): string
    {
        return self::digest([$case->machine, $case->events, $case->schools, $case->jars, $this->own->all()]);
    }

    /** @param array<mixed> $what */
    private static function digest(array $what): string
    {
        return hash('xxh128', serialize($what));
    }
}
