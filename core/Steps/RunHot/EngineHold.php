<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\RunHot;

use Aqbel\Core\Job\Situation;
use Aqbel\Core\Saying\Clock;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\Form;

/** An engine held at one speed for a while, and what that is for. The times are common practice, no source. */
final class EngineHold
{
    public const FORM = 'hold';

    /** @var array<string, array{string, float}> what is held and why, and for how many minutes */
    private const HOLDS = [
        'idle' => ['Idle: air rises', 5.0],
        'revs' => ['2,000–3,000 rpm: drives air out', 2.5],
        'heater' => ['3,000 rpm: a stubborn heater', 5.0],
        'fan' => ['On past the fan', 2.0],
    ];

    public static function form(): Form
    {
        $say = fn (array $hold): string => sprintf('%s, %s min', $hold[0], (string) $hold[1]);

        return new Form(self::FORM, 'Hold it there', [
            Field::choice('speed', 'Held at', array_map($say, self::HOLDS), 'idle'),
        ], false);
    }

    /** Of the hold that was begun last, until the engine is off; null where none is. */
    public static function clock(Situation $at): ?Clock
    {
        $last = $at->last(self::FORM);
        $hold = $last === null ? null : self::HOLDS[$last->text('speed')] ?? null;

        return $last === null || $hold === null || $at->has('shut_off')
            ? null
            : new Clock($hold[0], $last->at, $last->at + (int) round(60.0 * $hold[1]));
    }
}
