<?php

declare(strict_types=1);

namespace AwakeShed\App\Calc;

use AwakeShed\App\Unit\Figures;
use AwakeShed\App\Unit\Quantities;
use AwakeShed\App\Words\Words;
use AwakeShed\Core\Caution\Cautions;
use AwakeShed\Core\Units\Quantity;
use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Symfony\Component\Translation\TranslatorBagInterface;
use Symfony\Contracts\Translation\TranslatorInterface;

/** Puts calculations and their answers into the reader's words and units (translations/calc). */
final readonly class CalcWords
{
    public function __construct(
        private Cautions $cautions,
        #[Autowire(service: 'translator')]
        private TranslatorInterface&TranslatorBagInterface $translator,
        private Quantities $quantities,
        private Words $words,
    ) {
    }

    public function title(Calculation $calculation): string
    {
        return $this->say('title.'.$calculation->name());
    }

    /** What it answers, in a sentence. */
    public function about(Calculation $calculation): string
    {
        return $this->say('about.'.$calculation->name());
    }

    /** Where its formulas and figures come from, with the source class. */
    public function source(Calculation $calculation): string
    {
        return $this->say('source.'.$calculation->name());
    }

    public function formula(Calculation $calculation): string
    {
        return $this->say('formula.'.$calculation->name());
    }

    /** @return string|null the caution that belongs before the act; null where there is none */
    public function caution(Calculation $calculation): ?string
    {
        return [] === $this->cautions->ofCalculation($calculation->name()) ? null : $this->find('caution.'.$calculation->name());
    }

    public function input(Calculation $calculation, string $name): string
    {
        return $this->find('input.'.$calculation->name().'.'.$name) ?? $this->say('input.'.$name);
    }

    public function help(Calculation $calculation, string $name): ?string
    {
        return $this->find('help.'.$calculation->name().'.'.$name) ?? $this->find('help.'.$name);
    }

    public function figureName(Calculation $calculation, string $key): string
    {
        return $this->find('figure.'.$calculation->name().'.'.$key) ?? $this->say('figure.'.$key);
    }

    /** The answer in a sentence. */
    public function verdict(Calculation $calculation, Answer $answer): string
    {
        $key = 'verdict.'.$calculation->name().'.'.$answer->verdict;
        $sentence = $this->translator->getCatalogue()->get($key, 'calc');
        $figures = [];
        foreach ($answer->figures as $figure) {
            // Most are of the workings only, and to write one costs more than to look for its name.
            if (!str_contains($sentence, $figure->key)) {
                continue;
            }
            $figures[$figure->key] = \is_bool($figure->plain) ? ($figure->plain ? 'yes' : 'no') : $this->figure($figure);
            // A sentence may leave out what there is no figure for.
            $figures['has_'.$figure->key] = null === $figure->plain ? 'no' : 'yes';
        }

        return $this->say($key, $figures);
    }

    /** A figure for another page’s field, no finer than it is known; empty where there is none. */
    public function forField(Answer $answer, string $key): string
    {
        foreach ($answer->figures as $figure) {
            if ($key === $figure->key && is_numeric($figure->plain)) {
                return (string) round((float) $figure->plain, 1);
            }
        }

        return '';
    }

    /** A figure as it is shown; a dash where there is none. */
    public function figure(Figure $figure): string
    {
        $plain = $figure->plain;

        return match (true) {
            null === $plain => '–',
            [] === $plain => null === $figure->words ? '–' : $this->words->outcome($figure->words, 'none'),
            $figure->isAtLeast && null !== $figure->quantity && null !== $figure->measure => $this->say('at_least', ['amount' => $this->quantities->show($figure->quantity, $figure->measure)]),
            null !== $figure->quantity && null !== $figure->measure => $this->quantities->show($figure->quantity, $figure->measure, $figure->rounding, $figure->halfWidth),
            \is_bool($plain) => $this->say($plain ? 'yes' : 'no'),
            \is_array($plain) => implode(', ', array_map(fn (float|int|string $one): string => $this->plain($one, $figure), $plain)),
            default => $this->plain($plain, $figure),
        };
    }

    /** What was measured with a finding, figure by figure. */
    public function measured(Measurement $measurement): string
    {
        $said = [];
        foreach ($measurement->figures as $name => $value) {
            $amount = $value instanceof Quantity ? $this->quantities->show($value, Measurement::measureOf($name) ?? throw new \LogicException('A quantity has its measure.')) : $this->quantities->number($value, 2);
            $said[] = ($this->find('measured.'.$name) ?? $name).' '.$amount;
        }

        return implode(', ', $said);
    }

    /** An amount written on a drawing. */
    public function onDrawing(Figures $figures): string
    {
        return match (true) {
            null !== $figures->quantity && null !== $figures->measure => $this->quantities->show($figures->quantity, $figures->measure),
            default => $this->quantities->number(100 * (float) $figures->share, 1).' %',
        };
    }

    /** What a bar or a mark is; a number is written as it is. */
    public function label(string $id): string
    {
        return is_numeric($id) ? $id : ($this->find('label.'.$id) ?? $this->words->fault($id));
    }

    private function plain(float|int|string $plain, Figure $figure): string
    {
        return match (true) {
            \is_string($plain) => $this->words->outcome($figure->words ?? '', $plain),
            $figure->isShare => $this->quantities->number(100 * $plain, $figure->decimals).' %',
            default => $this->quantities->number($plain, $figure->decimals),
        };
    }

    /** @param array<string, string> $figures */
    private function say(string $key, array $figures = []): string
    {
        return $this->translator->trans($key, $figures, 'calc');
    }

    private function find(string $key): ?string
    {
        return $this->translator->getCatalogue()->has($key, 'calc') ? $this->say($key) : null;
    }
}
