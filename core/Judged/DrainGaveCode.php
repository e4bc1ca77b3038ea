<?php

declare(strict_types=1);

namespace Aqbel\Core\Judged;

/** What a drain point gave, against what should have come. */
enum DrainGaveCode: string
{
    /** Nobody opened it. */
    case LeftShut = 'left_shut';

    /** The cap came off after it was read. */
    case RunsOn = 'runs_on';

    /** It ran with others that are not read yet. */
    case WithOthers = 'with_others';

    case Drained = 'drained';

    case Short = 'short';

    /** Nothing, where so little was predicted that it would not be short. */
    case NothingCame = 'nothing_came';
    case More = 'more_than_predicted';

    /** Their sum is right, and one gave more than stands above it, or less than only it lets out. */
    case MixedUp = 'mixed_up';
}
