<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\Drain;

use Aqbel\Core\Job\Situation;
use Aqbel\Core\Judged\DrainGave;
use Aqbel\Core\Judged\DrainGaveCode;
use Aqbel\Core\Judged\DrainsInTurn;
use Aqbel\Core\Observed\DrainRan;
use Aqbel\Core\Observed\Flowed;
use Aqbel\Core\Plan\Plan;
use Aqbel\Core\Plan\VesselUse;
use Aqbel\Core\Saying\Listed;
use Aqbel\Core\Saying\Verdict;
use Aqbel\Core\Steps\AtPoint;
use Aqbel\Core\Steps\Perhaps;

/** What a drain point came to, in the reader's units, and what stands behind it. */
final readonly class DrainWords
{
    /** Of a region with more parts these are named. */
    private const NAMED_PARTS = 3;

    public function __construct(private Situation $at)
    {
    }

    /** @return list<string> */
    public function instructions(): array
    {
        $point = new AtPoint($this->at);
        $port = $this->at->port();
        $bleeds = $this->at->circuit()->hasBleedPoints() ? ' and top bleed points open' : '';
        $cap = "Pan underneath first. Cap off{$bleeds}: air gets in, it drains fast. Cap on: the "
            .'vacuum holds the coolant back, good while a hose is pulled off; open it once the pan is under.';
        $torque = $point->torque();

        return array_values(
            array_filter([
                $point->access(),
                $this->at->step->params->ticked('first') ? $cap : null,
                $this->glugs(),
                'Open '
                .($port->tool === '' ? 'it' : "with {$port->tool}")
                .' until it flows; do not take a drain cock out.',
                'When it has stopped, read the vessel on a level floor.'
                .$this->readFiner()
                .($this->at->step->params->ticked('first')
                    ? ''
                    : ' If it ran into the same one as another: their sum once, and nothing here.'),
                'Close it'
                .($port->washer === '' ? '' : " with {$port->washer}")
                .($torque === null ? ', by feel: no figure known.' : ", {$torque}."),
            ]),
        );
    }

    /** Where a mark of the pan is much of all that a small circuit holds. */
    private function readFiner(): string
    {
        $vessels = Plan::of($this->at)->rules()->vessels;
        $capacity = $this->at->circuit()->capacityMl();
        $pan = $vessels->for(VesselUse::Drain);
        $finer = $vessels->finerFor($capacity);

        return $finer === null
            ? ''
            : sprintf(
                ' One of its marks is %.0f %% of all this circuit holds: better pour it over and read “%s”.',
                100.0 * $pan->graduationMl / $capacity,
                $finer->name,
            );
    }

    public function of(DrainGave $gave): Verdict
    {
        $together = count($gave->together) > 1 ? 'Together ' : '';
        [$out, $expected] = [$this->at->litres($gave->outMl), $this->at->litres($gave->expectedMl)];

        return match ($gave->code) {
            DrainGaveCode::LeftShut => Verdict::wait(
                $gave->code(),
                'Left shut',
                'Nobody opened it: nothing came out here, and what stands above it stays inside.',
            ),
            DrainGaveCode::RunsOn => Verdict::wait(
                $gave->code(),
                'Runs on',
                'The cap is off now: record what more came out.',
            ),
            DrainGaveCode::WithOthers => Verdict::wait(
                $gave->code(),
                'With the others',
                "{$out} came out here. What all drains gave together is compared with what was predicted.",
            ),
            DrainGaveCode::More => Verdict::wait(
                $gave->code(),
                'More than stands above it',
                "{$together}{$out} came out where {$expected} was predicted: "
                    .'a point before it had not run out, or one of the two was misread.'
                    .Perhaps::aDrainSlipped($this->at, $this->at->step),
            ),
            DrainGaveCode::MixedUp => $this->mixedUp($gave),
            DrainGaveCode::Drained => Verdict::pass(
                $gave->code(),
                'Drained',
                "{$together}{$out} of {$expected} predicted came out.",
            ),
            DrainGaveCode::NothingCame => Verdict::wait(
                $gave->code(),
                'Nothing came',
                "{$expected} was predicted, no more than this vessel tells from nothing: is it open, and clear?",
            ),
            DrainGaveCode::Short => Verdict::wait(
                $gave->code(),
                'Short by '.$this->at->litres((float) $gave->shortMl()),
                $this->whyShort($gave).' Record what more comes out; what stays in dilutes the new fill.',
            ),
        };
    }

    private function mixedUp(DrainGave $gave): Verdict
    {
        $odd = $gave->odd ?? $this->at->step;
        $out = DrainsInTurn::outMl($this->at->job, $odd);
        $label = $this->at->circuit()->port($odd->params->text('port'))->label;

        return Verdict::wait(
            $gave->code(),
            'Which gave what?',
            "{$label}: {$this->at->litres($out)}, where "
                .($out > $gave->boundMl
                    ? "no more than {$this->at->litres($gave->boundMl)} stands above it."
                    : "{$this->at->litres($gave->boundMl)} runs out there and nowhere else.")
                .' Their sum is right: were two numbers exchanged?',
        );
    }

    private function whyShort(DrainGave $gave): string
    {
        $ran = $this->at->latest(DrainRan::class);

        return match (true) {
            DrainGave::capIsOn($this->at) => 'The cap is still on: the vacuum holds it back. '
                .'Pan under it, then open the cap.',
            $ran?->flow === Flowed::Blocked => 'The cock is blocked or seized: '
                .'clear it with wire, or use another drain point.',
            // A figure is looked at sooner than a drain is cleared.
            count($gave->together) > 1 => $this->slipped().'Together they '
                ."gave {$this->at->litres($gave->outMl)} of {$this->at->litres($gave->expectedMl)}: "
                .'no air is getting in, or one of them is blocked. '
                .($this->glugs() ?? "{$this->letAirIn()}, then let them run again."),
            default => $this->slipped().'No air is getting in, or it is blocked. '
                .($this->glugs() ?? "{$this->letAirIn()}, then let it run again."),
        };
    }

    private function slipped(): string
    {
        $asked = ltrim(Perhaps::aDrainSlipped($this->at, $this->at->step));

        return $asked === '' ? '' : "{$asked} ";
    }

    private function letAirIn(): string
    {
        return 'Cap off'
            .($this->at->circuit()->hasBleedPoints() ? ', top bleed points open' : '')
            .($this->at->circuit()->hasHeater() ? ', heater hot' : '');
    }

    /** @param  list<string>  $parts  at least one */
    private static function named(array $parts): string
    {
        $more = count($parts) - self::NAMED_PARTS;

        return Listed::of($more > 1 ? [...array_slice($parts, 0, self::NAMED_PARTS), "{$more} more"] : $parts);
    }

    /** @return list<string> names of the parts it empties */
    public function empties(): array
    {
        $label = fn (string $passage): string => $this->at->circuit()->passages[$passage]->label ?? $passage;

        return array_values(array_unique(array_map($label, $this->at->step->params->list('empties'))));
    }

    /** The region that drains slowly for want of air, with the point that cures it. */
    public function glugs(): ?string
    {
        $circuit = $this->at->circuit();
        foreach (Plan::of($this->at)->predicted->slow as $region) {
            $parts = array_values(
                array_unique(array_map(fn (string $id) => $circuit->passages[$id]->label ?? $id, $region->passages)),
            );
            if (array_intersect($parts, $this->empties()) !== []) {
                return self::named($parts).(count($parts) > 1 ? ' get no air and glug' : ' gets no air and glugs').(
                    $region->airPort === null ? '.' : ": open {$circuit->port($region->airPort)->label}."
                );
            }
        }

        return null;
    }
}
