<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Audit\Change;
use App\Audit\Subject;
use App\Audit\Trail;
use App\Journal\OneWriter;
use App\Models\Person;
use App\Models\Right;
use App\Models\Shop;
use App\Models\Visit;
use App\Visits\Ics;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Str;

/**
 * Calendars that other programs ask for: each under a secret address, one
 * for the shop and one for each person, taken back by a press.
 */
final class CalendarController extends Controller
{
    private const LENGTH = 40;

    public function feed(string $secret): Response
    {
        $person = Person::query()->where('calendar', $secret)->whereNull('disabled_at')->first();
        abort_if($person === null && ! hash_equals((string) Shop::here()->calendar, $secret), 404);
        $visits = Visit::query()->due()->with(['job.vehicle', 'holder'])->orderBy('due_on')->orderBy('id');
        if ($person !== null) {
            $visits->where(fn ($mine) => $mine->where('held_by', $person->id)->orWhereNull('held_by'));
        }

        return Ics::response(Ics::of($visits->get()), 'aqbel.ics');
    }

    /** A new address of one's own; the earlier one shows nothing any more. */
    public function mine(Request $request): RedirectResponse
    {
        $person = self::person($request);
        OneWriter::run(
            fn () => $person->update(['calendar' => $request->boolean('end') ? null : Str::random(self::LENGTH)]),
        );

        return redirect('/password#calendar');
    }

    public function shops(Request $request): RedirectResponse
    {
        self::only($request, Right::ChangeShop);
        OneWriter::run(function () use ($request): void {
            $ends = $request->boolean('end');
            Shop::here()
                ->fill(['calendar' => $ends ? null : Str::random(self::LENGTH)])
                ->save();
            Trail::note(self::person($request), Subject::Calendar, 'of the shop', [
                new Change('address', '', $ends ? 'taken back' : 'made anew '.now()->format('Y-m-d H:i')),
            ]);
        });

        return redirect('/shop#calendar');
    }
}
