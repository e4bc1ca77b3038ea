<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Audit\Change;
use App\Audit\Subject;
use App\Audit\Trail;
use App\Journal\OneWriter;
use App\Models\JobTemplate;
use App\Models\Right;
use App\Models\Shop;
use App\People\KnownSecret;
use App\Shop\HouseRule;
use App\Shop\RuleBook;
use Aqbel\Core\InvalidField;
use Aqbel\Core\Plan\Format\RulesCodec;
use Aqbel\Core\Plan\HouseRules;
use Aqbel\Core\Quantity\UnitSystem;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\ValidationException;
use Illuminate\View\View;

/** How this house works, for new jobs; a job under way keeps the rules it was planned by. */
final class RulesController extends Controller
{
    public function index(Request $request): View
    {
        return view('shop.rules', [
            'groups' => RuleBook::groups(),
            'here' => RulesCodec::write(Shop::here()->houseRules()),
            'usual' => RulesCodec::write(new HouseRules),
            'units' => self::person($request)->units,
            'mayChange' => self::person($request)->may(Right::ChangeShop),
            'rights' => array_filter(Right::cases(), fn (Right $right) => $right->canBeGranted()),
            'shop' => Shop::here(),
            'templates' => JobTemplate::query()->orderBy('name')->get(),
        ]);
    }

    public function update(Request $request): RedirectResponse
    {
        self::only($request, Right::ChangeShop);
        $person = self::person($request);
        $typed = self::fields($request);
        OneWriter::run(function () use ($person, $typed): void {
            $shop = Shop::query()->firstOrFail();
            $before = RulesCodec::write($shop->houseRules());
            $after = $before;
            foreach (self::read($typed, $before, $person->units) as [$path, $value]) {
                data_set($after, $path, $value);
            }
            // Through the reader and back, so that what is stored is what the plan will read.
            $after = RulesCodec::write(RulesCodec::read($after));
            $shop->update(['rules' => $after]);
            Trail::note($person, Subject::Rule, $shop->name, array_map(
                fn (HouseRule $rule) => new Change(
                    implode('.', $rule->path),
                    (string) $rule->stored($before),
                    (string) $rule->stored($after),
                ),
                RuleBook::all(),
            ));
        });

        return redirect('/shop/rules')->with('notice', 'Kept. Jobs planned from now on go by these rules.');
    }

    public function rights(Request $request): RedirectResponse
    {
        self::only($request, Right::ChangeShop);
        $request->validate(...KnownSecret::asked($request, self::person($request)));
        $asked = array_filter((array) $request->input('granted'), is_string(...));
        $granted = array_values(array_filter(
            array_column(array_filter(Right::cases(), fn (Right $right) => $right->canBeGranted()), 'value'),
            fn (string $right) => in_array($right, $asked, true),
        ));
        OneWriter::run(function () use ($request, $granted): void {
            $shop = Shop::query()->firstOrFail();
            Trail::note(
                self::person($request),
                Subject::Right,
                $shop->name,
                Trail::between(['granted' => $shop->granted ?? []], ['granted' => $granted]),
            );
            $shop->update(['granted' => $granted]);
        });

        return redirect('/shop/rules')->with('notice', 'Kept.');
    }

    /**
     * @param  array<mixed>  $fields  as typed
     * @param  array<mixed>  $before  rules as stored until now
     * @return list<array{list<string>, float|string|int|null}> path and value as stored
     *
     * @throws ValidationException with every field that cannot be used
     */
    private static function read(array $fields, array $before, UnitSystem $units): array
    {
        [$values, $problems] = [[], []];
        foreach (RuleBook::all() as $rule) {
            try {
                $values[] = [$rule->path, $rule->read($fields[$rule->field->name] ?? null, $before, $units)];
            } catch (InvalidField $problem) {
                $problems[$rule->field->name] = $problem->getMessage();
            }
        }

        return $problems === [] ? $values : throw ValidationException::withMessages($problems);
    }
}
