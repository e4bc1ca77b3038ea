<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Circuit;
use Illuminate\Http\Request;
use Illuminate\View\View;

/** The library of circuits. */
final class CircuitController
{
    public function index(): View
    {
        return view('circuits.index', ['circuits' => Circuit::query()->orderBy('name')->get()]);
    }

    public function show(Request $request, Circuit $circuit): View
    {
        return view('circuits.show', ['model' => $circuit, 'circuit' => $circuit->read(), 'units' => $request->user()->units]);
    }
}
