<?php

declare(strict_types=1);

namespace Aqbel\Core\Schools;

use Aqbel\Core\Circuit\Circuit;
use Aqbel\Core\Plan\Choices;
use Aqbel\Core\Plan\Misfit;
use Aqbel\Core\Plan\PlannedPour;
use Aqbel\Core\Plan\WarmUp;

/**
 * Filled until every vent has run, each shut as it runs; then warmed up again and again, with litres topped up each
 * time.
 */
final class LargeEngine extends Purged
{
    /** From so much on a circuit takes litres after its first warm-ups, mL (common practice, no source). */
    private const LARGE_ML = 25_000.0;

    /** Vents of both banks, or of engine and exchanger. */
    private const VENTS = 2;

    public function id(): string
    {
        return 'large_engine';
    }

    public function label(): string
    {
        return 'Large engine: vents, then warm-ups';
    }

    public function catch(): string
    {
        return 'Litres each time, and small top-ups for a week.';
    }

    public function whyNot(Circuit $circuit, Choices $choices): ?Misfit
    {
        return $circuit->capacityMl() >= self::LARGE_ML && count($choices->bleedsOf($circuit)) >= self::VENTS
            ? null
            : new Misfit(
                'not_large',
                'is for engines of 25 L and more with two vents',
                'This way is for large engines with a vent on each bank. Choose gravity or loose-cap heat cycles.',
            );
    }

    public function warmUp(): WarmUp
    {
        return WarmUp::LooseCap;
    }

    public function pours(Circuit $circuit, Choices $choices): array
    {
        return [PlannedPour::atTheNeck($circuit, $choices->bleedsOf($circuit), $choices->headMm, $choices->noseLiftMm)];
    }
}
