<?php

declare(strict_types=1);

namespace AwakeShed\App\Sheet;

use AwakeShed\App\Account\Shops;
use AwakeShed\App\Drawing\LineDrawing;
use AwakeShed\App\Drawing\LineNode;
use AwakeShed\App\Photo\Photo;
use AwakeShed\App\Photo\PhotoSize;
use AwakeShed\App\Photo\PhotoStore;
use AwakeShed\App\Reader\UnitSystem;
use AwakeShed\App\Unit\Quantities;
use AwakeShed\App\Words\Catalogue;
use AwakeShed\App\Words\Words;
use AwakeShed\Core\Money\BillLine;
use AwakeShed\Core\Money\LineKind;
use League\Flysystem\FilesystemException;
use Symfony\Contracts\Translation\LocaleAwareInterface;

/**
 * The owner's sheet on paper: text that can be selected, nothing that needs color. The line is drawn from its layout with
 * the pen of the page: shape and word carry what the screen says by tone as well.
 */
final readonly class SheetPdf
{
    private const FONT = 'dejavusanscondensed';
    private const MARGIN = 14.0;
    /** As wide as the narrower of the two papers allows, A4. */
    private const WIDTH = 210.0 - 2 * self::MARGIN;

    /** Pixels along the longer side: sharp at 58 mm, and three of them stay small. */
    private const PHOTO_SIDE = 760;
    private const PHOTO_QUALITY = 72;
    private const PHOTO_WIDTH = 58.0;

    private const DASHED = ['not_looked_at' => '2,1.6'];

    public function __construct(private Catalogue $catalogue, private Words $words, private Quantities $quantities, private PhotoStore $photos, private LocaleAwareInterface $translator, private Shops $shops)
    {
    }

    public function print(OwnersSheet $sheet): string
    {
        $pdf = $this->begin($sheet->title, $sheet->shop);
        $this->head($pdf, $sheet);
        $this->line($pdf, $sheet->line);
        foreach ($sheet->sections as $section) {
            $this->title($pdf, $section->title);
            foreach ($section->lines as $line) {
                $this->bullet($pdf, $line);
            }
        }
        $this->numbers($pdf, $sheet->numbers);
        $this->photos($pdf, $sheet->photos);
        $this->money($pdf, $sheet);

        return $this->end($pdf);
    }

    /**
     * A sheet that is only titles and lines: a starting card, a plan of laying up.
     *
     * @param list<string>       $facts
     * @param list<SheetSection> $sections
     */
    public function printWords(string $title, string $shop, array $facts, array $sections): string
    {
        $pdf = $this->begin($title, $shop);
        $pdf->setFont(self::FONT, 'B', 16);
        $pdf->MultiCell(0, 8, $title, 0, 'L');
        $pdf->setFont(self::FONT, '', 9.5);
        foreach ($facts as $fact) {
            $pdf->MultiCell(0, 5, $fact, 0, 'L');
        }
        foreach ($sections as $section) {
            $this->title($pdf, $section->title);
            foreach ($section->lines as $line) {
                $this->bullet($pdf, $line);
            }
        }

        return $this->end($pdf);
    }

    private function begin(string $title, string $shop): SheetPaper
    {
        $pdf = new SheetPaper(UnitSystem::Metric === $this->shops->current()?->getUnits() ? 'A4' : 'LETTER');
        $pdf->setCreator('Awake Shed');
        $pdf->setAuthor($shop);
        $pdf->setTitle($title);
        $pdf->setLanguageArray(['a_meta_charset' => 'UTF-8', 'a_meta_dir' => 'ltr', 'a_meta_language' => str_replace('_', '-', $this->translator->getLocale()), 'w_page' => '']);
        $pdf->setPrintHeader(false);
        $pdf->setPrintFooter(false);
        $pdf->setFontSubsetting(true);
        $pdf->setMargins(self::MARGIN, self::MARGIN, self::MARGIN);
        $pdf->setAutoPageBreak(true, self::MARGIN);
        $pdf->AddPage();

        return $pdf;
    }

    private function end(SheetPaper $pdf): string
    {
        $pdf->Ln(2);
        $pdf->setFont(self::FONT, '', 8);
        $pdf->MultiCell(0, 4, $this->say('local'), 'T', 'L');
        $bytes = $pdf->Output('', 'S');

        return \is_string($bytes) ? $bytes : throw new \RuntimeException('The sheet could not be printed.');
    }

    private function head(SheetPaper $pdf, OwnersSheet $sheet): void
    {
        $pdf->setFont(self::FONT, '', 10);
        $pdf->MultiCell(0, 5, $sheet->shop, 0, 'L');
        $pdf->setFont(self::FONT, 'B', 15);
        $pdf->MultiCell(0, 8, $sheet->title, 0, 'L');
        $pdf->setFont(self::FONT, '', 9);
        foreach ($sheet->facts as $fact) {
            $pdf->MultiCell(0, 4.4, $fact, 0, 'L');
        }
        $pdf->Ln(1);
    }

    private function line(SheetPaper $pdf, LineDrawing $drawing): void
    {
        $this->title($pdf, $this->say('line'));
        $scale = self::WIDTH / LineDrawing::WIDTH;
        $top = $pdf->GetY() + 1;
        $pdf->setDrawColor(60);
        $pdf->setLineStyle(['width' => 0.5, 'dash' => 0]);
        foreach ([[82, 66, 82, 96], [148, 148, 1032, 148], [1098, 66, 1098, 96], [1098, 200, 1098, 244], [368, 274, 1032, 274], [980, 38, 1032, 138]] as [$x1, $y1, $x2, $y2]) {
            $pdf->Line(self::MARGIN + $scale * $x1, $top + $scale * $y1, self::MARGIN + $scale * $x2, $top + $scale * $y2);
        }
        foreach ($drawing->nodes as $node) {
            $this->node($pdf, $node, $scale, $top);
        }
        $pdf->setLineStyle(['width' => 0.2, 'dash' => 0]);
        $pdf->setXY(self::MARGIN, $top + $scale * LineDrawing::HEIGHT + 1);
    }

    private function node(SheetPaper $pdf, LineNode $node, float $scale, float $top): void
    {
        $tone = $node->tone->value;
        $isBad = 'bad' === $tone;
        [$x, $y, $width, $height] = [self::MARGIN + $scale * $node->left, $top + $scale * $node->top, $scale * $node->width, $scale * $node->height];
        $pdf->setFillColor($isBad ? 225 : 255);
        $pdf->setLineStyle(['width' => $isBad ? 0.7 : 0.3, 'dash' => self::DASHED[$tone] ?? 0]);
        $pdf->RoundedRect($x, $y, $width, $height, 1.0, '1111', 'DF');
        if ('put_right' === $tone) {
            $pdf->RoundedRect($x + 0.7, $y + 0.7, $width - 1.4, $height - 1.4, 0.8);
        }
        $pdf->setFont(self::FONT, 'B', 7);
        $pdf->setXY($x, $y + $height / 2 - 3.4);
        $pdf->Cell($width, 3.2, $this->words->outcome('element', $node->element->value), 0, 0, 'C', false, '', 1);
        $pdf->setFont(self::FONT, '', 6);
        $pdf->setXY($x, $y + $height / 2);
        $pdf->Cell($width, 3, $this->words->outcome('tone', $tone), 0, 0, 'C', false, '', 1);
    }

    private function title(SheetPaper $pdf, string $title): void
    {
        $pdf->Ln(1.6);
        $pdf->setFont(self::FONT, 'B', 10);
        $pdf->MultiCell(0, 5, $title, 0, 'L');
        $pdf->setFont(self::FONT, '', 9);
    }

    private function bullet(SheetPaper $pdf, string $line): void
    {
        $pdf->setX(self::MARGIN);
        $pdf->Cell(4, 4.4, '–', 0, 0);
        $pdf->MultiCell(self::WIDTH - 4, 4.4, $line, 0, 'L');
    }

    /** @param list<array{string, string, string}> $numbers */
    private function numbers(SheetPaper $pdf, array $numbers): void
    {
        if ([] === $numbers) {
            return;
        }
        $this->title($pdf, $this->say('numbers'));
        $this->row($pdf, [$this->say('looked_at'), $this->say('before'), $this->say('after')], true);
        foreach ($numbers as $row) {
            $this->row($pdf, $row, false);
        }
    }

    /** @param array{string, string, string} $row */
    private function row(SheetPaper $pdf, array $row, bool $isHead): void
    {
        $widths = [self::WIDTH * 0.3, self::WIDTH * 0.35, self::WIDTH * 0.35];
        $pdf->setFont(self::FONT, $isHead ? 'B' : '', 8.5);
        $height = max(array_map(static fn (string $text, float $width): float => 4.4 * $pdf->getNumLines($text, $width), $row, $widths));
        if ($pdf->GetY() + $height > $pdf->getPageHeight() - self::MARGIN) {
            $pdf->AddPage();
        }
        foreach ($row as $place => $text) {
            $pdf->MultiCell($widths[$place], $height, $text, 'B', 'L', false, 2 === $place ? 1 : 0);
        }
    }

    /** @param list<Photo> $photos */
    private function photos(SheetPaper $pdf, array $photos): void
    {
        $pictures = array_values(array_filter(array_map(fn (Photo $photo): ?array => $this->picture($photo), $photos)));
        if ([] === $pictures) {
            return;
        }
        $height = max(array_column($pictures, 'height'));
        if ($pdf->GetY() + $height + 14 > $pdf->getPageHeight() - self::MARGIN) {
            $pdf->AddPage();
        }
        $this->title($pdf, $this->say('photos'));
        $top = $pdf->GetY();
        foreach ($pictures as $place => $picture) {
            $left = self::MARGIN + $place * (self::PHOTO_WIDTH + 4);
            $pdf->Image('@'.$picture['bytes'], $left, $top, self::PHOTO_WIDTH, 0, 'JPEG');
            $pdf->setXY($left, $top + $picture['height'] + 0.5);
            $pdf->setFont(self::FONT, '', 7.5);
            $pdf->MultiCell(self::PHOTO_WIDTH, 3.4, $picture['caption'], 0, 'L');
        }
        $pdf->setXY(self::MARGIN, $top + $height + 9);
    }

    /** @return array{bytes: string, caption: string, height: float}|null null where the picture is lost */
    private function picture(Photo $photo): ?array
    {
        try {
            $image = imagecreatefromstring((string) stream_get_contents($this->photos->read($photo, PhotoSize::Full)));
        } catch (FilesystemException) {
            return null;
        }
        if (false === $image) {
            return null;
        }
        [$width, $height] = [imagesx($image), imagesy($image)];
        $share = min(1.0, self::PHOTO_SIDE / max($width, $height));
        $small = imagescale($image, max(1, (int) round($share * $width)), max(1, (int) round($share * $height)), \IMG_BILINEAR_FIXED);
        ob_start();
        imagejpeg(false === $small ? $image : $small, null, self::PHOTO_QUALITY);

        return ['bytes' => (string) ob_get_clean(), 'caption' => $photo->getCaption(), 'height' => self::PHOTO_WIDTH * $height / $width];
    }

    private function money(SheetPaper $pdf, OwnersSheet $sheet): void
    {
        $bill = $sheet->money->bill;
        if ([] === $bill->lines) {
            return;
        }
        if ($pdf->GetY() + 12 + 4.6 * (\count($bill->lines) + 3) > $pdf->getPageHeight() - self::MARGIN) {
            $pdf->AddPage();
        }
        $this->title($pdf, $this->say('money'));
        $dollars = fn (float $sum): string => '$'.$this->quantities->money($sum, 2);
        $line = static function (string $what, string $count, string $each, string $sum, string $style = '') use ($pdf): void {
            $pdf->setFont(self::FONT, $style, 8.5);
            $pdf->Cell(self::WIDTH * 0.52, 4.6, $what, 'B', 0, 'L', false, '', 1);
            $pdf->Cell(self::WIDTH * 0.14, 4.6, $count, 'B', 0, 'R');
            $pdf->Cell(self::WIDTH * 0.16, 4.6, $each, 'B', 0, 'R');
            $pdf->Cell(self::WIDTH * 0.18, 4.6, $sum, 'B', 1, 'R');
        };
        $line($this->say('for_it'), $this->say('quantity'), $this->say('each'), $this->say('comes_to'), 'B');
        foreach ($bill->lines as $one) {
            $line($this->named($one), $this->quantities->number($one->quantity, 2).(LineKind::Labor === $one->kind ? ' h' : ''), $dollars($one->each->inDollars()), $dollars($one->amount()->inDollars()));
        }
        if ($bill->tax->inDollars() > 0.0) {
            $line($this->say('tax'), '', '', $dollars($bill->tax->inDollars()));
        }
        $line($this->say('in_all'), '', '', $dollars($bill->total->inDollars()), 'B');
    }

    private function named(BillLine $line): string
    {
        return '' === $line->text ? $this->catalogue->say('line.'.$line->kind->value, domain: 'money') : $line->text;
    }

    private function say(string $key): string
    {
        return $this->catalogue->say($key, domain: 'sheet');
    }
}
