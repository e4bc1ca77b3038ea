<?php

declare(strict_types=1);

namespace App\Plan;

use App\Models\Job;
use App\Models\JobTemplate;
use App\Models\LastJob;
use App\Models\Shop;
use App\Models\Vehicle;
use App\Shop\Elevation;
use Aqbel\Core\Circuit\Circuit;
use Aqbel\Core\Circuit\Part;
use Aqbel\Core\Circuit\Port;
use Aqbel\Core\Circuit\PortKind;
use Aqbel\Core\Heat\Shelter;
use Aqbel\Core\Mixing\Compatibility;
use Aqbel\Core\Plan\Choices;
use Aqbel\Core\Plan\Complaint;
use Aqbel\Core\Plan\JobKind;
use Aqbel\Core\Plan\School;
use Aqbel\Core\Plan\Schools;
use Aqbel\Core\Plan\Tool;
use Aqbel\Core\Quantity\Dimension;
use Aqbel\Core\Quantity\UnitSystem;
use Aqbel\Core\Schools\Aid;
use Aqbel\Core\Schools\RunsUntil;
use Aqbel\Core\Schools\WarmedBy;
use Aqbel\Core\Schools\Way;
use Illuminate\Support\Collection;

/** What can be chosen for a job, and what is chosen now. */
final readonly class PlanPage
{
    public const MOST_LISTED = 30;

    /**
     * @param  Collection<int, Vehicle>  $vehicles
     * @param  Collection<int, JobTemplate>  $templates
     * @param  bool  $asksForAWay  else the one that is planned is the usual one here
     */
    public function __construct(
        public Collection $vehicles,
        public Vehicle $vehicle,
        private Circuit $circuit,
        private Choices $choices,
        private ?LastJob $before,
        private UnitSystem $units,
        private Schools $schools,
        public Worked $worked,
        public ?Job $open,
        public Collection $templates,
        public bool $mayKeepTemplates,
        private bool $asksForAWay,
    ) {
    }

    /** Few enough to be chosen from a list; more are searched for. */
    public function listsVehicles(): bool
    {
        return $this->vehicles->count() <= self::MOST_LISTED;
    }

    public function kind(): Choice
    {
        return new Choice('kind', 'Job', self::labels(JobKind::cases()), $this->choices->jobKind->value);
    }

    /** @return list<Choice> that have a usual answer */
    public function questions(): array
    {
        $schools = $this->schoolLabels();
        $complaints = array_values(
            array_filter(
                Complaint::cases(),
                fn (Complaint $one) => $one->fits($this->circuit) || $one === $this->choices->complaint,
            ),
        );

        return [
            new Choice('complaint', 'Complaint', self::labels($complaints), $this->choices->complaint->value),
            new Choice(
                'content',
                'In it now',
                self::labels(Compatibility::cases()),
                $this->choices->content->value,
                Compatibility::AsManual->value,
            ),
            new Choice(
                'school',
                'Filled',
                $schools,
                $this->way() === null ? $this->choices->school : $this->way()->by->id(),
                $this->asksForAWay ? null : $this->choices->school,
            ),
            new Choice(
                'stock',
                'Poured',
                ['concentrate' => 'Concentrate and water', 'premix' => 'Premix'],
                $this->choices->stockFraction < 1.0 ? 'premix' : 'concentrate',
            ),
        ];
    }

    /**
     * What is ticked, in words.
     *
     * @param  list<Tick>  $ticks
     */
    public function said(array $ticks): string
    {
        $ticked = array_map(fn (Tick $tick) => $tick->label, array_filter($ticks, fn (Tick $tick) => $tick->ticked));

        return $ticked === [] ? 'none' : implode(', ', $ticked);
    }

    public function saidMixture(): string
    {
        $frost = $this->choices->frostC;

        return $this->units->format($this->choices->targetFraction, Dimension::Fraction)
            .($frost === null ? '' : ' for '.$this->units->format($frost, Dimension::Temperature));
    }

    /** Whether the strength is another than the manual’s. */
    public function mixtureDiffers(): bool
    {
        return $this->choices->frostC !== null
            || abs($this->choices->targetFraction - $this->circuit->facts->targetFraction) > 1.0e-6;
    }

    public function saidHeights(): string
    {
        $length = fn (float $mm): string => $this->units->format($mm, Dimension::Length);
        $said = array_filter([
            $this->choices->noseLiftMm > 0.0 ? 'nose '.$length($this->choices->noseLiftMm) : '',
            $this->choices->headMm > 0.0 ? 'funnel '.$length($this->choices->headMm) : '',
            $this->choices->cureMinutes > 0.0 ? 'cure '.round($this->choices->cureMinutes).' min' : '',
        ]);

        return $said === [] ? 'none' : implode(', ', $said);
    }

    public function isLost(): bool
    {
        return $this->choices->jobKind === JobKind::Lost;
    }

    /** What the parts that are ticked are, by the kind of job. */
    public function openedIs(): string
    {
        return $this->isLost() ? 'Replaced already, where it was lost' : 'Opened';
    }

    public function hasOpened(): bool
    {
        return $this->choices->opened !== [];
    }

    /** @return list<Tick> parts that may be opened */
    public function parts(): array
    {
        $tick = function (Part $part): Tick {
            $behind = $this->circuit->passages[$part->id]->behind;
            $covers = array_map(fn (string $id) => mb_strtolower($this->circuit->covers[$id]->label), $behind);

            return new Tick(
                implode(',', $part->passages),
                $part->label,
                $covers === [] ? '' : 'behind '.implode(', ', $covers),
                array_intersect($part->passages, $this->choices->opened) !== [],
            );
        };

        return array_map($tick, $this->circuit->parts());
    }

    /** @return list<Tick> */
    public function drains(): array
    {
        return $this->ports(PortKind::Drain, $this->choices->drains);
    }

    /** @return list<Tick> */
    public function bleeds(): array
    {
        return $this->ports(PortKind::Bleed, $this->choices->bleedsOf($this->circuit));
    }

    /** @return list<Tick> */
    public function tools(): array
    {
        return array_map(
            fn (Tool $tool) => new Tick($tool->value, $tool->label(), '', $this->choices->has($tool)),
            Tool::cases(),
        );
    }

    /** @return list<Stepper> */
    public function strengths(): array
    {
        $frost = $this->choices->frostC;

        return [
            new Stepper(
                'target',
                'Glycol wanted',
                $this->units->format($this->choices->targetFraction, Dimension::Fraction, false),
                '%',
            ),
            $this->stepper('frost', 'or frost protection to', $frost, Dimension::Temperature),
        ];
    }

    /** @return list<Stepper> */
    public function heights(): array
    {
        return [
            $this->stepper('lift', 'Nose raised', $this->choices->noseLiftMm, Dimension::Length),
            $this->stepper('head', 'Funnel above the neck', $this->choices->headMm, Dimension::Length),
            new Stepper('cure', 'Sealant cures, 0 for none', (string) $this->choices->cureMinutes, 'min'),
        ];
    }

    /** Where it is done and how high that is, where that is not the shop. */
    public function saidPlace(): string
    {
        $elsewhere = abs($this->choices->elevationM - Shop::here()->elevation_m) >= 1.0;
        $said = array_filter([
            $elsewhere ? $this->units->sayHeight(1000.0 * $this->choices->elevationM) : '',
            $this->choices->shelter === Shelter::Open ? '' : lcfirst($this->choices->shelter->label()),
        ]);

        return $said === [] ? 'In the shop' : ucfirst(implode(', ', $said));
    }

    public function elevation(): Stepper
    {
        return new Stepper(
            'elevation',
            Elevation::field()->label,
            $this->units->height()->typed(1000.0 * $this->choices->elevationM),
            $this->units->height()->value,
        );
    }

    public function shelter(): Choice
    {
        return new Choice('shelter', 'While it cools', self::labels(Shelter::cases()), $this->choices->shelter->value);
    }

    /** @return list<Stepper> how far it has run, and how far at the last change */
    public function usage(): array
    {
        $road = $this->units->road();
        $km = $this->before?->usage->odometerKm;
        $lastRoad = $km === null ? '' : number_format($road->fromBase($km * 1.0e6), 0, '.', '');

        return [
            new Stepper('odometer', 'Odometer now', '', $road->value),
            new Stepper('last_odometer', 'at the last change', $lastRoad, $road->value),
            new Stepper('hours', 'Running hours now', '', 'h'),
            new Stepper('last_hours', 'at the last change', (string) $this->before?->usage->hours, 'h'),
        ];
    }

    public function lastMonth(): string
    {
        return $this->before->month ?? '';
    }

    private function stepper(string $name, string $label, ?float $value, Dimension $in): Stepper
    {
        return new Stepper(
            $name,
            $label,
            $value === null ? '' : $this->units->format($value, $in, false),
            $this->units->unit($in)->value,
        );
    }

    /**
     * @param  list<string>  $ticked
     * @return list<Tick>
     */
    private function ports(PortKind $kind, array $ticked): array
    {
        return array_map(
            fn (Port $p) => new Tick($p->id, $p->label, $p->access, in_array($p->id, $ticked, true)),
            $this->circuit->portsOf($kind),
        );
    }

    /** The way that is put together; null where one by name is chosen. */
    public function way(): ?Way
    {
        $school = $this->schools->of($this->choices->school);

        return $school instanceof Way ? $school : null;
    }

    /** @return list<Choice> how it is warmed up, and what ends it; as the way by name has it where nothing is said */
    public function afterTheFill(): array
    {
        $usual = ['' => 'As usual with this way'];

        return [
            new Choice(
                'warm_up',
                'Warmed up',
                $usual + self::labels(WarmedBy::cases()),
                $this->way()->warmedBy->value ?? '',
                '',
            ),
            new Choice('end', 'Done', $usual + self::labels(RunsUntil::cases()), $this->way()->until->value ?? '', ''),
        ];
    }

    /** @return list<Tick> */
    public function aids(): array
    {
        return array_map(
            fn (Aid $aid) => new Tick($aid->value, ucfirst($aid->label()), '', $this->way()?->has($aid) === true),
            Aid::cases(),
        );
    }

    /** @return array<string, string> */
    private function schoolLabels(): array
    {
        $runnable = array_filter($this->schools->for($this->circuit), fn (School $school) => $school->runs());

        return array_combine(
            array_map(fn (School $s) => $s->id(), $runnable),
            array_map(fn (School $s) => $s->label(), $runnable),
        );
    }

    /**
     * @param  list<JobKind>|list<Complaint>|list<Compatibility>|list<WarmedBy>|list<RunsUntil>|list<Shelter>  $cases
     * @return array<string, string>
     */
    private static function labels(array $cases): array
    {
        $labels = [];
        foreach ($cases as $case) {
            $labels[$case->value] = $case->label();
        }

        return $labels;
    }
}
