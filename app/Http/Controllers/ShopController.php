<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Audit\Subject;
use App\Audit\Trail;
use App\Journal\OneWriter;
use App\Models\Right;
use App\Models\Shop;
use App\Shop\Elevation;
use App\Shop\ShopPage;
use App\Shop\VesselRows;
use Aqbel\Core\InvalidField;
use Aqbel\Core\InvalidFields;
use Aqbel\Core\Plan\Format\RulesCodec;
use Aqbel\Core\Plan\Tool;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\ValidationException;
use Illuminate\View\View;

/** Where the shop stands and what it has at hand. */
final class ShopController extends Controller
{
    private const LONGEST_CURRENCY = 4;

    public function show(Request $request): View
    {
        return view(
            'shop.show',
            [
                'page' => new ShopPage(
                    Shop::here(),
                    self::person($request)->units,
                    self::person($request)->may(Right::ChangeShop),
                ),
            ],
        );
    }

    public function update(Request $request): RedirectResponse
    {
        self::only($request, Right::ChangeShop);
        $person = self::person($request);
        try {
            $in = ShopPage::form()->read(self::fields($request), $person->units)->values;
        } catch (InvalidFields $invalid) {
            throw self::refused($invalid->problems);
        }
        $after = [
            'name' => $in->text('name'),
            'elevation_m' => Elevation::of($in->number('elevation'), $in->number('barometer')),
            'lock_minutes' => (int) round(($in->number('lock') ?? 60.0 * Shop::here()->lock_minutes) / 60.0),
            'tools' => array_values(array_intersect(
                array_column(Tool::cases(), 'value'),
                array_filter((array) $request->input('tools'), is_string(...)),
            )),
        ];
        $currency = mb_substr(trim($in->text('currency')), 0, self::LONGEST_CURRENCY);
        OneWriter::run(function () use ($person, $after, $currency): void {
            $shop = Shop::query()->firstOrFail();
            $rules = RulesCodec::write($shop->houseRules());
            Trail::note($person, Subject::Shop, $shop->name, Trail::between(
                [
                    'name' => $shop->name,
                    'elevation_m' => $shop->elevation_m,
                    'lock_minutes' => $shop->lock_minutes,
                    'tools' => $shop->tools,
                    'currency' => $rules['currency'],
                ],
                [...$after, 'currency' => $currency],
            ));
            $shop->update([...$after, 'rules' => [...$rules, 'currency' => $currency]]);
        });

        return redirect('/shop')->with('notice', 'Kept.');
    }

    /** What coolant is measured in: every reading’s ± follows from the marks. */
    public function vessels(Request $request): RedirectResponse
    {
        self::only($request, Right::ChangeShop);
        $person = self::person($request);
        $rows = (array) $request->input('vessels');
        OneWriter::run(function () use ($person, $rows): void {
            $shop = Shop::query()->firstOrFail();
            $vessels = VesselRows::read($rows, $shop->houseRules()->vessels, $person->units);
            $before = RulesCodec::write($shop->houseRules());
            $after = RulesCodec::write(RulesCodec::read([...$before, 'vessels' => $vessels]));
            Trail::note(
                $person,
                Subject::Shop,
                $shop->name,
                Trail::between(['vessels' => $before['vessels']], ['vessels' => $after['vessels']]),
            );
            $shop->update(['rules' => $after]);
        });

        return redirect('/shop#vessels')->with('notice', 'Kept. Jobs planned from now on offer these vessels.');
    }

    /** @param  list<InvalidField>  $problems */
    private static function refused(array $problems): ValidationException
    {
        return ValidationException::withMessages(array_combine(
            array_map(fn (InvalidField $p) => $p->field, $problems),
            array_map(fn (InvalidField $p) => $p->getMessage(), $problems),
        ));
    }
}
