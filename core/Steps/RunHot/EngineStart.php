<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\RunHot;

use Aqbel\Core\InvalidField;
use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Neck;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Saying\Obstacle;
use Aqbel\Core\Steps\Cool\HotNeck;
use Aqbel\Core\Values;

/** Where the engine runs and how the neck stands then, asked the same way wherever it is started. */
final class EngineStart
{
    public const FORM = 'start';

    /** An engine is never run in a closed room, whatever the reason. */
    private const CLOSED = 'closed';

    private const PLACES = [
        'outdoors' => 'Outdoors', 'extraction' => 'On exhaust extraction', self::CLOSED => 'In the closed shop',
    ];

    /** @param  ?Field  $besides  what is asked with it */
    public static function form(string $button, Neck $likely, bool $main = true, ?Field $besides = null): Form
    {
        return new Form(self::FORM, $button, [
            Field::choice('place', 'It runs', self::PLACES, 'extraction'),
            Field::choice('neck', 'Neck', Neck::choices(), $likely->value),
            $besides,
        ], $main);
    }

    /** @throws InvalidField in a closed room, and where a hot neck that was sealed would have to be opened for it */
    public static function admit(Situation $at, string $form, Values $values): void
    {
        if ($form === self::FORM && $values->text('neck') !== Neck::Sealed->value && HotNeck::mayBeUnderPressure($at)) {
            throw new InvalidField('neck', 'The neck was sealed when the engine last ran, and nobody has read it '
                .'cold since. It stays shut: run it sealed, or let it cool and read it first.');
        }
        if ($form === self::FORM && $values->text('place') === self::CLOSED) {
            throw new InvalidField(
                'place',
                'Never in a closed shop: exhaust kills before it is smelt. Push it outdoors or connect the '
                    .'extraction, then start.',
            );
        }
    }

    /** What is missing before there is anything to judge; null once there is a reading. */
    public static function missing(Situation $at): ?Obstacle
    {
        return match (true) {
            ! $at->has(self::FORM) => Obstacle::missing('not_started', 'Say where it runs and how the neck stands.'),
            ! $at->has('reading') && ! $at->has(ByHand::FORM) => Obstacle::missing('no_reading', 'Record at least one reading.'),
            default => null,
        };
    }

    /** Never left, whatever the reason. */
    public static function stillRuns(): Obstacle
    {
        return Obstacle::never('running', 'The engine is still running. Shut it off first.');
    }

    /** How the neck stood; null before the start. */
    public static function neck(?Entry $start): ?Neck
    {
        return $start === null ? null : Neck::tryFrom($start->text('neck'));
    }
}
