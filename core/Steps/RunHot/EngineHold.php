<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\RunHot;

use Aqbel\Core\Job\Situation;
use Aqbel\Core\Saying\Clock;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\Form;

/**
 * What is done while the engine runs, and what it is for: a speed held, the throttle blipped, hoses squeezed, the
 * blower set. The times are common practice, no source.
 */
final class EngineHold
{
    public const FORM = 'hold';

    public const BLOWER_HIGH = 'blower_high';

    /** @var array<string, array{string, float}> what is done and why, and for how many minutes */
    private const HOLDS = [
        'idle' => ['Idle: air rises', 5.0],
        'revs' => ['2,000–3,000 rpm: drives air out', 2.5],
        'heater' => ['3,000 rpm: a stubborn heater', 5.0],
        'fan' => ['On past the fan', 2.0],
        'blip' => ['Throttle blips: then watch for bubbles', 1.0],
        'squeeze' => ['Hoses squeezed with gloves: moves a bubble', 0.0],
        'blower_off' => ['Blower off: it warms faster', 0.0],
        'blower_low' => ['Blower low: heat stays in the core', 0.0],
        self::BLOWER_HIGH => ['Blower high: the heater shows what it has', 2.0],
    ];

    public static function form(): Form
    {
        $say = fn (array $hold): string => $hold[1] > 0.0 ? sprintf('%s, %s min', $hold[0], (string) $hold[1]) : $hold[0];

        return new Form(self::FORM, 'Hold, blip, squeeze or blower', [
            Field::choice('speed', 'What', array_map($say, self::HOLDS), 'idle'),
        ], false);
    }

    /** Of the hold that was begun last, until the engine is off; null where none is. */
    public static function clock(Situation $at): ?Clock
    {
        $last = $at->last(self::FORM);
        $hold = $last === null ? null : self::HOLDS[$last->text('speed')] ?? null;

        return $last === null || $hold === null || $hold[1] <= 0.0 || $at->has('shut_off')
            ? null
            : new Clock($hold[0], $last->at, $last->at + (int) round(60.0 * $hold[1]));
    }
}
