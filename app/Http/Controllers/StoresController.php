<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Audit\Change;
use App\Audit\Subject;
use App\Audit\Trail;
use App\Journal\OneWriter;
use App\Models\Container;
use App\Models\Product;
use App\Models\Right;
use App\Models\Shop;
use App\Stores\ContainerPage;
use App\Stores\StoresPage;
use Aqbel\Core\InvalidField;
use Aqbel\Core\InvalidFields;
use Aqbel\Core\Matter\Glycol;
use Aqbel\Core\Quantity\Rough;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\Filled;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Stores\Liquid;
use Aqbel\Core\Stores\Moved;
use Aqbel\Core\Values;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\View\View;

/** The shop's price list, changed by leads, and the part-used containers on its shelf, counted by everybody. */
final class StoresController extends Controller
{
    private const LONGEST_FAMILY = 80;

    private const LONGEST_REMARK = 120;

    public function index(Request $request): View
    {
        $person = self::person($request);

        return view(
            'stores',
            [
                'page' => new StoresPage(
                    $person->units,
                    Shop::here()->houseRules()->currency,
                    $person->may(Right::ChangePrices),
                ),
            ],
        );
    }

    public function storeProduct(Request $request): RedirectResponse
    {
        self::only($request, Right::ChangePrices);
        $in = $this->read($request, StoresPage::productForm());
        $product = ['ml' => self::volume($in), 'price' => $in->number('price')] + self::liquid($in);
        OneWriter::run(function () use ($request, $product): void {
            Product::query()->create($product);
            Trail::note(self::person($request), Subject::Price, $product['kind'], Trail::between([], $product));
        });

        return redirect('/stores')->with('notice', 'On the price list.');
    }

    public function removeProduct(Request $request, Product $product): RedirectResponse
    {
        self::only($request, Right::ChangePrices);
        OneWriter::run(function () use ($request, $product): void {
            Trail::note(self::person($request), Subject::Price, $product->kind, [
                new Change('product', "{$product->ml} mL, {$product->price}", ''),
            ]);
            $product->delete();
        });

        return redirect('/stores')->with('notice', 'Taken off the price list.');
    }

    public function storeContainer(Request $request): RedirectResponse
    {
        $in = $this->read($request, StoresPage::containerForm());
        [$full, $stands, $level] = [$in->number('full'), $in->number('stands'), $in->number('level')];
        $isDrum = $full !== null || $stands !== null || $level !== null;
        $ml = $in->number('ml') === null && $isDrum ? Container::atLevel($full, $stands, $level) : self::volume($in);
        if ($isDrum && $ml > Container::atLevel($full, $stands, $stands)) {
            throw new InvalidField('ml', 'That is more than this drum holds when full. Correct one of the two.');
        }
        OneWriter::run(function () use ($in, $ml, $full, $stands, $request): void {
            $liquid = self::liquid($in);
            $container = Container::query()->create(
                [
                    'base' => $liquid['base'] ?? Glycol::Ethylene->value,
                    'full_ml' => $full,
                    'full_mm' => $stands,
                ] + $liquid,
            );
            self::move($request, $container, [
                'ml' => $ml,
                'note' => Moved::Shelved,
                'plus_minus_ml' => $container->readWithinMl(),
            ]);
        });

        return redirect('/stores')->with('notice', 'On the shelf.');
    }

    /** What is really in it, counted; zero takes it off the shelf. */
    public function count(Request $request, Container $container): RedirectResponse
    {
        $isDrum = $container->levelMm() !== null;
        $asked = $isDrum ? StoresPage::level() : Field::volume('now', 'Holds now', StoresPage::MOST_ML);
        $read = (float) $this->read($request, new Form('count', '', [$asked]))->number($asked->name);
        $counted = $isDrum ? Container::atLevel($container->full_ml, $container->full_mm, $read) : $read;
        OneWriter::run(
            fn () => self::move($request, $container, [
                'ml' => 0.0,
                'counted_ml' => $counted,
                'note' => Moved::Counted,
                'plus_minus_ml' => $container->readWithinMl(),
            ]),
        );

        return back(fallback: '/stores')->with('notice', 'Counted.');
    }

    /** Every litre that went into a container, or out of it. */
    public function container(Request $request, Container $container): View
    {
        return view('stores.container', ['page' => new ContainerPage($container, self::person($request)->units)]);
    }

    /** Given along, spilled, or into the waste drum: what leaves the shelf without a job. */
    public function out(Request $request, Container $container): RedirectResponse
    {
        $in = $this->filled($request, ContainerPage::outForm());
        $why = Moved::from($in->values->text('why'));
        OneWriter::run(function () use ($request, $container, $in, $why): void {
            [$ml, $stock] = [(float) $in->values->number('ml'), $container->stock()];
            if ($ml > $stock->ml + $stock->plusMinusMl + Container::DREGS_ML) {
                throw new InvalidField(
                    'ml',
                    'More than it holds by the sums. Enter what it was, or count what is in it now.',
                );
            }
            self::move($request, $container, [
                'ml' => -$ml,
                'note' => $why,
                'remark' => mb_substr(trim($in->values->text('remark')), 0, self::LONGEST_REMARK),
                'plus_minus_ml' => Rough::plusMinusMl($in->typed['ml'] ?? '', $ml) ?? $why->plusMinusMl($ml),
            ]);
        });

        return redirect("/stores/containers/{$container->id}")->with('notice', $why->label().': written down.');
    }

    private static function volume(Values $in): float
    {
        $ml = (float) $in->number('ml');

        return $ml >= Container::DREGS_ML ? $ml : throw new InvalidField('ml', 'Enter how much the container holds.');
    }

    /** @return array{kind: string, base: ?string, inhibitor: string, fraction: float} */
    private static function liquid(Values $in): array
    {
        $liquid = Liquid::from($in->text('kind'));
        $family = trim($in->text('inhibitor'));
        if ($liquid === Liquid::Water) {
            return ['kind' => $liquid->value, 'base' => null, 'inhibitor' => '', 'fraction' => 0.0];
        }
        if ($family === '') {
            throw new InvalidField(
                'inhibitor',
                'Enter the inhibitor family as the label and the manuals name it. Colour proves nothing.',
            );
        }
        $fraction = $liquid === Liquid::Concentrate ? 1.0 : (float) $in->number('fraction');

        return [
            'kind' => $liquid->value,
            'base' => $in->text('base'),
            'inhibitor' => mb_substr($family, 0, self::LONGEST_FAMILY),
            'fraction' => $fraction,
        ];
    }

    private function read(Request $request, Form $form): Values
    {
        return $this->filled($request, $form)->values;
    }

    private function filled(Request $request, Form $form): Filled
    {
        try {
            return $form->read(self::fields($request), self::person($request)->units);
        } catch (InvalidFields $invalid) {
            throw $invalid->problems[0];
        }
    }

    /** @param  array<string, mixed>  $moved */
    private static function move(Request $request, Container $container, array $moved): void
    {
        $container->movements()->create(['person_id' => self::person($request)->id] + $moved);
        Container::weigh($container->id);
    }
}
