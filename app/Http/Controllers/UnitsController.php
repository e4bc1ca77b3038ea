<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use Aqbel\Core\Quantity\UnitSystem;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** Which units this person reads. */
final class UnitsController extends Controller
{
    public function __invoke(Request $request): RedirectResponse
    {
        $person = self::person($request);
        $person->units = $person->units === UnitSystem::Metric ? UnitSystem::UsCustomary : UnitSystem::Metric;
        $person->save();

        return back();
    }
}
