<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\Fill;

use Aqbel\Core\Job\Does;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Saying\Hazard;
use Aqbel\Core\Steps\Checklist;

/** Stage 6: down again, since a level is read on level ground. */
final class Lower extends Checklist
{
    public function name(): string
    {
        return 'lower';
    }

    protected function doing(): array
    {
        return [Does::LowersNose];
    }

    public function title(Situation $at): string
    {
        return 'Down on level ground';
    }

    public function why(Situation $at): string
    {
        return 'With the nose up the mark lies: what reads full there is short or over when it stands level.';
    }

    public function instructions(Situation $at): array
    {
        return [
            ($at->circuit()->hasBleedPoints() ? 'Bleed points closed first. ' : '')
            .'Down slowly, then let the level come to rest.',
        ];
    }

    public function hazards(Situation $at): array
    {
        return [Hazard::Raised];
    }

    protected function items(Situation $at): array
    {
        return ['clear' => 'Nobody and nothing underneath', 'level' => 'It stands on level ground'];
    }
}
