<?php

declare(strict_types=1);

namespace Tests\Journeys;

use App\Calc\Input;
use App\Practice\Answers;
use Aqbel\Core\Job\JobState;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Plan\Planner;
use Aqbel\Core\Schools\SchoolCatalogue;
use Aqbel\Core\Steps\StepCatalogue;
use Aqbel\Core\Writing\Replanning;
use Aqbel\Core\Writing\Script;
use Aqbel\Core\Writing\ScriptLine;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Demo;

/**
 * A vehicle as it really is, of which the program is told only what somebody reads off a vessel: how much it holds, the
 * air that stays when it is filled, what of it a run moves, what leaks by the hour. All in litres.
 */
final class World
{
    private const OVER_NIGHT_S = 36_000;

    private const HOUR_S = 3_600.0;

    private const LOW_L = 0.2;

    /** A drain gives so much more or less than was predicted, 95 of 100. */
    private const DRAINS_OFF = 0.1;

    /** Less than so much below its mark nobody tops up from a jug. */
    private const SEEN_L = 0.03;

    private readonly Script $script;

    private readonly StepCatalogue $kinds;

    private readonly Randomizer $chance;

    private readonly float $full;

    private float $content;

    private float $air = 0.0;

    private bool $isFilled = false;

    private int $now = 1_000_000;

    /** @var list<string> what every cold level and every search came to, in their order */
    public array $codes = [];

    public int $runs = 0;

    /** @var list<string> forms in which litres were told, in their order */
    private array $volumes = [];

    /** @var ?array{float, float} what was told, and what was read, L; null where nobody slipped */
    public ?array $slipped = null;

    /**
     * @param  float  $stays  share of the circuit that a fill leaves as air
     * @param  float  $moves  share of it that each run moves to the neck
     * @param  float  $leaks  litres an hour, until what drips is mended
     * @param  ?array{string, int, float}  $slip  form, which of its kind from 0, and how many times what was read is told
     */
    public function __construct(
        string $circuit,
        string $school,
        int $seed,
        private readonly float $stays = 0.0,
        private readonly float $moves = 0.9,
        private float $leaks = 0.0,
        private readonly ?array $slip = null,
    ) {
        $this->kinds = StepCatalogue::standard();
        $this->chance = new Randomizer(new Mt19937($seed));
        $of = Demo::circuit($circuit);
        $planner = new Planner($this->kinds, SchoolCatalogue::standard());
        $asked = ['choices' => [
            'school' => $school,
            'on_what_stays' => true,
            'tools' => ['refractometer', 'pressure_tester', 'vacuum_filler', 'funnel'],
        ]];
        $this->script = new Script(
            new JobState($of, $planner->plan($of, (new Input($asked))->choices($of)), $this->kinds),
            $this->kinds,
            new Replanning($this->kinds, $planner),
        );
        // Two engines of a kind differ, and manuals round.
        $this->full = ($of->capacityMl() - $of->headspaceMl()) / 1000.0 * (1.0 + 0.02 * $this->within());
        $this->content = $this->full - self::LOW_L;
    }

    public function state(): JobState
    {
        return $this->script->state();
    }

    /** What the circuit really lacks, as a share of it. */
    public function airShare(): float
    {
        return $this->air / $this->full;
    }

    /** What is said where it stands. */
    public function says(): string
    {
        $step = $this->state()->stepInHand();

        return $step === null ? '' : $this->state()->verdictOf($step, $this->now)->reason ?? '';
    }

    /** The step at which it stands in the end, with what it came to; null where it is signed. */
    public function play(): ?string
    {
        for ($left = 160; $left > 0; $left--) {
            $step = $this->state()->stepInHand();
            if ($step === null) {
                return null;
            }
            $this->do($step);
            $code = $this->state()->verdictOf($step, $this->now)->code ?? '';
            if (in_array($step->kind, ['cold_level', 'find_drip', 'why_unshown'], true)) {
                $this->codes[] = $code;
            }
            if ($this->state()->stepInHand()?->id === $step->id) {
                return "{$step->id}: {$code}";
            }
        }

        return 'it never ends';
    }

    private function do(Step $step): void
    {
        $kind = $this->kinds->of($step);
        $at = $this->state()->at($step, $this->now);
        $this->passes(60 * (int) Answers::before($at) + ($step->kind === 'cool_down' ? self::OVER_NIGHT_S : 0));
        foreach (Answers::to($kind, $this->state()->at($step, $this->now)) as [$form, $values, $minutes]) {
            [$told, $more] = $this->told($step, $form, $values);
            $told = $this->slips($form, $told);
            if ($this->write($step, $form, $told)) {
                $this->content += $more;
                $this->happens($step, $form);
            }
            $this->passes((int) round(60 * $minutes));
        }
        $this->passes(60);
        $this->write($step, 'finish')
            // What was drained is what there is.
            || ($step->kind === 'reconcile' && $this->write($step, 'finish', reason: 'Drained as far as it goes'));
    }

    /**
     * What is read off for an answer, and by how much the circuit holds more then.
     *
     * @param  array<string, string>  $values
     * @return array{array<string, string>, float}
     */
    private function told(Step $step, string $form, array $values): array
    {
        $typed = (float) ($values['volume'] ?? 0.0);
        if (in_array($form, ['poured', 'at_mark'], true) && ! $this->isFilled) {
            [$this->isFilled, $this->air] = [true, $this->stays * $this->full];
        }
        $room = max(0.0, $this->full - $this->air - $this->content);
        $asked = max(0.1, $this->state()->ledger()->trappedAirMl() / 1000.0);

        return match (true) {
            $form === 'out' => $this->drained($typed * (1.0 + self::DRAINS_OFF * $this->within()), $values),
            $form === 'poured' => $this->read(min(1.0, $typed / $asked) * $room, 0.125, $values),
            $form === 'at_mark' => $this->read($room, 0.05, ['caught' => '0', 'left' => '0', 'spilt' => '0'] + $values),
            $step->kind === 'cold_level' && $form === 'topped' => $room > self::SEEN_L
                ? $this->read(max(0.05, $room), 0.05, ['vessel' => 'jug'] + $values)
                : [['volume' => '10 mL', 'vessel' => 'syringe'] + $values, 0.01],
            default => [$values, 0.0],
        };
    }

    /**
     * @param  array<string, string>  $values
     * @return array<string, string>
     */
    private function slips(string $form, array $values): array
    {
        if (! isset($values['volume'])) {
            return $values;
        }
        $nth = count(array_keys($this->volumes, $form, true));
        $this->volumes[] = $form;
        if ($this->slip === null || [$form, $nth] !== [$this->slip[0], $this->slip[1]]) {
            return $values;
        }
        $told = round($this->slip[2] * (float) $values['volume'], 3);
        $this->slipped = [$told, (float) $values['volume']];

        return ['volume' => (string) $told] + $values;
    }

    /**
     * @param  array<string, string>  $values
     * @return array{array<string, string>, float}
     */
    private function read(float $litres, float $mark, array $values): array
    {
        return [['volume' => (string) round(max($mark, round($litres / $mark) * $mark), 3)] + $values, $litres];
    }

    /**
     * In a pan, or in a jug where a pan's marks are coarse for the circuit.
     *
     * @param  array<string, string>  $values
     * @return array{array<string, string>, float}
     */
    private function drained(float $litres, array $values): array
    {
        [$mark, $vessel] = $this->full < 4.0 ? [0.05, 'jug'] : [0.25, 'pan'];
        $litres = min($this->content, $litres);
        [$told] = $this->read($litres, $mark, ['vessel' => $vessel] + $values);

        return [$told, -$litres];
    }

    private function happens(Step $step, string $form): void
    {
        if ($step->kind === 'heat_cycle' && $form === 'shut_off') {
            $this->runs++;
            $this->air *= 1.0 - $this->moves;
        }
        if ($step->kind === 'extra') {
            $this->leaks = 0.0;
        }
    }

    private function passes(int $seconds): void
    {
        $this->now += $seconds;
        $this->content -= $this->isFilled ? $this->leaks * $seconds / self::HOUR_S : 0.0;
    }

    /** @param  array<string, string>  $values */
    private function write(Step $step, string $form, array $values = [], string $reason = ''): bool
    {
        $line = new ScriptLine(0, $this->now, 'Imre Tovald', $step->id, $form, $values, $reason);

        return $this->script->write($line) === null;
    }

    /** Between −1 and 1, nearer nothing the likelier. */
    private function within(): float
    {
        $one = fn (): float => $this->chance->getInt(-1_000_000, 1_000_000) / 1.0e6;

        return ($one() + $one()) / 2.0;
    }
}
