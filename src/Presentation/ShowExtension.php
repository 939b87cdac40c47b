<?php

declare(strict_types=1);

namespace AwakeShed\App\Presentation;

use AwakeShed\App\Drawing\PartShape;
use AwakeShed\App\Drawing\RockerDrawing;
use AwakeShed\App\Reader\Dates;
use AwakeShed\App\Reader\Reader;
use AwakeShed\App\Unit\Measure;
use AwakeShed\App\Unit\Quantities;
use AwakeShed\App\Words\BenchWords;
use AwakeShed\App\Words\SheetWords;
use AwakeShed\App\Words\StepWords;
use AwakeShed\App\Words\WhyWords;
use AwakeShed\App\Words\Words;
use AwakeShed\Core\Carburetor\Part;
use AwakeShed\Core\Units\Duration;
use AwakeShed\Core\Units\Quantity;
use AwakeShed\Core\Units\Volume;
use Symfony\Component\DependencyInjection\Attribute\AutowireServiceClosure;
use Twig\Attribute\AsTwigFilter;
use Twig\Attribute\AsTwigFunction;

/** What templates may ask for: the reader's units, dates and words. */
final readonly class ShowExtension
{
    /**
     * @param \Closure(): Words      $words words are asked for by some pages only, and bring the tables they are the words of
     * @param \Closure(): WhyWords   $why
     * @param \Closure(): StepWords  $steps
     * @param \Closure(): BenchWords $bench
     * @param \Closure(): SheetWords $sheet
     */
    public function __construct(
        private Quantities $quantities,
        private Dates $dates,
        private Reader $reader,
        #[AutowireServiceClosure(Words::class)]
        private \Closure $words,
        #[AutowireServiceClosure(WhyWords::class)]
        private \Closure $why,
        #[AutowireServiceClosure(StepWords::class)]
        private \Closure $steps,
        #[AutowireServiceClosure(BenchWords::class)]
        private \Closure $bench,
        #[AutowireServiceClosure(SheetWords::class)]
        private \Closure $sheet,
    ) {
    }

    /** Within a sentence: the first letter small, unless it belongs to a name such as E10 or SAE. */
    #[AsTwigFilter('in_line')]
    public function inLine(string $words): string
    {
        return Words::inLine($words);
    }

    #[AsTwigFilter('measure')]
    public function measure(Quantity $quantity, string $measure): string
    {
        return $this->quantities->show($quantity, Measure::from($measure));
    }

    /** A machine's facts are kept in millilitres. */
    #[AsTwigFunction('volume_of')]
    public function volumeOf(float $millilitres): Volume
    {
        return Volume::millilitres($millilitres);
    }

    #[AsTwigFunction('qr_of')]
    public function qrOf(string $text): QrCode
    {
        return QrCode::encoding($text);
    }

    #[AsTwigFilter('span')]
    public function span(Duration $duration): string
    {
        return $this->quantities->time($duration);
    }

    #[AsTwigFilter('figure')]
    public function figure(float $number, int $decimals = 1): string
    {
        return $this->quantities->number($number, $decimals);
    }

    /** A sum of money; the shop has one currency. */
    #[AsTwigFilter('dollars')]
    public function dollars(float $sum, int $decimals = 2): string
    {
        return '$'.$this->quantities->money($sum, $decimals);
    }

    #[AsTwigFilter('day')]
    public function day(\DateTimeInterface $date): string
    {
        return $this->dates->day($date);
    }

    #[AsTwigFilter('moment')]
    public function moment(\DateTimeInterface $date): string
    {
        return $this->dates->moment($date);
    }

    #[AsTwigFilter('weekday')]
    public function weekday(\DateTimeInterface $date): string
    {
        return $this->dates->weekday($date);
    }

    #[AsTwigFilter('clock')]
    public function clock(\DateTimeInterface $date): string
    {
        return $this->dates->clock($date);
    }

    #[AsTwigFilter('weekday_clock')]
    public function weekdayClock(\DateTimeInterface $date): string
    {
        return $this->dates->weekdayClock($date);
    }

    #[AsTwigFunction('step_words')]
    public function stepWords(): StepWords
    {
        return ($this->steps)();
    }

    #[AsTwigFunction('bench_words')]
    public function benchWords(): BenchWords
    {
        return ($this->bench)();
    }

    #[AsTwigFunction('sheet_words')]
    public function sheetWords(): SheetWords
    {
        return ($this->sheet)();
    }

    #[AsTwigFunction('why_words')]
    public function whyWords(): WhyWords
    {
        return ($this->why)();
    }

    #[AsTwigFunction('part_shape')]
    public function partShape(Part $part): PartShape
    {
        return PartShape::ofPart($part->kind, $part->material);
    }

    #[AsTwigFunction('words')]
    public function words(): Words
    {
        return ($this->words)();
    }

    #[AsTwigFunction('page_look')]
    public function look(): string
    {
        return $this->reader->look()->value;
    }

    /** @return list<RockerDrawing> the right top first */
    #[AsTwigFunction('rockers')]
    public function rockers(): array
    {
        return RockerDrawing::both();
    }
}
