<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\Vacuum;

use Aqbel\Core\Job\Does;
use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Stage;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Judged\DripFound;
use Aqbel\Core\Judged\DripFoundCode;
use Aqbel\Core\Judged\Gone;
use Aqbel\Core\Judged\PressureHeld;
use Aqbel\Core\Judged\PressureHeldCode;
use Aqbel\Core\Ledger\Line;
use Aqbel\Core\Observed\DripSeen;
use Aqbel\Core\Observed\ToppedForTest;
use Aqbel\Core\Plan\Plan;
use Aqbel\Core\Plan\Tool;
use Aqbel\Core\Saying\Clock;
use Aqbel\Core\Saying\Figure;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Saying\Hazard;
use Aqbel\Core\Saying\Obstacle;
use Aqbel\Core\Saying\Verdict;
use Aqbel\Core\Steps\Rounds;
use Aqbel\Core\Steps\StepKind;
use Aqbel\Core\Values;

/**
 * Stage 1, where coolant has been disappearing: topped up and pressed cold, so that the drip shows before anything is
 * drained.
 */
final class FindDrip extends StepKind
{
    /** Under which a step says that it is the empty circuit, filled with water for it, after a leak under vacuum. */
    public const WATER = 'water';

    private readonly PressureTest $test;

    public function __construct()
    {
        $this->test = new PressureTest;
    }

    public function name(): string
    {
        return 'find_drip';
    }

    protected function doing(): array
    {
        return [Does::MovesCoolant, Does::LoadsJoints];
    }

    public function title(Situation $at): string
    {
        return $this->isWater($at) ? 'Fill with water, find the drip' : 'Find the drip first';
    }

    public function why(Situation $at): string
    {
        return $this->isWater($at)
            ? 'Air came in, and nobody found where. Water costs nothing, and under pressure it shows the place.'
            : 'Coolant has been disappearing. Drained, the circuit shows nothing; topped up and under '
            .'pressure it drips.';
    }

    public function instructions(Situation $at): array
    {
        $pressing = $this->canPress($at)
            ? [
                $this->test->instructions($at)[0],
                'Hold it five minutes, and let the pressure off before the tester comes off.',
            ]
            : ['No pressure tester at hand: leave it standing topped up, with clean paper underneath.'];

        return [
            $this->isWater($at)
                ? 'Vacuum adapter off. Water in to the mark, not coolant, and say how much: what stays inside counts.'
                : 'Top up to the mark with water or the coolant that is in it, and say how much.',
            ...$pressing,
            'Look at pump, hose ends, radiator seams, plugs'
            .($at->circuit()->hasHeater() ? ', and the carpet below the heater' : '')
            .($at->facts()->neck->hasRecoveryBottle() ? ', and whether the bottle keeps what the cap let out' : '')
            .'. Photograph the drip.',
            $this->isWater($at)
                ? 'No drip and the pressure holds: it was the adapter. Another seal, or another way of filling.'
                : 'No drip and the pressure holds: test for combustion gas; the engine may be consuming it.',
        ];
    }

    public function hazards(Situation $at): array
    {
        return [Hazard::Overpressure, Hazard::Scald];
    }

    public function observes(): array
    {
        return [...$this->test->observes(), ToppedForTest::class, DripSeen::class];
    }

    public function asks(Situation $at): array
    {
        $isTopped = $at->latest(ToppedForTest::class) !== null;
        $topped = ToppedForTest::asked($at)->aside($isTopped);
        $seen = DripSeen::asked()->aside(! $isTopped);
        $tests = $this->canPress($at) ? $this->test->forms($at) : [];

        return Form::offering(
            match (true) {
                ! $isTopped => [$topped],
                $tests !== [] && ! $this->isTested($at) => [...$tests, $seen],
                default => [$seen, ...$tests, $topped],
            },
            [ToppedForTest::asked($at), DripSeen::asked(), ...$this->test->everything($at)],
        );
    }

    private function isTested(Situation $at): bool
    {
        return ! in_array($this->test->judgement($at)?->code, [null, PressureHeldCode::Holding], true);
    }

    public function admit(Situation $at, string $form, Values $values): void
    {
        $this->test->admit($at, $form, $values);
    }

    public function ledger(Situation $at, Entry $entry): array
    {
        $seen = DripSeen::of($entry);
        if ($seen !== null) {
            return $at->step->stage->value >= Stage::RunHot->value && ($seen->place !== null || $seen->gas)
                ? Gone::line($at->job, 'Gone by the leak')
                : [];
        }
        $topped = ToppedForTest::of($entry);
        $fraction = $topped?->water === true ? 0.0 : Plan::of($at)->choices->presumedFraction($at->circuit());

        return $topped === null
            ? []
            : [
                new Line(
                    'Topped up for the leak test',
                    $topped->ml(),
                    $topped->plusMinusMl($at),
                    $fraction,
                    $topped->water ? 0.0 : 1.0,
                ),
            ];
    }

    public function obstacles(Situation $at): array
    {
        $tested = ! $this->canPress($at) || $this->isTested($at);
        $found = DripFound::of($at);

        return array_values(
            array_filter([
                $at->latest(ToppedForTest::class) !== null
                    ? null
                    : Obstacle::missing('no_top_up', 'Top it up to the mark first, zero included.'),
                $tested ? null : Obstacle::missing('no_test', 'Record the pressure test, or say why it is not done.'),
                $found === null ? Obstacle::missing('no_drip', 'Record the drip, or that none was seen.') : null,
                $found?->code === DripFoundCode::NoDrip && (! $this->isWater($at) || $this->falls($at))
                    ? Obstacle::missing(
                        'no_gas_test',
                        'No drip: test for combustion gas before the circuit is drained.',
                    )
                    : null,
            ]),
        );
    }

    public function figure(Situation $at): Figure
    {
        return $this->test->figure($at);
    }

    public function clock(Situation $at): ?Clock
    {
        return $this->test->clock($at);
    }

    public function judgement(Situation $at): ?DripFound
    {
        return DripFound::of($at);
    }

    private function falls(Situation $at): bool
    {
        return PressureHeld::of($at)?->fails() === true;
    }

    public function judge(Situation $at): ?Verdict
    {
        $found = DripFound::of($at);

        return match (true) {
            $found === null => $this->test->judge($at),
            $found->code === DripFoundCode::Gas => Verdict::stop($found->code(), 'Combustion gas',
                'The head gasket or a crack lets gas into the coolant. No bleeding cures that: mend it before '
                    .($this->isMendedHere($at) ? 'it runs again.' : 'anything is filled.').$this->alsoDrips($found)),
            $found->code === DripFoundCode::Found => Verdict::pass(
                $found->code(),
                'Found: '.implode(', ', $found->places),
                $this->isMended($at, count($found->places) > 1 ? 'All of it' : 'It').self::whereExactly($found),
            ),
            $this->isWater($at) && ! $this->falls($at) => Verdict::pass(
                DripFoundCode::NoDrip->value,
                'No drip',
                'Under pressure nothing drips: the adapter let the air in.',
            ),
            $found->code === DripFoundCode::NoDrip => Verdict::wait(
                $found->code(),
                $this->falls($at) ? 'It falls, and nothing drips' : 'No drip',
                'Test for combustion gas: the engine may be consuming it.',
            ),
            default => Verdict::wait(
                $found->code(),
                $this->falls($at) ? 'It falls: no drip, no gas' : 'No drip, no gas',
                ($this->falls($at) ? 'What falls goes somewhere: look at the tester’s own seal, and at the oil. ' : '')
                    .'Fill it, and keep the follow-up short: the level tells.',
            ),
        };
    }

    private function isMended(Situation $at, string $what): string
    {
        return match (true) {
            $this->isWater($at) => "{$what} is mended next, when the water is out.",
            $this->isMendedHere($at) => "{$what} is mended next, before it runs again.",
            default => $what === 'It' ? 'Mending it is on the close-up list.' : 'Mending them is on the close-up list.',
        };
    }

    private function alsoDrips(DripFound $found): string
    {
        return $found->places === [] ? '' : ' It drips as well: '.implode(', ', $found->places).'.'
            .self::whereExactly($found);
    }

    private static function whereExactly(DripFound $found): string
    {
        return $found->where() === [] ? '' : ' Seen: '.implode('; ', $found->where()).'.';
    }

    /** The water comes out again, and what dripped is mended while it is empty; once it has run, that is proven. */
    public function orders(Situation $at): array
    {
        $found = DripFound::of($at);
        $mend = [...$found?->toMend() ?? [], ...$found?->gas === true ? [DripSeen::GAS_GETS_IN] : []];
        [$id, $stage] = [$at->step->id, $at->step->stage];

        return [
            ...$this->isWater($at) ? [new Step("water_out:{$id}", 'water_out', $stage)] : [],
            ...$mend !== [] && $this->isMendedHere($at)
                ? [
                    new Step("extra:{$id}", 'extra', $stage, new Values(['what' => implode('; ', $mend)])),
                    ...$this->isWater($at) ? [] : $this->provesTheMend($at),
                ]
                : [],
        ];
    }

    /** @return list<Step> what was mended is pressed again; and where a cold level sent here, it runs once more */
    private function provesTheMend(Situation $at): array
    {
        $read = $at->job->before($at->step, 'cold_level');
        $sentHere = $read !== null && $at->step->id === "find_drip:{$read->id}";
        $again = $sentHere && ! Rounds::nextIsPlanned($at) ? Rounds::next($at->seenFrom($read)) : [];
        $test = new Step("pressure_test:{$at->step->id}", 'pressure_test', $at->step->stage);

        return [...$this->canPress($at) ? [$test] : [], ...$again];
    }

    /** Once it has been closed up there is no list left for it. */
    private function isMendedHere(Situation $at): bool
    {
        return $this->isWater($at) || $at->step->stage->value >= Stage::RunHot->value;
    }

    private function isWater(Situation $at): bool
    {
        return $at->step->params->ticked(self::WATER);
    }

    private function canPress(Situation $at): bool
    {
        return Plan::of($at)->choices->has(Tool::PressureTester);
    }
}
