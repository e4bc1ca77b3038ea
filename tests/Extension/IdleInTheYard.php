<?php

declare(strict_types=1);

namespace Tests\Extension;

use Aqbel\Core\Job\Does;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Saying\Obstacle;
use Aqbel\Core\Steps\StepKind;

/** A kind of step that nobody ships: the engine idles, which loads the joints and leaves the circuit hot. */
final class IdleInTheYard extends StepKind
{
    public function name(): string
    {
        return 'idle_in_the_yard';
    }

    public function title(Situation $at): string
    {
        return 'Idle in the yard';
    }

    public function why(Situation $at): string
    {
        return 'It idles until the needle stands.';
    }

    public function instructions(Situation $at): array
    {
        return ['Start it outdoors.'];
    }

    public function asks(Situation $at): array
    {
        return [new Form('idled', 'It idled', [Field::temperature('ect', 'Coolant')])];
    }

    public function obstacles(Situation $at): array
    {
        return $at->has('idled') ? [] : [Obstacle::missing('not_idled', 'It has not idled yet.')];
    }

    protected function doing(): array
    {
        return [Does::RunsEngine, Does::LoadsJoints];
    }

    public function ran(Situation $at): ?int
    {
        return $at->last('idled')?->at;
    }
}
