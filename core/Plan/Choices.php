<?php

declare(strict_types=1);

namespace Aqbel\Core\Plan;

use Aqbel\Core\Circuit\Circuit;
use Aqbel\Core\Circuit\PortKind;
use Aqbel\Core\Circuit\Volumes;
use Aqbel\Core\Heat\Shelter;
use Aqbel\Core\Matter\Atmosphere;
use Aqbel\Core\Mixing\Compatibility;
use Aqbel\Core\Mixing\Mix;
use Aqbel\Core\Mixing\RinseChain;
use Aqbel\Core\Quantity\Length;
use Aqbel\Core\Quantity\Volume;

/** What was decided at planning: the kind of job, what was opened, the school, the place and the house rules. */
final readonly class Choices
{
    /** @var list<Tool> at hand */
    public array $tools;

    /**
     * @param  string  $school  id of a way of filling
     * @param  list<string>  $opened  passages of the circuit that were or will be opened
     * @param  list<string>  $drains  drain ports in the order they are opened
     * @param  ?list<Tool>  $tools  at hand; all there are when null
     * @param  ?list<string>  $bleeds  bleed points to be used; all of them when null
     * @param  Compatibility  $content  what is in it now
     * @param  float  $stockFraction  glycol share of what is poured: 1 for concentrate, less for premix
     * @param  ?float  $frostC  frost protection the target was chosen for
     * @param  float  $elevationM  of the place where it is done
     * @param  ?LeftBehind  $left  by a job on this vehicle that was given up
     * @param  Shelter  $shelter  around it while it cools
     * @param  bool  $onWhatStays  whether the fill is reckoned on what the drains leave inside; on an empty circuit, as
     * in plans of before, where not
     */
    public function __construct(
        public JobKind $jobKind,
        public Complaint $complaint,
        public string $school,
        public array $opened,
        public array $drains,
        public float $elevationM,
        public float $noseLiftMm,
        public float $targetFraction,
        public float $cureMinutes,
        public HouseRules $rules,
        ?array $tools = null,
        public float $headMm = 0.0,
        public ?array $bleeds = null,
        public Compatibility $content = Compatibility::AsManual,
        public float $stockFraction = 1.0,
        public ?float $frostC = null,
        public Usage $usage = new Usage,
        public ?LeftBehind $left = null,
        public Shelter $shelter = Shelter::Open,
        public bool $onWhatStays = false,
    ) {
        $this->tools = $tools ?? Tool::cases();
    }

    /** The same choices by another school. */
    public function with(string $school): self
    {
        return $this->but($school, $this->drains, $this->targetFraction, $this->frostC);
    }

    /** The same choices to another mixture, whatever frost the old one was chosen for. */
    public function aimingAt(float $targetFraction): self
    {
        return $this->but($this->school, $this->drains, $targetFraction, null);
    }

    /**
     * The same choices with these drains, in this order.
     *
     * @param  list<string>  $drains
     */
    public function draining(array $drains): self
    {
        return $this->but($this->school, $drains, $this->targetFraction, $this->frostC);
    }

    /** The same in a house of other rules. */
    public function byRules(HouseRules $rules): self
    {
        return $this->but($this->school, $this->drains, $this->targetFraction, $this->frostC, $rules);
    }

    /** The same work somewhere else: limits, boiling, the vacuum’s target and the cool-down follow. */
    public function standing(float $elevationM, Shelter $shelter): self
    {
        return $this->but(
            $this->school,
            $this->drains,
            $this->targetFraction,
            $this->frostC,
            null,
            $elevationM,
            $shelter,
        );
    }

    /** @param  list<string>  $drains */
    private function but(
        string $school,
        array $drains,
        float $targetFraction,
        ?float $frostC,
        ?HouseRules $rules = null,
        ?float $elevationM = null,
        ?Shelter $shelter = null,
    ): self {
        return new self(
            $this->jobKind,
            $this->complaint,
            $school,
            $this->opened,
            $drains,
            $elevationM ?? $this->elevationM,
            $this->noseLiftMm,
            $targetFraction,
            $this->cureMinutes,
            $rules ?? $this->rules,
            $this->tools,
            $this->headMm,
            $this->bleeds,
            $this->content,
            $this->stockFraction,
            $frostC,
            $this->usage,
            $this->left,
            $shelter ?? $this->shelter,
            $this->onWhatStays,
        );
    }

    /** Whether coolant stands in it when the fill begins: what the drains leave, where any is opened. */
    public function fillsOnWhatStays(): bool
    {
        return $this->onWhatStays && $this->drains !== [] && ! $this->arrivesEmpty();
    }

    /**
     * What the fill begins on, of that which the drains leave: a part that was opened has run out.
     */
    public function inside(Volumes $retained): Volumes
    {
        return $this->fillsOnWhatStays() ? $retained->without($this->opened) : new Volumes;
    }

    /**
     * Where it went is known, and what it went by has been replaced: nobody
     * hunts it again. It is pressed all the same after the fill.
     */
    public function leakIsFound(): bool
    {
        return $this->jobKind === JobKind::Lost && $this->opened !== [];
    }

    /**
     * Whether nothing comes out unless somebody wants it: air alone is let
     * out, nothing is inside, or where it was lost is replaced.
     */
    public function drainsNothing(): bool
    {
        return $this->jobKind === JobKind::Bleed || $this->arrivesEmpty() || $this->leakIsFound();
    }

    /** Coolant has been disappearing: the drip is found on the cold circuit before anything is drained. */
    public function leakFirst(): bool
    {
        return $this->complaint === Complaint::Falling || ($this->jobKind === JobKind::Lost && ! $this->leakIsFound());
    }

    /** The more comes out, the better: at a change, and wherever the old coolant must not stay. */
    public function wantsAllOut(): bool
    {
        return ! $this->arrivesEmpty()
            && ($this->jobKind === JobKind::Change || $this->content !== Compatibility::AsManual);
    }

    /** There is nothing in it to drain, or to mix with. */
    public function arrivesEmpty(): bool
    {
        return $this->content === Compatibility::Nothing;
    }

    /** Glycol share of what is in it before the work, as far as it is known. */
    public function presumedFraction(Circuit $circuit): float
    {
        return $this->content === Compatibility::Water ? 0.0 : $circuit->facts->targetFraction;
    }

    /** How often it has to be rinsed for what is in it now; what the drain shows may add to that. */
    public function rinses(float $usableMl, float $retainedMl): int
    {
        $allowed = $this->content->oldShareAllowed($this->rules->oldShare);
        $keeps = $retainedMl / $usableMl;

        return $allowed === null || $keeps >= 1.0 ? 0 : RinseChain::from($keeps, $keeps, $usableMl, $allowed)->rinses;
    }

    /** What the circuit takes when this much stays inside after the drain. */
    public function mix(Circuit $circuit, float $usableMl, float $retainedMl): Mix
    {
        $keeps = min(1.0, $retainedMl / $usableMl);
        $fraction = $this->presumedFraction($circuit) * $keeps ** $this->rinses($usableMl, $retainedMl);

        return new Mix(
            Volume::millilitres($usableMl),
            Volume::millilitres($keeps * $usableMl),
            $fraction,
            $this->targetFraction,
            $this->stockFraction,
        );
    }

    public function atmosphere(): Atmosphere
    {
        return Atmosphere::atElevation(Length::metres($this->elevationM));
    }

    /** Air that a fill may leave, mL. */
    public function airLimitMl(Circuit $circuit): float
    {
        return $this->rules->airShare * $circuit->capacityMl();
    }

    /**
     * Bleed points of this circuit that the fill uses, in the circuit's own order.
     *
     * @return list<string>
     */
    public function bleedsOf(Circuit $circuit): array
    {
        $all = $circuit->portIds(PortKind::Bleed);

        return $this->bleeds === null ? $all : array_values(array_intersect($all, $this->bleeds));
    }

    public function has(Tool $tool): bool
    {
        return in_array($tool, $this->tools, true);
    }
}
