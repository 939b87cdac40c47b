<?php

declare(strict_types=1);

namespace AwakeShed\Core\Oil;

/** How a crankcase's contents are to be handled, whatever a flash-point tester would show. */
enum Flammability: string
{
    /** Flashes above 200 °F: combustible, not flammable (NFPA 30 class IIIB, published; from memory). */
    case AsOil = 'as_oil';

    /** Gasoline flashes at about −40 °C: flammable (NFPA 30 class IB, published; from memory), and any oil with it is handled so. */
    case AsGasoline = 'as_gasoline';
}
