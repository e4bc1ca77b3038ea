<?php

declare(strict_types=1);

namespace App\Stores;

use App\Models\Container;
use App\Models\Product;
use Aqbel\Core\Matter\Glycol;
use Aqbel\Core\Quantity\UnitSystem;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Stores\Liquid;
use Illuminate\Support\Collection;

/** What stands on the shelf part-used, and what the shop buys, in the reader's units. */
final readonly class StoresPage
{
    public const MOST_ML = 1_500_000.0;

    private const MOST_MM = 3_000.0;

    private const MOST_PRICE = 1_000_000.0;

    public function __construct(public UnitSystem $units, private string $currency, public bool $lead)
    {
    }

    public function per(): string
    {
        return PriceRow::per($this->units)->value;
    }

    public static function productForm(): Form
    {
        return new Form(
            'product',
            'Put on the price list',
            [...self::liquidFields('Container holds'), Field::number('price', 'Price', 0.0, self::MOST_PRICE)],
        );
    }

    public static function containerForm(): Form
    {
        return new Form('container', 'Put on the shelf', [
            ...array_map(
                fn (Field $field) => $field->name === 'ml' ? $field->optional() : $field,
                self::liquidFields('Holds now'),
            ),
            Field::volume('full', 'A drum: holds when full', self::MOST_ML)->optional(),
            Field::length('stands', 'A drum: the liquid then stands, inside', 50.0, self::MOST_MM)->optional(),
            self::level('A drum: stands now')->optional(),
        ]);
    }

    /** Of a drum: read with a stick, or at the glass. */
    public static function level(string $label = 'Stands now'): Field
    {
        return Field::length('level', $label, 0.0, self::MOST_MM);
    }

    /** @return list<ToOrder> */
    public function toOrder(): array
    {
        return ToOrder::list($this->units);
    }

    /** @return list<ShelfCan> */
    public function shelf(): array
    {
        $containers = Container::query()
            ->onShelf()
            ->with(['job.vehicle', 'movements'])
            ->orderByRaw(Container::BY_ID)
            ->get();
        $most = max([1.0, ...$containers->whereNull('full_ml')->map(fn (Container $c) => $c->holds_ml)->all()]);

        return array_values($containers->map(fn (Container $c) => new ShelfCan($c, $this->units, $most))->all());
    }

    /** @return list<ShelfCan> those whose sums cannot be */
    public function belowNothing(): array
    {
        $containers = Container::query()
            ->belowNothing()
            ->with(['job.vehicle', 'movements'])
            ->orderByRaw(Container::BY_ID)
            ->get()
            ->filter(fn (Container $container) => $container->isBelowNothing());

        return array_values($containers->map(fn (Container $c) => new ShelfCan($c, $this->units, 1.0))->all());
    }

    /** @return list<PriceRow> containers of one liquid together */
    public function prices(): array
    {
        $products = Product::query()
            ->orderByRaw("kind = 'water'")
            ->orderBy('inhibitor')
            ->orderBy('kind')
            ->orderBy('ml')
            ->get();
        $groups = $products->groupBy(fn (Product $p) => "{$p->inhibitor}|{$p->base}|{$p->kind}|{$p->fraction}");

        return array_values(
            $groups->map(
                fn (Collection $same) => new PriceRow(
                    $same->firstOrFail()->offer(),
                    array_values($same->all()),
                    $this->units,
                    $this->currency,
                ),
            )
                ->all(),
        );
    }

    /** @return list<Field> */
    private static function liquidFields(string $volume): array
    {
        $bases = array_combine(
            array_column(Glycol::cases(), 'value'),
            array_map(fn (Glycol $b) => $b->label(), Glycol::cases()),
        );

        return [
            Field::choice('kind', 'It is', Liquid::choices(), Liquid::Concentrate->value),
            Field::choice('base', 'Base', $bases, Glycol::Ethylene->value),
            Field::text('inhibitor', 'Inhibitor family, as the circuits name it'),
            Field::fraction('fraction', 'Glycol, if premix', 0.05, 1.0)->preset(0.5),
            Field::volume('ml', $volume, self::MOST_ML),
        ];
    }
}
