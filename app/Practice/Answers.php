<?php

declare(strict_types=1);

namespace App\Practice;

use Aqbel\Core\Circuit\Port;
use Aqbel\Core\Circuit\PortKind;
use Aqbel\Core\Circuit\RoutineLine;
use Aqbel\Core\Job\Neck;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Judged\Gauge;
use Aqbel\Core\Judged\NeckAtRun;
use Aqbel\Core\Judged\StopLimitAtNeck;
use Aqbel\Core\Judged\WasteSum;
use Aqbel\Core\Matter\Mixture;
use Aqbel\Core\Observed\ContentFound;
use Aqbel\Core\Plan\Plan;
use Aqbel\Core\Plan\Tool;
use Aqbel\Core\Plan\WarmUp;
use Aqbel\Core\Quantity\Unit;
use Aqbel\Core\Quantity\UnitSystem;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Steps\Checklist;
use Aqbel\Core\Steps\StepKind;
use Aqbel\Core\Steps\TopUp;

/**
 * What an ordinary technician enters at a step of an ordinary job, everything going as predicted.
 *
 * An answer is a form, its fields as typed, and the minutes that pass afterwards.
 *
 * @phpstan-type Answer array{string, array<string, string>, float}
 */
final class Answers
{
    private const DRIVEN_MIN = 14;

    /** More than the target of a vacuum, as a pump goes on. */
    private const MORE_INHG = 0.4;

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
        'vent_between' => [['vented', ['came' => 'coolant', 'torqued' => '1'], 4]],
        'funnel_off' => [['off', ['volume' => '0', 'vessel' => 'jug', 'goes' => 'container', 'ect' => '24'], 3]],
        'find_cause' => [['cause', ['cause' => 'oil_cooler', 'how' => 'air test'], 20]],
        'jar_test' => [['jar', ['jar' => 'clear'], 3]],
        'rinse_run' => [
            ['start', ['place' => 'extraction', 'neck' => 'sealed'], 11],
            ['reading', ['ect' => '96', 'far' => '89', 'sign' => 'none'], 3],
            ['shut_off', [], 95],
        ],
        'rinse_flow' => [['through', ['volume' => '30 L', 'runs' => 'clear'], 8]],
        'complaint' => [['answer', ['answer' => 'gone'], 1]],
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
        'leak_check' => [['seen', ['leak' => 'old'], 2]],
        'follow_up' => [['booked', ['days' => '3'], 1]],
    ];

    /** Minutes that pass at a step before there is anything to enter. */
    public static function before(Situation $at): float
    {
        return $at->step->kind === 'drive' ? self::DRIVEN_MIN : 0.0;
    }

    /** @return list<Answer> */
    public static function to(StepKind $kind, Situation $at): array
    {
        $forms = $kind->forms($at);
        if ($kind instanceof Checklist) {
            return $forms === [] ? [] : [['ticked', array_fill_keys(self::names($forms[0]), '1'), 4]];
        }

        return match ($at->step->kind) {
            'found' => Plan::of($at)->choices->arrivesEmpty()
                ? [['found', ['content' => ContentFound::EMPTY], 1]]
                : self::ANSWERS['found'],
            'drain' => self::drained($kind, $at),
            'mix' => [['batch', self::mixed($kind, $at), 4]],
            'extra' => [['done', ['how' => 'As it was found'], 2]],
            'fill_through' => [
                ['opened', [], 3],
                ['poured', ['volume' => self::room($at, 0.5), 'vessel' => 'bucket'], 6],
                ['full', [], 1],
                ['closed', ['clamp' => '1'], 3],
            ],
            'routine' => self::routine($at),
            'vent_under_pressure' => self::ventedUnderPressure($at),
            'bleed' => [
                ['poured', ['volume' => self::room($at, 0.4), 'vessel' => 'bucket'], 6],
                ['running', [], 2],
                ['closed', ['torqued' => '1'], 1],
            ],
            'pull' => [['started', [], 2], ['reading', ['vacuum' => self::drawnInHg($at)], 1]],
            'hold' => [
                ['reading', ['vacuum' => self::drawnInHg($at)], 5],
                ['reading', ['vacuum' => self::drawnInHg($at)], 10],
                ['reading', ['vacuum' => self::drawnInHg($at, -0.2)], 1],
            ],
            'vacuum_fill' => [
                [
                    'poured',
                    ['volume' => self::room($at, 0.45), 'vessel' => 'bucket', 'vacuum' => self::drawnInHg($at, -5.0)],
                    3,
                ],
                ['poured', ['volume' => self::room($at, 0.4), 'vessel' => 'bucket', 'vacuum' => '0'], 3],
            ],
            'fill_level' => [
                [
                    'at_mark',
                    [
                        'volume' => self::room($at, 0.97), 'vessel' => 'jug', 'caught' => self::room($at, 0.02),
                        'left' => self::room($at, 0.01), 'spilt' => '20 mL',
                    ],
                    5,
                ],
            ],
            'pressure_test' => self::pressed($at),
            'find_drip' => [
                ['topped', ['volume' => '0.1', 'vessel' => 'jug', 'liquid' => 'water'], 2],
                ...Plan::of($at)->choices->has(Tool::PressureTester) ? self::pressed($at) : [],
                ['drip', ['place' => 'cap', 'where' => 'below the seal', 'gas' => 'undone'], 1],
            ],
            'left_over' => [['kept', ['volume' => self::litres($kind->figure($at)->base ?? 0.0)], 2]],
            'dispose' => [['disposed', ['volume' => self::litres(WasteSum::caughtMl($at))], 2]],
            'rinse' => [['decision', self::proposed($forms[0]), 1]],
            'rinse_fill' => [
                ['water_in', ['volume' => self::room($at, 1.0), 'vessel' => 'bucket', 'water' => 'tap'], 6],
            ],
            'rinse_drain' => [
                [
                    'water_out',
                    ['volume' => self::runsOut($at), 'vessel' => 'pan', 'runs' => 'clear', 'closed' => '1'],
                    8,
                ],
            ],
            'refractometer' => [['freeze', ['freeze' => (string) round(self::freezesC($at))], 1]],
            'heat_cycle' => self::hotEnough($at),
            'cold_level' => self::drawnIn($at),
            'drive' => [
                [
                    'driven',
                    ['minutes' => (string) self::DRIVEN_MIN, 'ect' => self::justBelowLimit($at), 'alarm' => 'none'],
                    660,
                ],
            ],
            default => self::ANSWERS[$at->step->kind] ?? [],
        };
    }

    /** A little more than is to be reached at this height, or so much less. */
    private static function drawnInHg(Situation $at, float $by = 0.0): string
    {
        return (string) round(Unit::InchOfMercury->fromBase(Gauge::targetKpa($at)) + self::MORE_INHG + $by, 1);
    }

    /** @return list<Answer> every line with its time */
    private static function routine(Situation $at): array
    {
        $answers = [];
        foreach (array_map(RoutineLine::of(...), $at->step->params->list('lines')) as $i => $line) {
            $answers[] = ['line', ['line' => (string) $i], $line->minutes + 0.5];
        }

        return $at->step->params->ticked('level_follows')
            ? $answers
            : [...$answers, ['topped', ['volume' => '10 mL', 'vessel' => 'syringe', 'liquid' => 'batch'], 1.0]];
    }

    /** @return list<Answer> every point solid */
    private static function ventedUnderPressure(Situation $at): array
    {
        $cracked = fn (Port $port): array => ['cracked', ['point' => $port->id, 'came' => 'solid'], 2.0];

        return [
            ['pumped', ['kpa' => (string) floor($at->facts()->mostToVentKpa())], 1.0],
            ...array_map($cracked, $at->circuit()->portsOf(PortKind::Bleed)),
            ['released', [], 1.0],
        ];
    }

    /** @return list<string> of its fields */
    private static function names(Form $form): array
    {
        return array_map(fn (Field $field) => $field->name, $form->fields);
    }

    /** @return list<Answer> what was predicted, to a tenth of a litre */
    private static function drained(StepKind $kind, Situation $at): array
    {
        $litres = (string) round(($kind->figure($at)->base ?? 0.0) / 1000.0, 1);

        return [
            ['opened', ['cap' => 'off'], 8],
            ['out', ['volume' => $litres, 'vessel' => 'pan', 'flow' => 'ran', 'shut' => '1'], 3],
        ];
    }

    /** @return array<string, string> what the step proposes, or as much of both where it proposes nothing */
    private static function mixed(StepKind $kind, Situation $at): array
    {
        foreach ($kind->forms($at) as $form) {
            foreach ($form->name === 'batch' ? $form->fields : [] as $field) {
                $proposed[$field->name] = $field->defaultText(UnitSystem::Metric);
            }
        }
        $room = self::room($at, 0.6);

        return ['from' => 'elsewhere'] + ($proposed ?? []) + ['concentrate' => $room, 'water' => $room];
    }

    /** As what is inside freezes, by the sums, and as near to the plan as a refractometer may read it, °C. */
    private static function freezesC(Situation $at): float
    {
        $wanted = Plan::of($at)->choices->targetFraction;
        $is = $at->job->ledger()->fraction() ?? $wanted;
        $read = abs($is - $wanted) > 0.065 ? $is : max($wanted - 0.025, min($wanted + 0.025, $is));

        return (new Mixture($at->facts()->base, $read))->freezePoint()->degC();
    }

    /** @return list<Answer> what the sums still miss, or next to nothing */
    private static function drawnIn(Situation $at): array
    {
        $ledger = $at->job->ledger();
        $missing = $ledger->trappedAirMl() - 0.3 * $ledger->trappedAirPlusMinusMl();
        $much = $missing > 0.5 * $ledger->trappedAirPlusMinusMl();

        return [
            [
                'topped',
                [
                    'liquid' => self::liquid($at),
                    'ect' => '21',
                    'volume' => $much ? self::litres($missing) : '10 mL',
                    'vessel' => $much ? 'jug' : 'syringe',
                    'level' => 'mark',
                ],
                3,
            ],
        ];
    }

    /** @return list<Answer> a cold test that holds */
    private static function pressed(Situation $at): array
    {
        $start = min(88.0, $at->facts()->capKpa ?? 50.0);

        return [['pumped', ['start' => (string) $start], 5.5], ['stood', ['end' => (string) ($start - 1.0)], 1]];
    }

    /** @return array<string, string> what a form proposes */
    private static function proposed(Form $form): array
    {
        return array_combine(
            self::names($form),
            array_map(fn (Field $field) => (string) $field->default, $form->fields),
        );
    }

    private static function litres(float $ml): string
    {
        return (string) round($ml / 1000.0, 2);
    }

    /** A share of the room that is left in the circuit now, as it would be typed. */
    private static function room(Situation $at, float $share): string
    {
        return (string) round($share * max(100.0, $at->job->ledger()->trappedAirMl()) / 1000.0, 2);
    }

    /** All but what stays inside. */
    private static function runsOut(Situation $at): string
    {
        $stays = Plan::of($at)->predicted->retainedMl;

        return (string) round(max(0.1, ($at->job->ledger()->contentMl - $stays) / 1000.0), 2);
    }

    private static function justBelowLimit(Situation $at): string
    {
        return (string) floor(min(92.0, StopLimitAtNeck::of($at, Neck::Sealed)->limit->degC() - 1.0));
    }

    /** @return list<Answer> a cycle that proves whatever this vehicle can show, below its own limit */
    private static function hotEnough(Situation $at): array
    {
        $facts = $at->facts();
        $answers = self::ANSWERS['heat_cycle'];
        $by = Plan::of($at)->school->warmUp();
        $neck = NeckAtRun::orLikely($at);
        $by = $neck === $by->neck() ? $by : WarmUp::Usual;
        $limit = StopLimitAtNeck::of($at, $neck)->limit->degC();
        $coolant = floor(min(97.0, $limit - 1.0, ($facts->fanOnC ?? 200.0) + 2.0));
        $answers[1][1] = [
            'ect' => (string) $coolant,
            'far' => (string) ($coolant - 6.0),
            'bubbles' => $neck === Neck::Sealed ? 'hidden' : 'none',
            'sign' => 'none',
        ] + array_fill_keys(array_map(fn (string $o) => "outlet_{$o}", $facts->outlets), '64');

        $answers[0][1]['neck'] = $neck->value;
        $off = array_pop($answers);

        return match ($by) {
            WarmUp::Usual, WarmUp::VentBetween, WarmUp::UnderFunnel => [...$answers, $off],
            WarmUp::OpenNeck => [
                ...$answers,
                ['topped', ['volume' => '0.1', 'vessel' => 'jug', 'liquid' => self::liquid($at)], 1],
                ['capped', [], 1],
                $off,
            ],
            WarmUp::LooseCap => [
                ...$answers,
                ['shut_off', [], 5],
                ['topped', ['volume' => '10 mL', 'vessel' => 'syringe', 'liquid' => self::liquid($at)], 2],
                ...$at->step->params->whole('round') >= Plan::of($at)->school->looks() ? [['capped', [], 600]] : [],
            ],
        };
    }

    /** What is topped up with: what was mixed, as long as something of it is left. */
    private static function liquid(Situation $at): string
    {
        return TopUp::liquidField($at)->default ?? 'premix';
    }
}
