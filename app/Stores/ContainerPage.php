<?php

declare(strict_types=1);

namespace App\Stores;

use App\Models\Container;
use App\Models\ContainerMovement;
use Aqbel\Core\Quantity\Dimension;
use Aqbel\Core\Quantity\UnitSystem;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Stores\Moved;
use Aqbel\Core\Stores\Stock;

/** One container with every litre that went into it, or out of it. */
final readonly class ContainerPage
{
    public ShelfCan $can;

    public function __construct(private Container $container, public UnitSystem $units)
    {
        $container->load(['job.vehicle', 'movements.person:id,name', 'movements.job']);
        $this->can = new ShelfCan($container, $units, max(1.0, $container->holds_ml));
    }

    public static function outForm(): Form
    {
        return new Form('out', 'Write it down', [
            Field::choice('why', 'What became of it', Moved::byHand(), Moved::GivenAlong->value),
            Field::volume('ml', 'How much', StoresPage::MOST_ML)->roughly(),
            Field::text('remark', 'To whom, or under which paper')->optional(),
        ]);
    }

    public function isEmpty(): bool
    {
        return $this->container->holds_ml <= Container::DREGS_ML;
    }

    /** @return list<ContainerRow> the newest first */
    public function rows(): array
    {
        [$stock, $rows] = [Stock::of([]), []];
        foreach ($this->container->movements as $moved) {
            $stock = $stock->after($moved->movement());
            $rows[] = $this->row($moved, $stock);
        }

        return array_reverse($rows);
    }

    private function row(ContainerMovement $moved, Stock $then): ContainerRow
    {
        $job = $moved->job;

        return new ContainerRow(
            $moved->created_at->format('Y-m-d H:i'),
            $job !== null && $moved->ml > 0.0 ? 'Left over from a job' : $moved->note->label(),
            $moved->remark,
            $job?->number() ?? '',
            $job === null ? '' : "/jobs/{$job->id}",
            ($moved->ml > 0.0 ? '+' : ($moved->ml < 0.0 ? '−' : '')).$this->litres(abs($moved->ml)),
            $this->litres($then->ml).' ± '.$this->litres($then->plusMinusMl),
            $moved->person->name,
        );
    }

    private function litres(float $ml): string
    {
        return $this->units->format($ml, Dimension::Volume);
    }
}
