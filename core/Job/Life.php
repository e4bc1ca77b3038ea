<?php

declare(strict_types=1);

namespace Aqbel\Core\Job;

/**
 * Where a job is in its life. What is signed or given up stands as
 * it is; what is seen in the days after stands beneath it.
 */
enum Life: string
{
    case InHand = 'in_hand';

    /** Not today: nobody works on it until then, and it is safe as it stands. */
    case Resting = 'resting';

    case Signed = 'signed';

    /** Signed, and looked at since. */
    case Followed = 'followed';

    /** The days after have shown that nothing more comes. */
    case Closed = 'closed';

    case GivenUp = 'given_up';

    /** Whether its record stands as it is. */
    public function stands(): bool
    {
        return $this !== self::InHand && $this !== self::Resting;
    }

    public function label(): string
    {
        return match ($this) {
            self::InHand => 'in hand',
            self::Resting => 'resting',
            self::Signed => 'signed',
            self::Followed => 'followed',
            self::Closed => 'closed',
            self::GivenUp => 'given up',
        };
    }
}
