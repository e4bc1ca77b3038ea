<?php

declare(strict_types=1);

// Mutants that change nothing anybody could notice, each with its reason: what the constant only words or bounds.
return [
];
