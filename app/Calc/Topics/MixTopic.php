<?php

declare(strict_types=1);

namespace App\Calc\Topics;

use App\Calc\Input;
use App\Calc\Topic;
use Aqbel\Core\InvalidField;
use Aqbel\Core\Mixing\Mix;
use Aqbel\Core\Quantity\Volume;
use Aqbel\Core\Stores\Amounts;
use Aqbel\Core\Stores\Bought;
use Aqbel\Core\Stores\CheapestBuy;
use Aqbel\Core\Stores\Liquid;
use Aqbel\Core\Stores\Package;

final class MixTopic implements Topic
{
    public function name(): string
    {
        return 'mix';
    }

    public function summary(): string
    {
        return 'concentrate or premix and water that bring the whole circuit to its strength, and what to buy';
    }

    public function answer(Input $input): array
    {
        $premix = $input->choice('stock', ['concentrate', 'premix'], 'concentrate') === 'premix';
        $capacity = $input->number('capacity_ml', 1, 1_000_000);
        $retained = $input->number('retained_ml', 0, 1_000_000, 0);
        if ($retained > $capacity) {
            throw new InvalidField(
                'retained_ml',
                'No more can stay inside than the circuit holds. Check both volumes.',
            );
        }
        $mix = new Mix(
            Volume::millilitres($capacity),
            Volume::millilitres($retained),
            $input->number('retained_fraction', 0, 1, 0),
            $input->number('target_fraction', 0, 0.7),
            $premix ? $input->number('premix_fraction', 0.05, 1, 0.5) : 1.0,
        );
        $packages = array_map(
            fn (Input $container) => new Package(
                Liquid::from($container->choice('kind', array_column(Liquid::cases(), 'value'))),
                $container->number('ml', 100, 1_000_000),
                $container->number('price', 0, 1_000_000),
            ),
            $input->objects('containers', 0, 50),
        );
        $stock = $premix ? Liquid::Premix : Liquid::Concentrate;
        $needed = (new Amounts)->with($stock, $mix->stock()->mL())->with(Liquid::Water, $mix->water()->mL());
        $bought = $packages === [] ? null : CheapestBuy::of($packages, $needed);

        return [
            'concentrate_ml' => $premix ? 0.0 : $mix->stock()->mL(),
            'premix_ml' => $premix ? $mix->stock()->mL() : 0.0,
            'water_ml' => $mix->water()->mL(),
            'bucket_fraction' => $mix->bucketFraction(),
            'final_fraction' => $mix->finalFraction(),
            'reachable' => $mix->reachable(),
            'best_fraction' => $mix->finalFraction(),
            'buy' => $bought === null ? null : array_map(self::line(...), $bought->bought),
            'cost' => $bought?->cost,
            'left_over_ml' => $bought?->leftOver->toArray(),
        ];
    }

    /** @return array<string, mixed> */
    private static function line(Bought $bought): array
    {
        $package = $bought->package;

        return [
            'kind' => $package->liquid->value,
            'ml' => $package->ml,
            'count' => $bought->count,
            'price' => $package->price,
        ];
    }
}
