<?php

declare(strict_types=1);

namespace Aqbel\Core\Judged;

/** What stayed inside, against what should. */
enum RetainedCode: string
{
    /** The content found is not known. */
    case NoContent = 'no_content';

    /** A point gave less than it should, about what stands in a part. */
    case DidNotDrain = 'did_not_drain';

    case MoreInside = 'more_inside';
    case LessInside = 'less_inside';

    /** Every point was left shut, and nothing came out another way. */
    case NothingOut = 'nothing_out';

    /** More out than was in, as far as a line was read that was told roughly. */
    case TooRough = 'too_rough';

    case AsPredicted = 'as_predicted';
}
