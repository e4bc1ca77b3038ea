<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Audit\Change;
use App\Audit\Subject;
use App\Audit\Trail;
use App\Journal\OneWriter;
use App\Models\Right;
use App\Models\Shop;
use App\Shop\LabourSheet;
use Aqbel\Core\Plan\Format\RulesCodec;
use Aqbel\Core\Plan\Labour;
use Aqbel\Core\Plan\Minutes;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\View\View;

/** How long each activity takes in this shop: what plans add up, and quotes rest on. */
final class LabourController extends Controller
{
    public function index(Request $request): View
    {
        return view('shop.labour', [
            'groups' => LabourSheet::groups(),
            'labour' => Shop::here()->houseRules()->labour,
            'mayChange' => self::person($request)->may(Right::ChangeShop),
        ]);
    }

    public function update(Request $request): RedirectResponse
    {
        self::only($request, Right::ChangeShop);
        $typed = (array) $request->input('labour');
        OneWriter::run(function () use ($request, $typed): void {
            $shop = Shop::query()->firstOrFail();
            $before = $shop->houseRules();
            $own = LabourSheet::read($typed, $before->labour);
            $shop->update([
                'rules' => [
                    ...RulesCodec::write($before),
                    'labour' => array_map(fn (Minutes $m) => ['hands' => $m->hands, 'wait' => $m->wait], $own),
                ],
            ]);
            Trail::note(
                self::person($request),
                Subject::Rule,
                $shop->name,
                self::changes($before->labour, new Labour($own)),
            );
        });

        return redirect('/shop/labour')->with('notice', 'Kept. Jobs planned from now on are reckoned by '
            .'these minutes.');
    }

    /** @return list<Change> */
    private static function changes(Labour $before, Labour $after): array
    {
        $say = fn (Minutes $m): string => "{$m->hands} + {$m->wait} min";

        return array_map(fn (string $activity) => new Change(
            LabourSheet::label($activity),
            $say($before->of($activity)),
            $say($after->of($activity)),
        ), Labour::activities());
    }
}
