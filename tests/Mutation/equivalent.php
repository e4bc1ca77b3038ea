<?php

declare(strict_types=1);

// Mutants that change nothing anybody could notice, each with its reason: what the constant only words or bounds.
return [
    'core/Vacuum/HoldFit.php: TABLE_HALF = 3.0 → TABLE_HALF = 3.3000000000000003' => 'beyond 2.7 divisions every '
        .'chance is the stray one',
    'core/Vacuum/HoldFit.php: TABLE_HALF = 3.0 → TABLE_HALF = 2.7' => 'beyond 2.7 divisions every chance is the stray one',
    'core/Heat/CoolDown.php: NEAR_ENOUGH = 0.01 → NEAR_ENOUGH = 0.011000000000000001' => 'Newton’s method has gone '
        .'far past either when it stops',
    'core/Heat/CoolDown.php: NEAR_ENOUGH = 0.01 → NEAR_ENOUGH = 0.009000000000000001' => 'Newton’s method has gone '
        .'far past either when it stops',
    'core/Heat/CoolDown.php: UNHEARD_OF = 1.0e-9 → UNHEARD_OF = 1.1000000000000001E-9' => 'either weighs nothing',
    'core/Heat/CoolDown.php: UNHEARD_OF = 1.0e-9 → UNHEARD_OF = 9.000000000000001E-10' => 'either weighs nothing',
    'core/Judged/PressureHeld.php: COLD_C = 20.0 → COLD_C = 22.0' => 'only a change of temperature counts, '
        .'and there is none',
    'core/Judged/PressureHeld.php: COLD_C = 20.0 → COLD_C = 18.0' => 'only a change of temperature counts, '
        .'and there is none',
    'core/Judged/PressureHeld.php: MINUTE_S = 60.0 → MINUTE_S = 66.0' => 'a reading after a minute is told to some '
        .'seconds, and no verdict turns on them',
    'core/Judged/PressureHeld.php: MINUTE_S = 60.0 → MINUTE_S = 54.0' => 'a reading after a minute is told to some '
        .'seconds, and no verdict turns on them',
    'core/Judged/RinseNeeded.php: LEAST_TARGET = 1.0e-6 → LEAST_TARGET = 1.1E-6' => 'either is nothing that anybody '
        .'could measure',
    'core/Judged/RinseNeeded.php: LEAST_TARGET = 1.0e-6 → LEAST_TARGET = 9.0E-7' => 'either is nothing that anybody '
        .'could measure',
    'core/Judged/RinseNeeded.php: DIRT_ASKS_FOR_LESS = 0.999 → DIRT_ASKS_FOR_LESS = 0.8991' => 'one rinse leaves '
        .'far less than either asks for',
    'core/Flow/Flood.php: FLAT = 1.0e-9 → FLAT = 1.1000000000000001E-9' => 'either is rounding, and no height is '
        .'told so well',
    'core/Flow/Flood.php: FLAT = 1.0e-9 → FLAT = 9.000000000000001E-10' => 'either is rounding, and no height is '
        .'told so well',
    'core/Flow/Drainage.php: SLACK_MM = 0.5 → SLACK_MM = 0.55' => 'a cell is five millimetres high',
    'core/Flow/Drainage.php: SLACK_MM = 0.5 → SLACK_MM = 0.45' => 'a cell is five millimetres high',
    'core/Flow/Mesh.php: CELL_MM = 5.0 → CELL_MM = 5.5' => 'cells of either size agree within one of them, '
        .'which is tried',
    'core/Flow/Mesh.php: CELL_MM = 5.0 → CELL_MM = 4.5' => 'cells of either size agree within one of them, '
        .'which is tried',
    'core/Flow/Mesh.php: LEVEL_MM = 2.0 → LEVEL_MM = 2.2' => 'what hangs on two millimetres is said as a tie, '
        .'and no verdict turns on it',
    'core/Flow/Mesh.php: LEVEL_MM = 2.0 → LEVEL_MM = 1.8' => 'what hangs on two millimetres is said as a tie, '
        .'and no verdict turns on it',
    'core/Flow/Ties.php: COARSENESS = 2.0 → COARSENESS = 2.2' => 'only how fast ties are found',
    'core/Flow/Ties.php: COARSENESS = 2.0 → COARSENESS = 1.8' => 'only how fast ties are found',
    'core/Plan/CheapestFill.php: SEARCH_COARSENESS = 2.0 → SEARCH_COARSENESS = 2.2' => 'only how fast candidates '
        .'are found: the standard mesh decides',
    'core/Plan/CheapestFill.php: SEARCH_COARSENESS = 2.0 → SEARCH_COARSENESS = 1.8' => 'only how fast candidates '
        .'are found: the standard mesh decides',
    'core/Plan/CheapestFill.php: SEARCH_SLACK = 0.01 → SEARCH_SLACK = 0.011000000000000001' => 'only how fast candidates are found: the standard mesh decides',
    'core/Plan/CheapestFill.php: SEARCH_SLACK = 0.01 → SEARCH_SLACK = 0.009000000000000001' => 'only how fast candidates are found: the standard mesh decides',
    'core/Job/JobState.php: WHOLE = 99 → WHOLE = 109' => 'any number past the last stage',
    'core/Job/JobState.php: WHOLE = 99 → WHOLE = 89' => 'any number past the last stage',
    'core/Plan/DrainWorth.php: COARSENESS = 2.0 → COARSENESS = 2.2' => 'only how fast the order is found: the prediction counts on the standard cells',
    'core/Plan/DrainWorth.php: COARSENESS = 2.0 → COARSENESS = 1.8' => 'only how fast the order is found: the prediction counts on the standard cells',
    'core/Plan/Ranges.php: CELLS = 600 → CELLS = 660' => 'only how fine the mesh of a draw is, whose own error is taken off',
    'core/Plan/Ranges.php: CELLS = 600 → CELLS = 540' => 'only how fine the mesh of a draw is, whose own error is taken off',
    'core/Plan/Ranges.php: COARSEST = 5.0 → COARSEST = 5.5' => 'only how fine the mesh of a draw is, whose own error is taken off',
    'core/Plan/Ranges.php: COARSEST = 5.0 → COARSEST = 4.5' => 'only how fine the mesh of a draw is, whose own error is taken off',
    'core/Plan/Settling.php: TRIED = 5 → TRIED = 6' => 'only how many measurements are looked at closer; the best is among the first two or three',
    'core/Plan/Settling.php: TRIED = 5 → TRIED = 4' => 'only how many measurements are looked at closer; the best is among the first two or three',
    'core/Plan/Settling.php: DRAWS = 80 → DRAWS = 88' => 'only how finely chance is sampled',
    'core/Plan/Settling.php: DRAWS = 80 → DRAWS = 72' => 'only how finely chance is sampled',
    'core/Plan/Settling.php: STRETCHES = 10 → STRETCHES = 11' => 'only how finely chance is sampled',
    'core/Plan/Settling.php: STRETCHES = 10 → STRETCHES = 9' => 'only how finely chance is sampled',
    'core/Plan/Comparison.php: refuse if $rows === [] || $whole === [] → refuse if false' => 'a way that leaves jackets dry is listed where no other fits: there is always one',
];
