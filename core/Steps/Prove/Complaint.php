<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\Prove;

use Aqbel\Core\Job\Situation;
use Aqbel\Core\Observed\ComplaintTried;
use Aqbel\Core\Plan\Complaint as Complained;
use Aqbel\Core\Plan\Plan;
use Aqbel\Core\Saying\Obstacle;
use Aqbel\Core\Saying\Verdict;
use Aqbel\Core\Steps\BeforeAndNow;
use Aqbel\Core\Steps\StepKind;

/** Stage 10: what the vehicle came in for, asked again. */
final class Complaint extends StepKind
{
    public function name(): string
    {
        return 'complaint';
    }

    public function title(Situation $at): string
    {
        return 'Is the complaint gone?';
    }

    public function why(Situation $at): string
    {
        $said = match (Plan::of($at)->choices->complaint) {
            Complained::Overheats => 'It overheated',
            Complained::HeaterCold => 'The heater blew cold',
            Complained::Gurgling => 'It gurgled behind the dash',
            Complained::Fan => 'The fan ran early or long',
            Complained::Alarm => 'The level alarm came on without heat',
            Complained::Falling => 'The level fell',
            Complained::None => 'Something was wrong',
        };

        return "{$said} when it came in. The customer will try exactly that.";
    }

    public function instructions(Situation $at): array
    {
        return [
            'Try what the customer complained of, in the same way.',
            'Hold the readings against the baseline, where one was taken.',
        ];
    }

    public function asks(Situation $at): array
    {
        return [ComplaintTried::asked()];
    }

    public function observes(): array
    {
        return [ComplaintTried::class];
    }

    public function tables(Situation $at): array
    {
        return BeforeAndNow::tables($at);
    }

    public function obstacles(Situation $at): array
    {
        $tried = $at->latest(ComplaintTried::class);

        return match (true) {
            $tried === null => [Obstacle::missing('no_answer', 'Say whether the complaint is gone.')],
            $tried->still => [Obstacle::missing('still_there', "Still there. Usually: {$this->usually($at)}")],
            default => [],
        };
    }

    public function judge(Situation $at): ?Verdict
    {
        $tried = $at->latest(ComplaintTried::class);

        return match (true) {
            $tried === null => null,
            $tried->gone && $this->wasStillThere($at) => Verdict::wait(
                'better',
                'Gone now',
                'It was still there when it was tried before: the follow-up tells whether it stays away.',
            ),
            $tried->gone => Verdict::pass('gone', 'Gone', 'What it came in for is cured.'),
            $tried->still => Verdict::stop('still_there', 'Still there', $this->usually($at)),
            default => Verdict::wait('better', 'Better', 'The follow-up tells whether it stays away.'),
        };
    }

    private function wasStillThere(Situation $at): bool
    {
        return array_filter($at->observed(ComplaintTried::class), fn (ComplaintTried $tried) => $tried->still) !== [];
    }

    /** What it usually was when it is still there. */
    private function usually(Situation $at): string
    {
        return match (Plan::of($at)->choices->complaint) {
            Complained::Overheats => 'A pocket at the head or the thermostat; a fan or a radiator that does not cool.',
            Complained::HeaterCold => 'A pocket in the heater core, or its valve.',
            Complained::Gurgling => 'Air in the heater core, still on its way out.',
            Complained::Fan => 'Hot coolant does not reach the radiator: a pocket, or the thermostat.',
            Complained::Alarm => 'A pocket at the sensor, or the sensor.',
            Complained::Falling => 'A leak, or the engine is consuming it: test for combustion gas.',
            Complained::None => 'Look again.',
        };
    }
}
