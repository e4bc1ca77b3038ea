<?php

declare(strict_types=1);

namespace Aqbel\Core\Observed;

use Aqbel\Core\Job\Entry;
use Aqbel\Core\Saying\Field;

/** What is told of a running engine with a reading and without: bubbles, fan as it was heard, and anything wrong. */
final readonly class WhileItRuns
{
    private const FAN = 'fan';

    private const BUBBLES = 'bubbles';

    private const SIGN = 'sign';

    private const HEARD = ['none' => 0, 'once' => 1, 'twice' => 2];

    /** @param  int  $fanHeard  times the fan was heard to come on and go off in this run */
    private function __construct(public int $fanHeard, public ?Bubbles $bubbles, public Sign $sign)
    {
    }

    public static function of(Entry $line): self
    {
        return new self(
            self::HEARD[$line->text(self::FAN)] ?? 0,
            Bubbles::tryFrom($line->text(self::BUBBLES)),
            Sign::tryFrom($line->text(self::SIGN)) ?? Sign::None,
        );
    }

    /**
     * @param  bool  $fan  whether a fan can be heard here
     * @param  bool  $capped  whether the neck is covered, so that no bubble is seen
     * @return list<?Field>
     */
    public static function fields(bool $fan, bool $capped): array
    {
        return [
            $fan
                ? Field::choice(self::FAN, 'Fan', ['none' => 'Not yet', 'once' => 'Once', 'twice' => 'Twice'], 'none')
                    ->optional()
                    ->inSight()
                : null,
            Field::choice(
                self::BUBBLES,
                'Bubbles',
                Bubbles::choices(),
                ($capped ? Bubbles::Hidden : Bubbles::Some)->value,
            ),
            self::signField(),
        ];
    }

    public static function signField(): Field
    {
        return Field::choice(self::SIGN, 'Anything wrong', Sign::choices(), Sign::None->value);
    }
}
