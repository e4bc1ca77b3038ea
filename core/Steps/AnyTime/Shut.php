<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\AnyTime;

use Aqbel\Core\Circuit\Port;
use Aqbel\Core\Job\Lines;
use Aqbel\Core\Job\PortState;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Judged\StandsOpen;
use Aqbel\Core\Observed\PointShut;
use Aqbel\Core\Saying\Form;

/** A point that was opened and that nobody is to shut any more is shut where it is seen. */
final class Shut extends AnyTime
{
    public function name(): string
    {
        return Lines::Shut->value;
    }

    public function observes(): array
    {
        return [PointShut::class];
    }

    public function title(Situation $at): string
    {
        return 'A point was shut';
    }

    public function why(Situation $at): string
    {
        return 'What stands open lets coolant out and air in.';
    }

    public function comesFirst(Situation $at): bool
    {
        return StandsOpen::of($at) !== [];
    }

    /** Offered while one stands open; of any point what was said once is read. */
    public function asks(Situation $at): array
    {
        return Form::offering(
            $this->comesFirst($at) ? [$this->among($at, StandsOpen::of($at))] : [],
            [$this->asked($at)],
        );
    }

    protected function asked(Situation $at): Form
    {
        return $this->among($at, array_map(fn (Port $port) => $port->id, array_values($at->circuit()->ports)));
    }

    public function ports(Situation $at): array
    {
        $shut = array_map(fn (PointShut $told) => $told->port, $at->observed(PointShut::class));

        return array_fill_keys($shut, PortState::Closed);
    }

    /** @param  list<string>  $ids */
    private function among(Situation $at, array $ids): Form
    {
        $labels = array_map(fn (string $id) => $at->circuit()->port($id)->label, $ids);

        return PointShut::asked(array_combine($ids, $labels));
    }
}
