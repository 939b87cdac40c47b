<?php

declare(strict_types=1);

namespace AwakeShed\Tests\App\Form;

use AwakeShed\App\Calc\Calculations;
use AwakeShed\App\Form\AmountSheetType;
use AwakeShed\App\Form\AmountType;
use AwakeShed\App\Form\AsksWhenUnusual;
use AwakeShed\App\Form\ChipChoices;
use AwakeShed\App\Unit\Measure;
use AwakeShed\App\Unit\Quantities;
use AwakeShed\Core\Units\Quantity;
use AwakeShed\Tests\App\ShedTestCase;
use AwakeShed\Tests\Seeded;
use Symfony\Component\Form\Extension\Core\Type\FormType;
use Symfony\Component\Form\FormFactoryInterface;
use Symfony\Component\Form\FormInterface;
use Symfony\Component\Form\FormView;
use Symfony\Component\Validator\Constraints\NotNull;
use Twig\Environment;

/** Amounts in one sheet say, refuse, ask and show what a field for each of them does. */
final class AmountSheetTest extends ShedTestCase
{
    private const TYPED = ['', ' ', '0', '7', ' 12,5 ', '0.3 0.45 0.6', '8; 5,5; 2', '1,250', '-4', '1e9', 'much', '5 in', '3 gal', '90 %', '620 kPa', "\xFF", '2 1/2', '40', '160', '3000', '0.08', '½'];

    private const MISSING = 'Say how much.';

    private int $refused = 0;
    private int $asked = 0;

    public function testIsAsAFieldForEach(): void
    {
        $random = new Seeded(19);
        $quantities = self::service(Quantities::class);
        $choices = self::service(ChipChoices::class);
        $compared = 0;
        foreach (self::service(Calculations::class)->all() as $calculation) {
            $rows = [];
            foreach ($calculation->inputs() as $name => $input) {
                [$type, $options] = $input->field($quantities, $choices) ?? [null, []];
                if (AmountType::class === $type) {
                    $rows[$name] = $options + ['label' => 'Of '.$name, 'help' => $random->one([null, 'Read twice.']), 'translation_domain' => false];
                }
            }
            if ([] === $rows) {
                continue;
            }
            $filled = array_map(static fn ($input): mixed => $input->default(), array_intersect_key($calculation->inputs(), $rows));
            $this->compare($this->fields($rows, $filled), $this->sheet($rows, $filled), array_keys($rows));
            for ($round = 0; $round < 12; ++$round) {
                $sent = array_map(static fn (): string => $random->one(self::TYPED), $rows);
                unset($sent[$random->one(array_keys($rows))]);
                $answer = $random->one([[], [], [AsksWhenUnusual::ANSWER => '1']]);
                $fields = $this->fields($rows, $filled);
                $fields->submit($sent + $answer);
                $sheet = $this->sheet($rows, $filled);
                $sheet->submit(['sheet' => $sent] + $answer);
                $this->compare($fields, $sheet, array_keys($rows));
                ++$compared;
            }
        }
        self::assertGreaterThan(400, $compared);
        self::assertGreaterThan(200, $this->refused);
        self::assertGreaterThan(50, $this->asked);
    }

    public function testWhatIsNoTextIsRefusedAndNothingElseIsRead(): void
    {
        $rows = ['idle' => self::row(), 'other' => self::row()];
        $sheet = $this->sheet($rows, []);
        $sheet->submit(['sheet' => ['idle' => ['5'], 'strange' => '7']]);
        self::assertFalse($sheet->isValid());
        self::assertSame(['idle' => null, 'other' => null], $sheet->get('sheet')->getData());
        self::assertStringContainsString('This value is not valid.', $this->drawn(self::rowOf($sheet->createView(), 'idle')));
        self::assertStringNotContainsString('not valid', $this->drawn(self::rowOf($sheet->createView(), 'other')));
        foreach (['5', null, []] as $sent) {
            $sheet = $this->sheet($rows, []);
            $sheet->submit(['sheet' => $sent]);
            self::assertTrue($sheet->isValid());
            self::assertSame(['idle' => null, 'other' => null], $sheet->get('sheet')->getData());
        }
    }

    /**
     * @param FormInterface<mixed> $fields
     * @param FormInterface<mixed> $sheet
     * @param list<string>         $names
     */
    private function compare(FormInterface $fields, FormInterface $sheet, array $names): void
    {
        [$each, $all] = [$fields->createView(), $sheet->createView()];
        $read = $sheet->get('sheet')->getData();
        self::assertIsArray($read);
        foreach ($names as $name) {
            $drawn = $this->drawn(self::rowOf($all, $name));
            self::assertSame($this->drawn($each[$name]), $drawn, $name);
            self::assertSame(self::plain($fields->get($name)->getData()), self::plain($read[$name] ?? null), $name);
            $this->refused += str_contains($drawn, 'aria-invalid') ? 1 : 0;
            $this->asked += str_contains($drawn, 'is unusual') ? 1 : 0;
        }
        self::assertSame($fields->isSubmitted() && !$fields->isValid(), $sheet->isSubmitted() && !$sheet->isValid());
    }

    private static function rowOf(FormView $form, string $name): FormView
    {
        $rows = $form['sheet']->vars['rows'];
        self::assertIsArray($rows);
        self::assertInstanceOf(FormView::class, $rows[$name]);

        return $rows[$name];
    }

    private function drawn(FormView $row): string
    {
        return self::service(Environment::class)->createTemplate('{{ form_row(row) }}')->render(['row' => $row]);
    }

    private static function plain(mixed $value): string
    {
        return implode(' ', array_map(static fn (mixed $one): string => $one instanceof Quantity ? $one::class.' '.$one->per($one::units()[0]) : '-', \is_array($value) ? $value : [$value]));
    }

    /** @return array<string, mixed> */
    private static function row(): array
    {
        return ['measure' => Measure::Pieces];
    }

    /**
     * @param array<string, array<string, mixed>> $rows
     * @param array<string, mixed>                $filled
     *
     * @return FormInterface<mixed>
     */
    private function fields(array $rows, array $filled): FormInterface
    {
        $builder = self::service(FormFactoryInterface::class)->createNamedBuilder('fields', FormType::class, $filled, ['csrf_token_id' => null]);
        foreach ($rows as $name => $options) {
            $builder->add($name, AmountType::class, $options + ['constraints' => true === ($options['required'] ?? false) ? [new NotNull(message: self::MISSING)] : []]);
        }
        self::service(AsksWhenUnusual::class)->listen($builder);

        return $builder->getForm();
    }

    /**
     * @param array<string, array<string, mixed>> $rows
     * @param array<string, mixed>                $filled
     *
     * @return FormInterface<mixed>
     */
    private function sheet(array $rows, array $filled): FormInterface
    {
        $builder = self::service(FormFactoryInterface::class)->createNamedBuilder('fields', FormType::class, ['sheet' => $filled], ['csrf_token_id' => null])->add('sheet', AmountSheetType::class, ['amounts' => $rows, 'missing_message' => self::MISSING]);
        self::service(AsksWhenUnusual::class)->listen($builder);

        return $builder->getForm();
    }
}
