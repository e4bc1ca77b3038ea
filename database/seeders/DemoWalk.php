<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Journal\Recorder;
use App\Models\Job;
use App\Models\Person;
use App\Photos\Photograph;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Plan\Plan;
use Aqbel\Core\Steps\Checklist;
use Aqbel\Core\Steps\Drain\Drain;
use Aqbel\Core\Steps\StepCatalogue;
use Aqbel\Core\Steps\StepKind;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Carbon;
use Illuminate\Support\Str;

/** Takes a demo job through its steps as a technician would, by the same recorder, with the clock set back. */
final class DemoWalk
{
    private const ANSWERS = [
        'found' => [['found', ['content' => 'low', 'missing' => '0.2 L'], 1]],
        'baseline' => [['baseline', ['ran' => 'no'], 1]],
        'cool_down' => [['reading', ['ect' => '24', 'air' => '16'], 1]],
        'inspect' => [
            [
                'condition',
                [
                    'hoses' => 'good',
                    'clamps' => 'marked',
                    'cap' => 'good',
                    'fins' => 'clear',
                    'tank' => 'readable',
                    'pipes' => 'sound',
                    'drips' => 'Damp under the left mount, old',
                ],
                3,
            ],
        ],
        'look' => [['seen', ['coolant' => 'clean', 'next' => 'waste'], 1]],
        'cure' => [['started', [], 1]],
        'find_drip' => [
            ['topped', ['volume' => '0.1', 'vessel' => 'jug', 'liquid' => 'water'], 2],
            ['test', ['start' => '60', 'end' => '59', 'held' => '5'], 6],
            ['drip', ['place' => 'cap', 'where' => 'below the seal', 'gas' => 'undone'], 1],
        ],
        'find_cause' => [['cause', ['cause' => 'oil_cooler', 'how' => 'air test'], 20]],
        'jar_test' => [['jar', ['jar' => 'clear'], 3]],
        'rinse_run' => [
            ['start', ['place' => 'extraction', 'neck' => 'sealed'], 11],
            ['reading', ['ect' => '96', 'far' => '89', 'sign' => 'none'], 3],
            ['shut_off', [], 95],
        ],
        'rinse_flow' => [
            ['water_in', ['volume' => '9', 'vessel' => 'bucket'], 6],
            ['water_out', ['volume' => '9', 'vessel' => 'pan', 'runs' => 'clear'], 2],
        ],
        'complaint' => [['answer', ['answer' => 'gone'], 1]],
        'left_over' => [['kept', ['volume' => '0.6 L'], 2]],
        'pull' => [['started', [], 2], ['reading', ['vacuum' => '21.5'], 1]],
        'hold' => [
            ['reading', ['vacuum' => '21.5'], 5],
            ['reading', ['vacuum' => '21.5'], 10],
            ['reading', ['vacuum' => '21.3'], 1],
        ],
        'heat_cycle' => [['start', ['place' => 'extraction', 'neck' => 'sealed'], 14], [
            'reading',
            [
                'ect' => '97',
                'far' => '90',
                'outlet_front' => '67',
                'outlet_rear' => '61',
                'bubbles' => 'hidden',
                'sign' => 'none',
            ],
            2,
        ],
            ['fan_on', [], 2], ['fan_off', [], 3], ['fan_on', [], 2], ['fan_off', [], 1], ['shut_off', [], 600]],
        'cold_level' => [
            ['opened', ['ect' => '21'], 1],
            ['topped', ['volume' => '20 mL', 'vessel' => 'syringe'], 1],
            ['level', ['level' => 'mark'], 1],
        ],
        'leak_check' => [['seen', ['leak' => 'old'], 2]],
        'drive' => [['driven', ['minutes' => '14', 'ect' => '92', 'alarm' => 'none'], 660]],
        'refractometer' => [['freeze', ['freeze' => '-36'], 1]],
        'follow_up' => [['booked', ['days' => '3'], 1]],
        'dispose' => [['disposed', ['volume' => '10.5'], 2]],
    ];

    public function __construct(private readonly Job $job, private readonly Person $person)
    {
    }

    /** Works from the step in hand up to, not including, the step named; all the way when null. */
    public function until(?string $stop): self
    {
        while (($step = $this->job->state()->stepInHand()) !== null && $step->id !== $stop) {
            $this->step();
        }

        return $this;
    }

    /** The step in hand, done and finished. */
    public function step(): self
    {
        $step = $this->job->state()->stepInHand();
        if ($step !== null) {
            foreach ($this->kind($step)->hazards($this->job->state()->at($step, now()->getTimestamp())) as $hazard) {
                $this->recorder()->acknowledge($step->id, $hazard->value);
            }
            $this->answer($step);
            $this->recorder()->finish($step->id, null);
        }

        return $this;
    }

    /**
     * One entry of one's own, and the minutes that pass after it.
     *
     * @param  array<string, string>  $fields
     */
    public function enter(string $form, array $fields = [], float $minutes = 1.0): self
    {
        $step = $this->job->state()->stepInHand() ?? throw new \LogicException('The job is signed off.');
        foreach ($this->kind($step)->hazards($this->job->state()->at($step, now()->getTimestamp())) as $hazard) {
            $this->recorder()->acknowledge($step->id, $hazard->value);
        }
        $this->recorder()->record($step->id, $form, $fields);
        Carbon::setTestNow(now()->addSeconds((int) round($minutes * 60)));

        return $this;
    }

    /** A drawn stand-in for a photograph: a damp patch on a grey floor, as wide as the share of the picture given. */
    public function photograph(string $caption, float $share): self
    {
        $image = imagecreatetruecolor(960, 720);
        foreach ([
            [960, 720, 96, 100, 104],
            [700, 210, 60, 62, 66],
            [960 * $share, 520 * $share, 40, 78, 82],
            [620 * $share, 300 * $share, 58, 112, 116],
        ] as $i => [$width, $height, $r, $g, $b]) {
            $colour = (int) imagecolorallocate($image, $r, $g, $b);
            $i < 2
                ? imagefilledrectangle(
                    $image,
                    0,
                    0,
                    (int) ($i === 0 ? 960 : $width),
                    (int) ($i === 0 ? 720 : $height),
                    $colour,
                )
                : imagefilledellipse($image, 470, 480, (int) $width, (int) $height, $colour);
        }
        $file = (string) tempnam(sys_get_temp_dir(), 'aqbel');
        imagejpeg($image, $file, 90);
        $this->recorder()->photograph(
            (string) $this->job->state()->stepInHand()?->id,
            Photograph::from(new UploadedFile($file, 'drip.jpg', 'image/jpeg', null, true)),
            $caption,
        );
        unlink($file);

        return $this;
    }

    public function finish(?string $reason = null): self
    {
        $this->recorder()->finish((string) $this->job->state()->stepInHand()?->id, $reason);

        return $this;
    }

    private function answer(Step $step): void
    {
        $kind = $this->kind($step);
        if ($kind instanceof Checklist) {
            $form = $kind->forms($this->job->state()->at($step, now()->getTimestamp()))[0] ?? null;
            if ($form === null) {
                return;
            }
            $this->enter('ticked', array_fill_keys(array_map(fn ($field) => $field->name, $form->fields), '1'), 4);

            return;
        }
        $answers = match ($step->kind) {
            'drain' => [
                ['opened', ['cap' => 'off'], 8],
                [
                    'out',
                    [
                        'volume' => (string) round(
                            (
                                (new Drain)->figure($this->job->state()->at($step, now()->getTimestamp()))->base ?? 0.0
                            ) / 1000,
                            1,
                        ),
                        'vessel' => 'pan',
                        'flow' => 'ran',
                    ],
                    2,
                ],
                ['closed', ['torque' => '25', 'washer' => '1', 'by_feel' => '1'], 1],
            ],
            'mix' => [
                [
                    'batch',
                    ['concentrate' => $this->litres(0.6), 'water' => $this->litres(0.6), 'from' => 'elsewhere'],
                    4,
                ],
            ],
            'bleed' => [
                ['poured', ['volume' => $this->litres(0.4), 'vessel' => 'bucket'], 6],
                ['running', [], 2],
                ['closed', ['torque' => '8', 'washer' => '1', 'by_feel' => '1'], 1],
            ],
            'vacuum_fill' => [
                ['poured', ['volume' => $this->litres(0.45), 'vessel' => 'bucket', 'vacuum' => '16.5'], 3],
                ['poured', ['volume' => $this->litres(0.4), 'vessel' => 'bucket', 'vacuum' => '0'], 3],
            ],
            'fill_level' => [
                ['poured', ['volume' => $this->litres(0.97), 'vessel' => 'jug'], 3],
                ['returned', ['caught' => $this->litres(0.02), 'left' => $this->litres(0.01), 'spilt' => '20 mL'], 1],
                ['at_mark', [], 1],
            ],
            'pressure_test' => [
                [
                    'test',
                    [
                        'start' => (string) min(88, $this->job->state()->circuit->facts->capKpa ?? 50),
                        'end' => (string) (min(88, $this->job->state()->circuit->facts->capKpa ?? 50) - 1),
                        'held' => '5',
                    ],
                    6,
                ],
            ],
            'rinse' => [['decision', $this->proposed($step), 1]],
            'rinse_fill' => [['water_in', ['volume' => $this->litres(1.0), 'vessel' => 'bucket', 'water' => 'tap'], 6]],
            'rinse_drain' => [
                [
                    'water_out',
                    [
                        'volume' => (string) round(
                            max(
                                0.1,
                                (
                                    $this->job->state()
                                        ->ledger()
                                        ->contentMl - Plan::of($this->job->state())
                                        ->predicted->retainedMl
                                ) / 1000.0,
                            ),
                            2,
                        ),
                        'vessel' => 'pan',
                        'runs' => 'clear',
                        'closed' => '1',
                    ],
                    8,
                ],
            ],
            'cured' => $this->waitForIt($step),
            'heat_cycle' => $this->hotEnough(),
            default => self::ANSWERS[$step->kind] ?? [],
        };
        foreach ($answers as [$form, $fields, $minutes]) {
            $this->enter($form, $fields, $minutes);
        }
    }

    /** @return array<string, string> what the first form of the step proposes */
    private function proposed(Step $step): array
    {
        $fields = $this->kind($step)->forms($this->job->state()->at($step, now()->getTimestamp()))[0]->fields;

        return array_map(
            fn ($field) => (string) $field->default,
            array_column(array_map(fn ($field) => [$field->name, $field], $fields), 1, 0),
        );
    }

    /** @return list<never> */
    private function waitForIt(Step $step): array
    {
        $clock = $this->kind($step)->clock($this->job->state()->at($step, now()->getTimestamp()));
        Carbon::setTestNow(Carbon::createFromTimestamp(max(now()->getTimestamp(), $clock->until ?? 0) + 1));

        return [];
    }

    /** A share of the room that is left in the circuit now, as it would be typed. */
    private function litres(float $share): string
    {
        $ledger = $this->job->state()->ledger();

        return (string) round($share * max(100.0, $ledger->trappedAirMl()) / 1000.0, 2);
    }

    /**
     * A cycle that proves whatever this vehicle can show, below its own limit.
     *
     * @return list<array{string, array<string, string>, int}>
     */
    private function hotEnough(): array
    {
        $facts = $this->job->state()->circuit->facts;
        $answers = self::ANSWERS['heat_cycle'];
        $coolant = min(97.0, ($facts->limitC ?? 200.0) - 6.0, ($facts->fanOnC ?? 200.0) + 2.0);
        $answers[1][1] = [
            'ect' => (string) $coolant, 'far' => (string) ($coolant - 6.0), 'bubbles' => 'hidden', 'sign' => 'none',
        ] + array_fill_keys(array_map(fn (string $o) => "outlet_{$o}", $facts->outlets), '64');

        return $answers;
    }

    private function kind(Step $step): StepKind
    {
        return app(StepCatalogue::class)->of($step);
    }

    private function recorder(): Recorder
    {
        return new Recorder($this->job, $this->person, (string) Str::uuid());
    }
}
