<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Container;
use App\Models\ContainerMovement;
use App\Models\Product;
use App\Models\Shop;
use Aqbel\Core\InvalidField;
use Aqbel\Core\InvalidFields;
use Aqbel\Core\Matter\Glycol;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Stores\Offer;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Illuminate\View\View;

/** The shop's price list, changed by leads, and the part-used containers on its shelf, counted by everybody. */
final class StoresController
{
    private const MOST_ML = 1_500_000.0;

    public function index(Request $request): View
    {
        return view('stores', [
            'products' => Product::query()->orderByRaw("kind = 'water'")->orderBy('inhibitor')->orderBy('kind')->orderBy('ml')->get(), 'containers' => Container::query()->onShelf()->with('job.vehicle')->orderBy('id')->get(),
            'product' => self::productForm(), 'container' => self::containerForm(), 'units' => $request->user()->units, 'currency' => Shop::here()->houseRules()->currency, 'lead' => $request->user()->role === 'lead',
        ]);
    }

    public function storeProduct(Request $request): RedirectResponse
    {
        $this->leadOnly($request);
        $in = $this->read($request, self::productForm());
        Product::query()->create(self::liquid($in) + ['price' => $in['price']]);

        return redirect('/stores')->with('notice', 'On the price list.');
    }

    public function removeProduct(Request $request, Product $product): RedirectResponse
    {
        $this->leadOnly($request);
        $product->delete();

        return redirect('/stores')->with('notice', 'Taken off the price list.');
    }

    public function storeContainer(Request $request): RedirectResponse
    {
        $in = $this->read($request, self::containerForm());
        DB::transaction(function () use ($in, $request): void {
            $container = Container::query()->create(['base' => Glycol::Ethylene->value, ...array_filter(array_diff_key(self::liquid($in), ['ml' => 0]), fn (mixed $v) => $v !== null)]);
            $this->move($request, $container, $in['ml'], 'put on the shelf');
        });

        return redirect('/stores')->with('notice', 'On the shelf.');
    }

    /** What is really in it, counted; zero takes it off the shelf. */
    public function count(Request $request, Container $container): RedirectResponse
    {
        $counted = $this->read($request, new Form('count', '', [Field::volume('now', 'Holds now', self::MOST_ML)]))['now'];
        DB::transaction(fn () => $this->move($request, $container, $counted - (float) $container->movements()->sum('ml'), 'counted'));

        return redirect('/stores')->with('notice', 'Counted.');
    }

    private static function productForm(): Form
    {
        return new Form('product', 'Put on the price list', [...self::liquidFields('Container holds'), Field::number('price', 'Price', 0.0, 1_000_000.0)]);
    }

    private static function containerForm(): Form
    {
        return new Form('container', 'Put on the shelf', self::liquidFields('Holds'));
    }

    /** @return list<Field> */
    private static function liquidFields(string $volume): array
    {
        return [
            Field::choice('kind', 'It is', Offer::KINDS, Offer::CONCENTRATE),
            Field::choice('base', 'Base', array_combine(array_column(Glycol::cases(), 'value'), array_map(fn (Glycol $b) => $b->label(), Glycol::cases())), Glycol::Ethylene->value),
            Field::text('inhibitor', 'Inhibitor family, as the circuits name it'),
            Field::fraction('fraction', 'Glycol, if premix', 0.05, 1.0)->preset(0.5),
            Field::volume('ml', $volume, self::MOST_ML),
        ];
    }

    /**
     * @param  array<string, mixed>  $in
     * @return array{kind: string, base: ?string, inhibitor: string, fraction: float, ml: float}
     */
    private static function liquid(array $in): array
    {
        if ($in['ml'] < Container::DREGS_ML) {
            throw new InvalidField('ml', 'Enter how much the container holds.');
        }
        if ($in['kind'] !== Offer::WATER && trim((string) $in['inhibitor']) === '') {
            throw new InvalidField('inhibitor', 'Enter the inhibitor family as the label and the manuals name it. Colour proves nothing.');
        }
        $water = $in['kind'] === Offer::WATER;

        return ['kind' => $in['kind'], 'base' => $water ? null : $in['base'], 'inhibitor' => $water ? '' : mb_substr(trim((string) $in['inhibitor']), 0, 80), 'fraction' => match ($in['kind']) {
            Offer::CONCENTRATE => 1.0, Offer::WATER => 0.0, default => $in['fraction']
        }, 'ml' => $in['ml']];
    }

    /** @return array<string, mixed> */
    private function read(Request $request, Form $form): array
    {
        try {
            return $form->read(is_array($request->input('fields')) ? $request->input('fields') : [], $request->user()->units)['values'];
        } catch (InvalidFields $invalid) {
            throw new InvalidField((string) array_key_first($invalid->byField()), (string) current($invalid->byField()));
        }
    }

    private function move(Request $request, Container $container, float $ml, string $note): void
    {
        ContainerMovement::query()->create(['container_id' => $container->id, 'person_id' => $request->user()->id, 'ml' => $ml, 'note' => $note]);
    }

    private function leadOnly(Request $request): void
    {
        abort_unless($request->user()->role === 'lead', 403, 'The price list is changed by a lead. Ask one to sign in.');
    }
}
