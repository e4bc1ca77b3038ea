<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Audit\Change;
use App\Audit\Subject;
use App\Audit\Trail;
use App\Journal\OneWriter;
use App\Models\Right;
use App\Models\Shop;
use App\Record\HowWell;
use App\Record\ShopRates;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** What goes otherwise in this shop than is usual, taken over into its rules by a press, or given back. */
final class RatesController extends Controller
{
    public function take(Request $request): RedirectResponse
    {
        self::only($request, Right::ChangeShop);
        [$code, $asUsual] = [self::text($request, 'rate'), $request->boolean('usual')];
        OneWriter::run(function () use ($request, $code, $asUsual): void {
            $shop = Shop::query()->firstOrFail();
            $before = ShopRates::of(HowWell::jobs(), $shop->houseRules());
            $uses = fn (ShopRates $rates): string => collect($rates->rows())->firstWhere('code', $code)->uses ?? '';
            $shop->update(['rules' => $before->taken($code, $asUsual)]);
            $after = ShopRates::of(HowWell::jobs(), $shop->houseRules());
            Trail::note(self::person($request), Subject::Rule, $shop->name, [
                new Change($before->label($code), $uses($before), $uses($after)),
            ]);
        });

        return redirect('/records/predictions')->with('notice', $asUsual
            ? 'As usual again. Jobs planned from now on are reckoned so.'
            : 'Taken over. Jobs planned from now on are reckoned so.');
    }
}
