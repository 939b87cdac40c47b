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
use AwakeShed\App\Calc\Input\ChoiceInput;
use AwakeShed\App\Calc\Topic;
use AwakeShed\App\Calc\VerdictTone;
use AwakeShed\App\Unit\Measure;
use AwakeShed\Core\Cylinder\Compression;
use AwakeShed\Core\Cylinder\CompressionVerdict;
use AwakeShed\Core\Cylinder\Release;
use AwakeShed\Core\Cylinder\WhichCylinder;
use AwakeShed\Core\Evidence\Finding;
use AwakeShed\Core\Running\StandardAtmosphere;
use AwakeShed\Core\Units\Length;
use AwakeShed\Core\Units\LengthUnit;
use AwakeShed\Core\Units\Pressure;
use AwakeShed\Core\Units\PressureUnit;

#[AsCalculation('compression', Topic::Cylinder, 'compression.gauge')]
final class CompressionCalculation implements Calculation
{
    use Described;

    protected function asks(): array
    {
        return [
            'gauge_psi' => AmountInput::between(Measure::GaugePressure, PressureUnit::Psi, 0, 400)->usually(0, 200),
            'wet_psi' => AmountInput::between(Measure::GaugePressure, PressureUnit::Psi, 0, 400)->usually(0, 220)->optional(),
            'altitude_m' => AmountInput::between(Measure::Altitude, LengthUnit::Metre, -500, 5_000)->usually(-50, 3_500)->by(0),
            'error_psi' => AmountInput::between(Measure::GaugePressure, PressureUnit::Psi, 0, 20)->usually(0.5, 5)->by(2),
            'cylinder' => new ChoiceInput(WhichCylinder::class, 'cylinder', WhichCylinder::First),
            'release' => new ChoiceInput(Release::class, 'release', Release::Unknown),
        ];
    }

    public function run(Given $in): Answer
    {
        $gauge = $in->get('gauge_psi', Pressure::class);
        $altitude = $in->get('altitude_m', Length::class);
        $read = Compression::read($gauge, $altitude, $in->get('release', Release::class), $in->get('error_psi', Pressure::class));
        $wet = $in->find('wet_psi', Pressure::class);
        $says = null === $wet ? null : $read->wet($wet);
        $verdict = $read->verdict();
        $isBetween = $read->worst() !== $read->best();
        $test = $in->get('cylinder', WhichCylinder::class)->compressionTest();

        return new Answer(
            $isBetween ? 'between' : $verdict->value,
            match (true) {
                $isBetween => VerdictTone::Ask,
                CompressionVerdict::Good === $verdict => VerdictTone::Good,
                \in_array($verdict, [CompressionVerdict::Low, CompressionVerdict::None], true) => VerdictTone::Bad,
                default => VerdictTone::Ask,
            },
            [
                Figure::within('sea_level_psi', $read->atSeaLevel, $read->halfWidth, PressureUnit::Psi, Measure::GaugePressure),
                Figure::amount('half_width_psi', $read->halfWidth, PressureUnit::Psi, Measure::GaugePressure),
                Figure::word('worst', $read->worst(), 'compression_verdict'),
                Figure::word('best', $read->best(), 'compression_verdict'),
                Figure::number('pressure_share', StandardAtmosphere::pressureShare($altitude->in(LengthUnit::Metre)), 4),
                Figure::number('density_share', StandardAtmosphere::densityShare($altitude->in(LengthUnit::Metre)), 4),
                Figure::word('wet_test', $says, 'wet_test'),
                Figure::yesNo('gauge_can_mislead', $read->gaugeCanMislead()),
            ],
            // What depends on the release is no finding yet.
            match ($verdict) {
                CompressionVerdict::Good => self::finding($test, 'good', $gauge, $wet),
                CompressionVerdict::Marginal, CompressionVerdict::Low => self::finding($test, 'low', $gauge, $wet),
                CompressionVerdict::None => self::finding($test, 'none', $gauge, $wet),
                CompressionVerdict::DependsOnRelease => [],
            },
        );
    }

    /** @return list<Finding> */
    private static function finding(string $test, string $outcome, Pressure $gauge, ?Pressure $wet): array
    {
        $measured = ['gauge_psi' => round($gauge->inPsi(), 1)] + (null === $wet ? [] : ['wet_psi' => round($wet->inPsi(), 1)]);

        return [Finding::observed($test, $outcome)->measuring($measured)];
    }
}
