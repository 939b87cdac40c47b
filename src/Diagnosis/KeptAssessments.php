<?php

declare(strict_types=1);

namespace AwakeShed\App\Diagnosis;

use AwakeShed\Core\Diagnosis\Assessing;
use AwakeShed\Core\Diagnosis\Assessment;
use AwakeShed\Core\Diagnosis\Assessor;
use AwakeShed\Core\Evidence\CaseFile;
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
final readonly class KeptAssessments implements Assessing
{
    /** @param \Closure(): Assessor $assessor made only where something is to be worked out */
    public function __construct(
        #[AutowireServiceClosure(Assessor::class)]
        private \Closure $assessor,
        private OwnShares $own,
        #[Autowire(service: 'shed.assessments')]
        private CacheInterface $kept,
    ) {
    }

    public function assess(CaseFile $case): Assessment
    {
        return $this->kept->get('all.'.$this->key($case), fn (): Assessment => ($this->assessor)()->assess($case), 0.0);
    }

    public function beliefs(CaseFile $case): array
    {
        return $this->kept->get('beliefs.'.$this->key($case), fn (): array => ($this->assessor)()->beliefs($case), 0.0);
    }

    /** @return string of all that an assessment hangs on */
    private function key(CaseFile $case): string
    {
        return hash('xxh128', serialize([$case->machine, $case->events, $case->schools, $case->jars, $this->own->all()]));
    }
}
