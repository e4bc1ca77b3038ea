<?php

declare(strict_types=1);

namespace Aqbel\Core\Judged;

/** What a hot run has to show. */
enum ProofCode: string
{
    /** Heat on the far side of the thermostat. */
    case Thermostat = 'thermostat';

    /** The same where there is no thermostat: the far side is as warm as the coolant, so it goes round. */
    case Circulation = 'circulation';

    /** An outlet that really blows hot. */
    case Outlet = 'outlet';

    case Fan = 'fan';

    /** A minute without bubbles. */
    case Bubbles = 'bubbles';

    /** More of the run than a moment: nothing can be hot yet. */
    case RunOn = 'run_on';

    /** A second reading that says the same as one that rose too fast. */
    case Again = 'again';
}
