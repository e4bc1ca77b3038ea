<?php

declare(strict_types=1);

namespace App\Calc;

use Aqbel\Core\Circuit\Circuit;
use Aqbel\Core\Circuit\Format\CircuitReader;
use Aqbel\Core\Circuit\PortKind;
use Aqbel\Core\Circuit\Volumes;
use Aqbel\Core\Document;
use Aqbel\Core\Heat\Shelter;
use Aqbel\Core\InvalidField;
use Aqbel\Core\Matter\Atmosphere;
use Aqbel\Core\Matter\Glycol;
use Aqbel\Core\Matter\Mixture;
use Aqbel\Core\Mixing\Compatibility;
use Aqbel\Core\Observed\SetUp;
use Aqbel\Core\Plan\Choices;
use Aqbel\Core\Plan\Complaint;
use Aqbel\Core\Plan\HouseRules;
use Aqbel\Core\Plan\JobKind;
use Aqbel\Core\Plan\LeftBehind;
use Aqbel\Core\Plan\Tool;
use Aqbel\Core\Plan\WarmUp;
use Aqbel\Core\Quantity\Length;
use Aqbel\Core\Quantity\Pressure;
use Aqbel\Core\Schools\Aid;
use Aqbel\Core\Schools\FillBy;
use Aqbel\Core\Schools\RunsUntil;
use Aqbel\Core\Schools\SchoolCatalogue;
use Aqbel\Core\Schools\WarmedBy;
use Aqbel\Core\Schools\Way;

/** What a script gives a topic: a document, and the things of the trade that several topics read from one. */
final readonly class Input extends Document
{
    private const CHOICES = [
        'job_kind',
        'complaint',
        'school',
        'fill',
        'warm_up',
        'aids',
        'end',
        'opened',
        'drains',
        'elevation_m',
        'shelter',
        'nose_lift_mm',
        'target_fraction',
        'cure_min',
        'tools',
        'head_mm',
        'bleeds',
        'content',
        'on_what_stays',
        'left',
    ];

    /** `barometer_kpa` where given, else `elevation_m`; one of them is needed unless a default is named. */
    public function atmosphere(bool $seaLevelByDefault = false): Atmosphere
    {
        if ($this->has('barometer_kpa')) {
            return Atmosphere::ofBarometer(Pressure::kilopascals($this->number('barometer_kpa', 50, 110)));
        }

        return Atmosphere::atElevation(
            Length::metres($this->number('elevation_m', -500, 5000, $seaLevelByDefault ? 0.0 : null)),
        );
    }

    public function coolant(): Mixture
    {
        $base = $this->choice('base', array_map(fn (Glycol $b) => $b->value, Glycol::cases()));

        return new Mixture(Glycol::from($base), $this->number('volume_fraction', 0, 1));
    }

    /** @throws InvalidField with the path inside the circuit */
    public function circuit(string $name = 'circuit'): Circuit
    {
        try {
            return CircuitReader::read($this->object($name));
        } catch (InvalidField $invalid) {
            throw $invalid->field === $name ? $invalid : $invalid->within($name);
        }
    }

    /** What was decided at planning; all of it may be left to the circuit and the usual rules. */
    public function choices(Circuit $circuit, string $name = 'choices'): Choices
    {
        $in = $this->child($name);
        foreach (array_keys($in->toArray()) as $key) {
            if (! in_array($key, self::CHOICES, true)) {
                throw $in->invalid(
                    (string) $key,
                    'There is no such choice. There are: '.implode(', ', self::CHOICES).'.',
                );
            }
        }

        $choices = new Choices(
            JobKind::from($in->choice('job_kind', array_column(JobKind::cases(), 'value'), JobKind::Repair->value)),
            Complaint::from(
                $in->choice('complaint', array_column(Complaint::cases(), 'value'), Complaint::None->value),
            ),
            $in->way($circuit),
            $in->known('opened', array_map(strval(...), array_keys($circuit->passages))),
            $in->has('drains')
                ? $in->known('drains', $circuit->portIds(PortKind::Drain))
                : $circuit->portIds(PortKind::Drain),
            $in->number('elevation_m', -500, 5000, 0),
            $in->number('nose_lift_mm', 0, 1500, 0),
            $in->number('target_fraction', 0, 1, $circuit->facts->targetFraction),
            $in->number('cure_min', 0, 10_000, 0),
            new HouseRules,
            $in->has('tools')
                ? array_map(Tool::from(...), $in->known('tools', array_column(Tool::cases(), 'value')))
                : null,
            $in->number('head_mm', 0, 1500, 0),
            $in->has('bleeds') ? $in->known('bleeds', $circuit->portIds(PortKind::Bleed)) : null,
            Compatibility::from(
                $in->choice('content', array_column(Compatibility::cases(), 'value'), Compatibility::AsManual->value),
            ),
            shelter: Shelter::from(
                $in->choice('shelter', array_column(Shelter::cases(), 'value'), Shelter::Open->value),
            ),
            left: $in->has('left') ? $in->child('left')->left($circuit) : null,
            onWhatStays: $in->yes('on_what_stays'),
        );

        return $in->has('drains') || ! $choices->drainsNothing() ? $choices : $choices->draining([]);
    }

    /** What a job before that was given up, or signed short of its mark, has left. */
    private function left(Circuit $circuit): LeftBehind
    {
        $ranAt = $this->optionalNumber('ran_at', 0, 4.0e9);

        return new LeftBehind(
            $this->line('job', 40) ?? '',
            $this->known('open', array_map(strval(...), array_keys($circuit->ports))),
            $this->optionalNumber('content_ml', 0, 1_000_000),
            $this->number('plus_minus_ml', 0, 1_000_000, 0),
            $this->yes('signed'),
            $this->known('set_up', array_column(SetUp::cases(), 'value')),
            $this->yes('stopped'),
            $ranAt === null ? null : (int) $ranAt,
        );
    }

    /** A yes or no that may be left out for no. */
    private function yes(string $name): bool
    {
        return ! $this->has($name) || is_bool($this->toArray()[$name])
            ? $this->isTrue($name)
            : throw $this->invalid($name, 'Say true or false.');
    }

    /**
     * Volumes by passage, mL; none where it is left out.
     *
     * @throws InvalidField naming an unknown passage, or one that holds less
     */
    public function volumes(string $name, Circuit $circuit): Volumes
    {
        $in = $this->child($name);
        $volumes = [];
        foreach (array_keys($in->toArray()) as $id) {
            $passage = $circuit->passages[$id] ?? throw $in->invalid((string) $id, 'There is no such passage.');
            $volumes[(string) $id] = $in->number((string) $id, 0, $passage->volumeMl);
        }

        return new Volumes($volumes);
    }

    /** The school that is named, or the way that is put together from its parts. */
    private function way(Circuit $circuit): string
    {
        $id = $this->has('school') ? $this->text('school') : 'gravity';
        if (! $this->has('fill') && ! $this->has('warm_up') && ! $this->has('aids') && ! $this->has('end')) {
            return $id;
        }
        $by = SchoolCatalogue::standard()->of($id);
        if ($this->has('fill')) {
            $fill = FillBy::from($this->choice('fill', array_column(FillBy::cases(), 'value')));
            $by = $fill->school($circuit)
                ?? throw $this->invalid('fill', "This circuit has no place to be filled that way: {$fill->value}.");
        }
        $warm = WarmedBy::from(
            $this->choice(
                'warm_up',
                array_column(WarmedBy::cases(), 'value'),
                $by->warmUp() === WarmUp::UnderFunnel ? WarmedBy::UnderFunnel->value : WarmedBy::Sealed->value,
            ),
        );
        $aids = $this->has('aids')
            ? array_map(Aid::from(...), $this->known('aids', array_column(Aid::cases(), 'value')))
            : [];
        $until = RunsUntil::from(
            $this->choice('end', array_column(RunsUntil::cases(), 'value'), RunsUntil::OneRun->value),
        );

        return Way::made($by, $warm, $aids, $until)?->id()
            ?? throw $this->invalid('school', 'This one is a way of its own: put together a `fill` instead.');
    }

    /**
     * Names that must be among those given.
     *
     * @param  list<string>  $known
     * @return list<string>
     */
    private function known(string $name, array $known): array
    {
        $names = $this->names($name);
        foreach ($names as $i => $one) {
            if (! in_array($one, $known, true)) {
                throw $this->invalid("{$name}.{$i}", "{$name} may list: ".implode(', ', $known).'.');
            }
        }

        return $names;
    }

    /** The elevation of `atmosphere()`, or that at which its barometer stands in a standard atmosphere; m. */
    public function elevationM(): float
    {
        return $this->atmosphere(seaLevelByDefault: true)->elevation()->mm() / 1000.0;
    }
}
