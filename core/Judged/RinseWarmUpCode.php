<?php

declare(strict_types=1);

namespace Aqbel\Core\Judged;

/** What the warm-up of a rinse has come to, where no danger has the word. */
enum RinseWarmUpCode: string
{
    /** All of it goes round. */
    case Mixed = 'mixed';

    /** It runs, and the far side is still cold. */
    case NotMixedYet = 'not_mixed_yet';

    /** It was shut off, and the far side stayed cold. */
    case NotMixed = 'not_mixed';
}
