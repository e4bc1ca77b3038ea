<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Floor\FloorPage;
use App\Visits\DueVisits;
use Illuminate\Http\Request;
use Illuminate\View\View;

/** All open jobs by when hands are needed next. */
final class FloorController extends Controller
{
    public function __invoke(Request $request): View
    {
        $person = self::person($request);

        return view('floor', ['page' => FloorPage::read($person->units), 'due' => DueVisits::now($person)]);
    }
}
