<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Audit\Change;
use App\Audit\Subject;
use App\Audit\Trail;
use App\Journal\OneWriter;
use App\Models\Right;
use App\Models\Tablet;
use Aqbel\Core\InvalidField;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** Tablets that several people share: admitted by a lead who holds the tablet in hand, and ended from anywhere. */
final class TabletController extends Controller
{
    private const LONGEST_NAME = 60;

    public function store(Request $request): RedirectResponse
    {
        self::only($request, Right::ManagePeople);
        $name = trim(self::text($request, 'tablet'));
        if ($name === '' || mb_strlen($name) > self::LONGEST_NAME) {
            throw new InvalidField('tablet', 'Enter what the shop calls it, such as “lift 2”, at most 60 letters.');
        }
        [, $token] = OneWriter::run(function () use ($request, $name): array {
            Trail::note(self::person($request), Subject::Shop, $name, [new Change('tablet', '', 'admitted')]);

            return Tablet::admit($name);
        });

        return redirect('/shop/connect')->with(
            'notice',
            "This is “{$name}” now. People with a PIN sign in on it by that.",
        )
            ->withCookie(cookie(Tablet::COOKIE, $token, Tablet::COOKIE_MINUTES));
    }

    public function end(Request $request, Tablet $tablet): RedirectResponse
    {
        self::only($request, Right::ManagePeople);
        OneWriter::run(function () use ($request, $tablet): void {
            $tablet->update(['ended_at' => now()]);
            Trail::note(self::person($request), Subject::Shop, $tablet->name, [new Change('tablet', 'admitted', '')]);
        });

        return redirect('/shop/connect')->with('notice', "No PIN opens “{$tablet->name}” any more.");
    }
}
