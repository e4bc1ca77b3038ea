<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Right;
use App\Shop\ClockFile;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** Takes the machine's time over after it has jumped. */
final class ClockController extends Controller
{
    public function __invoke(Request $request, ClockFile $clock): RedirectResponse
    {
        self::only($request, Right::SetClock);
        $clock->takeOver();

        return back()->with('notice', 'Times go by this machine’s clock again.');
    }
}
