<?php

declare(strict_types=1);

namespace Aqbel\Core\Schools;

use Aqbel\Core\Circuit\Circuit;
use Aqbel\Core\Circuit\Port;
use Aqbel\Core\Circuit\PortKind;
use Aqbel\Core\Job\Stage;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Plan\Choices;
use Aqbel\Core\Plan\Groundwork;
use Aqbel\Core\Plan\Misfit;
use Aqbel\Core\Plan\PlannedPour;
use Aqbel\Core\Plan\PredictedFill;
use Aqbel\Core\Plan\WarmUp;
use Aqbel\Core\Values;

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
                'is for engines of 25 L (26 qt) and more with two vents',
                'This way is for large engines with a vent on each bank. Choose gravity or loose-cap heat cycles.',
            );
    }

    public function warmUp(): WarmUp
    {
        return WarmUp::LooseCap;
    }

    public function pours(Circuit $circuit, Choices $choices): array
    {
        $vents = $choices->bleedsOf($circuit);
        $neck = self::engineNeck($circuit);
        $open = [...$vents, $circuit->fillPort()->id];
        $engine = $neck === null ? null : new PlannedPour($neck->id, $open, noseLiftMm: $choices->noseLiftMm);
        $tank = PlannedPour::atTheNeck($circuit, $vents, $choices->headMm, $choices->noseLiftMm, $engine);

        return array_values(array_filter([$engine, $tank]));
    }

    /** Where engine and exchanger have a neck of their own they are filled there, shut, and then the day tank. */
    public function steps(Groundwork $on, PredictedFill $fill): array
    {
        $steps = parent::steps($on, $fill);
        $engine = self::engineNeck($on->circuit);
        if ($engine !== null) {
            $opens = array_search('open_bleeds', array_map(fn (Step $step) => $step->kind, $steps), true);
            $about = new Values(['port' => $engine->id, 'capped' => true]);
            array_splice($steps, $opens === false ? 0 : (int) $opens + 1, 0, [
                new Step("fill_through:{$engine->id}", 'fill_through', Stage::Fill, $about),
            ]);
        }

        return $steps;
    }

    private static function engineNeck(Circuit $circuit): ?Port
    {
        return $circuit->portsOf(PortKind::Fill)[1] ?? null;
    }
}
