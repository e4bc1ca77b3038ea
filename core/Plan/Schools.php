<?php

declare(strict_types=1);

namespace Aqbel\Core\Plan;

use Aqbel\Core\Circuit\Circuit;

/** The schools there are. */
interface Schools
{
    /** @return list<School> for a circuit, those that can be run first */
    public function for(Circuit $circuit): array;

    /** The school a plan was made for; one this version does not know stands as it was stored. */
    public function of(string $id): School;
}
