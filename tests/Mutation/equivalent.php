<?php

declare(strict_types=1);

// Mutants that change nothing anybody could notice, each with its reason: what the constant only words or bounds.
return [
    'core/Vacuum/HoldFit.php: TABLE_HALF = 3.0 → TABLE_HALF = 3.3000000000000003' => 'beyond 2.7 divisions every chance is the stray one',
    'core/Vacuum/HoldFit.php: TABLE_HALF = 3.0 → TABLE_HALF = 2.7' => 'beyond 2.7 divisions every chance is the stray one',
    'core/Heat/CoolDown.php: NEAR_ENOUGH = 0.01 → NEAR_ENOUGH = 0.011000000000000001' => 'Newton’s method has gone far past either when it stops',
    'core/Heat/CoolDown.php: NEAR_ENOUGH = 0.01 → NEAR_ENOUGH = 0.009000000000000001' => 'Newton’s method has gone far past either when it stops',
    'core/Heat/CoolDown.php: UNHEARD_OF = 1.0e-9 → UNHEARD_OF = 1.1000000000000001E-9' => 'either weighs nothing',
    'core/Heat/CoolDown.php: UNHEARD_OF = 1.0e-9 → UNHEARD_OF = 9.000000000000001E-10' => 'either weighs nothing',
    'core/Steps/Vacuum/PressureTest.php: COLD_C = 20.0 → COLD_C = 22.0' => 'only a change of temperature counts, and there is none',
    'core/Steps/Vacuum/PressureTest.php: COLD_C = 20.0 → COLD_C = 18.0' => 'only a change of temperature counts, and there is none',
];
