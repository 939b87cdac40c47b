<?php

declare(strict_types=1);

namespace AwakeShed\Tests\App\Intake;

use AwakeShed\App\Intake\IntakeInput;
use AwakeShed\App\Job\Machine;
use AwakeShed\Core\Evidence\ChokeKind;
use AwakeShed\Core\Evidence\Cycle;
use AwakeShed\Core\Evidence\Feed;
use AwakeShed\Core\Evidence\MachineFacts;
use AwakeShed\Core\Evidence\MachineKind;
use PHPUnit\Framework\TestCase;

final class IntakeInputTest extends TestCase
{
    /** A machine that comes again is filled in as it is known: nothing is lost, and nothing made up. */
    public function testAMachineGoesThroughTheFormAsItIs(): void
    {
        $known = new MachineFacts(MachineKind::Mower, Cycle::FourStroke, 163.5, 8.25, true, Feed::cases()[0], ChokeKind::cases()[0], 550, 1100, 533.4, 3100, cylinders: 1, electricStart: false, plate: ['maker' => 'Heronbill', 'model' => '21 push', 'type' => 'B2', 'serial' => 'HB-77', 'plug' => 'long', 'filter' => 'oval']);
        foreach ([$known, new MachineFacts(MachineKind::Generator)] as $facts) {
            $input = IntakeInput::fromMachine(new Machine('Green one', $facts, 'Cabin 4', 'by the door'));
            self::assertSame(['Green one', 'Cabin 4', 'by the door'], [$input->label, $input->ownerName, $input->ownerContact]);
            self::assertEquals($facts, $input->facts());
        }
    }
}
