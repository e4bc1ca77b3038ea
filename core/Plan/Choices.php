<?php

declare(strict_types=1);

namespace Aqbel\Core\Plan;

use Aqbel\Core\Circuit\Circuit;
use Aqbel\Core\Circuit\Port;
use Aqbel\Core\Matter\Atmosphere;
use Aqbel\Core\Mixing\Compatibility;
use Aqbel\Core\Mixing\Mix;
use Aqbel\Core\Mixing\RinseChain;
use Aqbel\Core\Quantity\Length;
use Aqbel\Core\Quantity\Volume;

/** What was decided at planning: the kind of job, what was opened, the school, the place and the house rules. */
final readonly class Choices
{
    public const GRAVITY = 'gravity';

    public const VACUUM = 'vacuum';

    public const REPAIR = 'repair';

    public const CHANGE = 'change';

    public const LOST = 'lost';

    public const BLEED = 'bleed';

    public const TOOLS = ['vacuum_filler' => 'Vacuum filler, compressed air', 'pressure_tester' => 'Pressure tester', 'refractometer' => 'Refractometer', 'funnel' => 'High funnel with adapter', 'ramps' => 'Ramps or lift for the nose'];

    /**
     * @param  list<string>  $opened  passages of the circuit that were or will be opened
     * @param  list<string>  $tools  at hand, of TOOLS
     * @param  ?list<string>  $bleeds  bleed points to be used; all of them when null
     * @param  list<string>  $drains  drain ports in the order they are opened
     * @param  string  $jobKind  REPAIR, CHANGE, LOST or BLEED
     * @param  string  $content  what is in it now, a Compatibility
     * @param  float  $stockFraction  glycol share of what is poured: 1 for concentrate, less for premix
     * @param  ?float  $frostC  frost protection the target was chosen for
     * @param  array{odometer_km?: ?float, hours?: ?float, since_km?: ?float, since_months?: ?float, since_hours?: ?float, first?: bool}  $usage  of the vehicle, as far as known
     */
    public function __construct(
        public string $jobKind,
        public string $complaint,
        public string $school,
        public array $opened,
        public array $drains,
        public float $elevationM,
        public float $noseLiftMm,
        public float $targetFraction,
        public float $cureMinutes,
        public HouseRules $rules,
        public array $tools = ['vacuum_filler', 'pressure_tester', 'refractometer', 'funnel', 'ramps'],
        public float $headMm = 0.0,
        public ?array $bleeds = null,
        public string $content = 'manual',
        public float $stockFraction = 1.0,
        public ?float $frostC = null,
        public array $usage = [],
    ) {
    }

    /** The same choices by another school. */
    public function with(string $school): self
    {
        return new self(...[...get_object_vars($this), 'school' => $school]);
    }

    /**
     * The same choices with these drains, in this order.
     *
     * @param  list<string>  $drains
     */
    public function draining(array $drains): self
    {
        return new self(...[...get_object_vars($this), 'drains' => $drains]);
    }

    public function compatibility(): Compatibility
    {
        return Compatibility::from($this->content);
    }

    /** Coolant has been disappearing: the drip is found on the cold circuit before anything is drained. */
    public function leakFirst(): bool
    {
        return $this->jobKind === self::LOST || $this->complaint === 'falling';
    }

    /** The more comes out, the better: at a change, and wherever the old coolant must not stay. */
    public function wantsAllOut(): bool
    {
        return $this->jobKind === self::CHANGE || $this->compatibility() !== Compatibility::AsManual;
    }

    /** Glycol share of what is in it before the work, as far as it is known. */
    public function presumedFraction(Circuit $circuit): float
    {
        return $this->compatibility() === Compatibility::Water ? 0.0 : $circuit->facts->targetFraction;
    }

    /** How often it has to be rinsed for what is in it now; what the drain shows may add to that. */
    public function rinses(float $usableMl, float $retainedMl): int
    {
        $allowed = $this->compatibility()->oldShareAllowed($this->rules->oldShare);
        $keeps = $retainedMl / $usableMl;

        return $allowed === null || $keeps >= 1.0 ? 0 : RinseChain::from($keeps, $keeps, $usableMl, $allowed)->rinses;
    }

    /** What the circuit takes when this much stays inside after the drain. */
    public function mix(Circuit $circuit, float $usableMl, float $retainedMl): Mix
    {
        $keeps = min(1.0, $retainedMl / $usableMl);
        $fraction = $this->presumedFraction($circuit) * $keeps ** $this->rinses($usableMl, $retainedMl);

        return new Mix(Volume::millilitres($usableMl), Volume::millilitres($keeps * $usableMl), $fraction, $this->targetFraction, $this->stockFraction);
    }

    public function atmosphere(): Atmosphere
    {
        return Atmosphere::atElevation(Length::metres($this->elevationM));
    }

    /**
     * Bleed points of this circuit that the fill uses, in the circuit's own order.
     *
     * @return list<string>
     */
    public function bleedsOf(Circuit $circuit): array
    {
        $all = array_map(fn (Port $port) => $port->id, $circuit->portsOf('bleed'));

        return $this->bleeds === null ? $all : array_values(array_intersect($all, $this->bleeds));
    }

    public function has(string $tool): bool
    {
        return in_array($tool, $this->tools, true);
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [...get_object_vars($this), 'rules' => $this->rules->toArray()];
    }

    /** @param  array<string, mixed>  $data */
    public static function fromArray(array $data): self
    {
        return new self(...[...$data, 'rules' => HouseRules::fromArray($data['rules'])]);
    }
}
