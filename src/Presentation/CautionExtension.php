<?php

declare(strict_types=1);

namespace AwakeShed\App\Presentation;

use AwakeShed\App\Words\Words;
use AwakeShed\Core\Caution\Cautions;
use AwakeShed\Core\Stage\Step;
use Twig\Attribute\AsTwigFunction;

/** The cautions of a page, in the reader's words, each before the thing it is about. */
final readonly class CautionExtension
{
    public function __construct(private Cautions $cautions, private Words $words)
    {
    }

    /** @return list<string> */
    #[AsTwigFunction('cautions_of_test')]
    public function ofTest(string $test): array
    {
        return $this->said($this->cautions->ofTest($test));
    }

    /** @return list<string> */
    #[AsTwigFunction('cautions_of_act')]
    public function ofAct(string $act): array
    {
        return $this->said($this->cautions->ofAct($act));
    }

    /** @return list<string> */
    #[AsTwigFunction('cautions_of_step')]
    public function ofStep(Step $step): array
    {
        return $this->said($this->cautions->ofStep($step));
    }

    /** @return list<string> */
    #[AsTwigFunction('cautions_at_gate')]
    public function atGate(string $gate): array
    {
        return $this->said($this->cautions->atGate($gate));
    }

    /** @return list<string> */
    #[AsTwigFunction('cautions_of_check')]
    public function ofCheck(string $check): array
    {
        return $this->said($this->cautions->ofCheck($check));
    }

    /**
     * @param list<string> $ids
     *
     * @return list<string>
     */
    private function said(array $ids): array
    {
        return array_map($this->words->caution(...), $ids);
    }
}
