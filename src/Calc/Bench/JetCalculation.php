<?php

declare(strict_types=1);

namespace AwakeShed\App\Calc\Bench;

use AwakeShed\App\Calc\Answer;
use AwakeShed\App\Calc\AsCalculation;
use AwakeShed\App\Calc\Calculation;
use AwakeShed\App\Calc\Described;
use AwakeShed\App\Calc\Figure;
use AwakeShed\App\Calc\Given;
use AwakeShed\App\Calc\Input\AmountInput;
use AwakeShed\App\Calc\Input\AmountsInput;
use AwakeShed\App\Calc\Topic;
use AwakeShed\App\Calc\VerdictTone;
use AwakeShed\App\Unit\Measure;
use AwakeShed\Core\Jet\JetBore;
use AwakeShed\Core\Jet\NumberDrills;
use AwakeShed\Core\Jet\WireSet;
use AwakeShed\Core\Running\AirDensity;
use AwakeShed\Core\Spec\SpecFigure;
use AwakeShed\Core\Units\Count;
use AwakeShed\Core\Units\CountUnit;
use AwakeShed\Core\Units\Length;
use AwakeShed\Core\Units\LengthUnit;
use AwakeShed\Core\Units\Temperature;
use AwakeShed\Core\Units\TemperatureUnit;

#[AsCalculation('jet', Topic::Carburetor)]
final class JetCalculation implements Calculation
{
    use Described;

    protected function asks(): array
    {
        return [
            'bore_mm' => AmountInput::between(Measure::Bore, LengthUnit::Millimetre, 0.1, 5)->optional()->usually(0.25, 2)->inSpecBook(SpecFigure::MainJet),
            'drill' => AmountInput::between(Measure::Pieces, CountUnit::Each, 60, 80)->optional(),
            'jet_number' => AmountInput::between(Measure::Pieces, CountUnit::Each, 10, 500)->usually(25, 200)->optional(),
            'flow_from' => AmountInput::between(Measure::Pieces, CountUnit::Each, 1, 2_000)->optional(),
            'flow_to' => AmountInput::between(Measure::Pieces, CountUnit::Each, 1, 2_000)->optional(),
            'error_mm' => AmountInput::between(Measure::Bore, LengthUnit::Millimetre, 0, 0.2)->usually(0, 0.05)->by(JetBore::READING_ERROR_MM),
            'wires_mm' => new AmountsInput(Measure::Bore, LengthUnit::Millimetre, 0.02, 5),
            'altitude_m' => AmountInput::between(Measure::Altitude, LengthUnit::Metre, -500, 5_000)->usually(-50, 3_500)->by(0),
            'celsius' => AmountInput::between(Measure::AirTemperature, TemperatureUnit::Celsius, -50, 60)->usually(-30, 45)->by(15),
        ];
    }

    public function run(Given $in): Answer
    {
        $drills = NumberDrills::shipped();
        $drill = $in->find('drill', Count::class);
        $number = $in->find('jet_number', Count::class);
        $diameter = match (true) {
            null !== $drill => $drills->diameter((int) round($drill->inEach())),
            null !== $number => Length::millimetres($number->inEach() / JetBore::NUMBERS_A_MILLIMETRE),
            default => $in->find('bore_mm', Length::class),
        };
        [$flowFrom, $flowTo] = [$in->find('flow_from', Count::class), $in->find('flow_to', Count::class)];
        // Flow numbers of one maker's series compare with one another, and with nothing else.
        $flows = null === $flowFrom || null === $flowTo ? null : $flowTo->over($flowFrom);
        if (null === $diameter) {
            return new Answer('nothing', VerdictTone::Plain, []);
        }
        $bore = JetBore::ofDiameter($diameter);
        $error = $in->get('error_mm', Length::class);
        $next = $drills->nextAbove($bore->diameter, null === $drill ? $error : Length::millimetres(0));
        $wider = null === $next ? null : $drills->diameter($next);
        $wires = WireSet::fromWires($in->all('wires_mm', Length::class));
        $wire = $wires->forBore($bore);
        $density = AirDensity::share($in->get('altitude_m', Length::class), $in->get('celsius', Temperature::class));

        return new Answer(
            match (true) {
                null !== $wire => 'wire',
                [] !== $wires->wires => 'no_wire_fits',
                default => 'bore',
            },
            [] !== $wires->wires && null === $wire ? VerdictTone::Bad : VerdictTone::Plain,
            [
                Figure::amount('bore_mm', $bore->diameter, LengthUnit::Millimetre, Measure::Bore),
                Figure::amount('bore_thou', $bore->diameter, LengthUnit::Thou, Measure::FeelerGap),
                Figure::number('nearest_drill', $drills->nearest($bore->diameter)),
                Figure::number('bore_number', JetBore::NUMBERS_A_MILLIMETRE * $bore->diameter->inMillimetres(), 1),
                Figure::amount('metric_drill_mm', $bore->nearestMetricDrill(), LengthUnit::Millimetre, Measure::Bore),
                Figure::number('flow_numbers', $flows, 3),
                Figure::number('flow_numbers_bore', null === $flows ? null : sqrt($flows), 3),
                Figure::amount('wire_mm', $wire, LengthUnit::Millimetre, Measure::Bore),
                Figure::limit('widest_wire_mm', $bore->widestWire(), LengthUnit::Millimetre, Measure::Bore),
                Figure::number('next_drill', $next),
                Figure::amount('next_drill_mm', $wider, LengthUnit::Millimetre, Measure::Bore),
                Figure::number('next_drill_flow', null === $wider ? null : $bore->flowInto(JetBore::ofDiameter($wider)), 3),
                Figure::number('air_density', $density, 3),
                Figure::amount('bore_at_altitude_mm', $bore->forAir($density)->diameter, LengthUnit::Millimetre, Measure::Bore),
            ],
        );
    }
}
