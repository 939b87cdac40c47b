<?php

declare(strict_types=1);

namespace AwakeShed\Tests\Core\Carburetor;

use AwakeShed\Core\Carburetor\Carburetors;
use AwakeShed\Core\Carburetor\Cleaning;
use AwakeShed\Core\Carburetor\Condition;
use AwakeShed\Core\Carburetor\ImpossibleMove;
use AwakeShed\Core\Carburetor\Material;
use AwakeShed\Core\Carburetor\Method;
use AwakeShed\Core\Carburetor\MoveKind;
use AwakeShed\Core\Carburetor\Part;
use AwakeShed\Core\Carburetor\PartFate;
use AwakeShed\Core\Carburetor\PartsLedger;
use AwakeShed\Core\Evidence\Vocabulary;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class CarburetorsTest extends TestCase
{
    /**
     * Said of no part, it is said of none, and never of the first.
     *
     * @param array<string, string> $said
     */
    #[DataProvider('ofAPart')]
    public function testWhatIsSaidOfNoPartIsRefused(MoveKind $kind, array $said): void
    {
        $ledger = Carburetors::shipped()->ledger([MoveKind::Begin->move(said: ['type' => 'bowl_brass']), MoveKind::Off->move(said: ['kind' => 'main_jet'])]);
        $ledger->after($kind->move(1, $said));
        $this->expectException(ImpossibleMove::class);
        $ledger->after($kind->move(said: $said));
    }

    /** @return iterable<string, array{MoveKind, array<string, string>}> */
    public static function ofAPart(): iterable
    {
        yield 'a note' => [MoveKind::Note, ['orientation' => '1 1/2']];
        yield 'how it was found' => [MoveKind::Condition, ['condition' => 'film']];
        yield 'what becomes of it' => [MoveKind::Keep, ['keep' => 'clean']];
        yield 'that it was cleaned' => [MoveKind::Clean, ['method' => 'spray']];
        yield 'that it is back' => [MoveKind::On, []];
    }

    public function testTheFiveTypesAreWholeAndSpeakTheVocabulary(): void
    {
        $vocabulary = Vocabulary::shipped();
        $types = Carburetors::shipped()->types;
        self::assertSame(['bowl_brass', 'bowl_nut', 'plastic_pilot', 'diaphragm', 'snap_in'], array_keys($types));
        foreach ($types as $type) {
            $parts = array_map(static fn ($part): string => $part->id, $type->parts);
            self::assertSame($parts, array_values(array_unique($parts)), $type->id);
            self::assertContains('needle', $parts, 'no carburetor of these is without a needle');
            self::assertNotSame([], array_filter($type->parts, static fn ($part): bool => null !== $part->stack), 'each has gaskets whose order counts');
            foreach ($type->parts as $part) {
                self::assertSame([], array_diff($part->asks, PartsLedger::NOTES), $part->id);
            }
            foreach (['main', 'pilot', 'inlet'] as $circuit) {
                self::assertNotSame([], array_filter($type->passages, static fn ($passage): bool => $passage->circuit === $circuit), "$type->id has no $circuit");
            }
            foreach ($type->passages as $passage) {
                if (null !== $passage->test) {
                    self::assertNotNull($vocabulary->test($passage->test)->outcomes);
                }
                self::assertGreaterThan(0.2, $passage->boreMm, $passage->id);
                self::assertNotContains($passage->entry, $passage->exits);
            }
        }
        $size = static fn (string $type, string $part): ?string => array_column($types[$type]->parts, 'size', 'id')[$part];
        self::assertSame(['10 mm', null], [$size('bowl_brass', 'bowl_bolt'), $size('bowl_brass', 'needle')], 'what a wrench takes has a size');
        foreach (Carburetors::shipped()->checks as $check) {
            self::assertSame([], array_diff($check->good, $vocabulary->test($check->test ?? 'look.plug')->outcomes ?? []), $check->id);
            self::assertSame(null === $check->test, [] === $check->good, $check->id);
        }
    }

    public function testEveryMaterialHasItsRulesAndRubberStaysOutOfEveryBath(): void
    {
        $cleaning = Cleaning::shipped();
        foreach (Material::cases() as $material) {
            $plan = $cleaning->planFor(new Part(1, null, 'x', $material, keep: PartFate::Clean), true);
            foreach ($plan as $method) {
                $cleaning->demand($material, $method);
            }
            self::assertSame([], array_intersect(array_map(static fn (Method $method): string => $method->value, $plan), array_keys($cleaning->keptOutOf($material))), $material->value);
        }
        foreach ([Material::Rubber, Material::Plastic, Material::WaxCapsule, Material::Paper, Material::PlatedSteel, Material::RubberTipped] as $material) {
            try {
                $cleaning->demand($material, Method::Ultrasonic);
                self::fail($material->value.' went into the bath.');
            } catch (ImpossibleMove $kept) {
                self::assertStringStartsWith('strip.kept_out.', $kept->reason());
            }
        }
    }

    public function testThePlanFollowsTheConditionAndTheSchoolOfAir(): void
    {
        $cleaning = Cleaning::shipped();
        $jet = new Part(1, 'main_jet', '', Material::Brass, condition: Condition::Film);
        self::assertSame([Method::Brush, Method::Ultrasonic, Method::Spray, Method::Wire, Method::Air], $cleaning->planFor($jet, true));
        self::assertNotContains(Method::Air, $cleaning->planFor($jet, false));
        self::assertSame([], $cleaning->planFor($jet->inCondition(Condition::Sound), true), 'what is sound is left alone');
        self::assertSame([], $cleaning->planFor($jet->inCondition(Condition::Worn), true), 'what is renewed is not cleaned');
        self::assertContains(Method::Vinegar, $cleaning->planFor(new Part(2, 'bowl', '', Material::PlatedSteel, condition: Condition::Rust), true));
        self::assertNotContains(Method::Vinegar, $cleaning->planFor(new Part(3, null, 'Body', Material::ZincAlloy, condition: Condition::Rust), true), 'it eats the metal');
        $minutes = $cleaning->minutes(Method::Ultrasonic);
        self::assertTrue($minutes >= 4 && $minutes <= 10, 'the trade says 4 to 10 min');
        self::assertNull($cleaning->minutes(Method::Brush));
    }
}
