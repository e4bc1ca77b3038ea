<?php

declare(strict_types=1);

namespace Aqbel\Core\Job;

/** Where a job is in its life. What is signed or given up stands as it is. */
enum Life: string
{
    case InHand = 'in_hand';

    /** Not today: nobody works on it until then, and it is safe as it stands. */
    case Resting = 'resting';

    case Signed = 'signed';

    case GivenUp = 'given_up';

    public function isClosed(): bool
    {
        return $this === self::Signed || $this === self::GivenUp;
    }
}
