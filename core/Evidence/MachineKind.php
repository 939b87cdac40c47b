<?php

declare(strict_types=1);

namespace AwakeShed\Core\Evidence;

/** The vocabulary's machine kinds. */
enum MachineKind: string
{
    case Mower = 'mower';
    case RideOnMower = 'ride_on_mower';
    case Snowblower = 'snowblower';
    case Generator = 'generator';
    case InverterGenerator = 'inverter_generator';
    case PressureWasher = 'pressure_washer';
    case TwoStrokeHandTool = 'two_stroke_hand_tool';

    /** What such a machine runs on when nobody has said. */
    public function usualCycle(): Cycle
    {
        return self::TwoStrokeHandTool === $this ? Cycle::TwoStroke : Cycle::FourStroke;
    }
}
