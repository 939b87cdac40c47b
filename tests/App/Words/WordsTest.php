<?php

declare(strict_types=1);

namespace AwakeShed\Tests\App\Words;

use AwakeShed\App\Words\Words;
use AwakeShed\Core\Caution\Cautions;
use AwakeShed\Core\Diagnosis\FaultModel;
use AwakeShed\Core\Evidence\MachineKind;
use AwakeShed\Core\Evidence\Vocabulary;
use AwakeShed\Core\Fuel\FuelDecision;
use AwakeShed\Core\Fuel\JarReading;
use AwakeShed\Core\Fuel\TankAction;
use AwakeShed\Core\Fuel\WasteStream;
use AwakeShed\Core\Line\Element;
use AwakeShed\Core\Line\ElementTone;
use AwakeShed\Core\Line\Line;
use AwakeShed\Core\Oil\OilDecision;
use AwakeShed\Core\Progress\Ask;
use AwakeShed\Core\Progress\Progress;
use AwakeShed\Core\Refusal;
use Symfony\Bundle\FrameworkBundle\Test\KernelTestCase;
use Symfony\Component\Translation\TranslatorBagInterface;

/** Ids of the core must not reach a reader bare. */
final class WordsTest extends KernelTestCase
{
    public function testEverythingThePagesNameHasWords(): void
    {
        $translator = self::getContainer()->get('translator');
        self::assertInstanceOf(TranslatorBagInterface::class, $translator);
        $catalogue = $translator->getCatalogue('en');
        $keys = [];
        $vocabulary = Vocabulary::shipped();
        foreach ($vocabulary->holds as $hold) {
            array_push($keys, 'hold.'.$hold->id, 'waits.'.$hold->id, ...array_map(static fn (string $fault): string => 'cure.'.$fault, $hold->untilPutRightAny));
        }
        /** @var array{gates: list<array{id: string, needed: list<string>, worth: list<string>}>} $walk */
        $walk = json_decode((string) file_get_contents(\dirname(__DIR__, 3).'/core/Gate/data/walk.json'), true, 16, \JSON_THROW_ON_ERROR);
        foreach ($walk['gates'] as $gate) {
            $keys[] = 'gate.'.$gate['id'];
            foreach ([...$gate['needed'], ...$gate['worth']] as $look) {
                array_push($keys, 'test.'.$look, 'how.'.$look);
            }
        }
        foreach (array_keys(Cautions::shipped()->hazards) as $caution) {
            $keys[] = 'caution.'.$caution;
        }
        foreach ($vocabulary->acts as $id => $act) {
            array_push($keys, 'act.'.$id, 'do.'.$id, 'thing.'.$act->thing, 'state.'.$act->state);
        }
        $keys[] = 'state.filled_and_looked_at';
        foreach (Ask::cases() as $ask) {
            $keys[] = 'ask.'.$ask->value;
        }
        foreach (array_keys($vocabulary->tests) as $test) {
            array_push($keys, 'test.'.$test, ...(str_starts_with($test, 'claim.') ? [] : ['how.'.$test, 'tool.'.$test]));
        }
        foreach (array_keys(Line::shipped(FaultModel::shipped(...))->rooms) as $room) {
            $keys[] = 'outcome.element.'.$room;
        }
        foreach (array_keys($vocabulary->faults) as $fault) {
            $keys[] = 'outcome.fault_group.'.strstr($fault, '.', true);
        }
        foreach (['fuel' => FuelDecision::cases(), 'oil' => OilDecision::cases(), 'tank' => TankAction::cases(), 'outcome.stand' => Progress::cases(), 'outcome.kind' => MachineKind::cases(), 'outcome.waste' => WasteStream::cases(), 'outcome.element' => Element::cases(), 'outcome.tone' => ElementTone::cases()] as $prefix => $cases) {
            foreach ($cases as $case) {
                $keys[] = $prefix.'.'.$case->value;
            }
        }
        self::assertSame([], array_values(array_filter($keys, static fn (string $key): bool => !$catalogue->has($key, 'trade'))));
    }

    public function testARefusalOfTheCoreIsSaidWithItsFigures(): void
    {
        try {
            JarReading::fromArray(['shift' => ['fuel_ml' => 90, 'water_ml' => 10, 'aqueous_ml' => 5, 'celsius' => 20]]);
            self::fail('It was taken.');
        } catch (Refusal $refusal) {
            $words = self::getContainer()->get(Words::class);
            self::assertInstanceOf(Words::class, $words);
            self::assertSame('The lower layer reads 5 mL, less than the 10 mL of water poured in. Water does not vanish: read again.', $words->refusal($refusal));
        }
    }
}
