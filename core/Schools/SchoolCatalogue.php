<?php

declare(strict_types=1);

namespace Aqbel\Core\Schools;

use Aqbel\Core\Circuit\Circuit;
use Aqbel\Core\Circuit\Port;
use Aqbel\Core\Circuit\PortKind;
use Aqbel\Core\Plan\School;
use Aqbel\Core\Plan\Schools;

/** Every school there is, those that can be run first. */
final readonly class SchoolCatalogue implements Schools
{
    /** @param  non-empty-list<School>  $schools */
    public function __construct(private array $schools)
    {
    }

    public static function standard(): self
    {
        return new self([
            new Gravity(),
            new Vacuum(),
            new Watch(),
            new OpenNeck(),
            new LooseCap(),
            new HighFunnel(),
            new Raised(),
            new LargeEngine(),
            new VentBolt(),
            new ManualRoutine(),
            new PressureVent(),
        ]);
    }

    /** The same with one more. */
    public function with(School $school): self
    {
        return new self([...$this->schools, $school]);
    }

    public function for(Circuit $circuit): array
    {
        $further = array_slice($circuit->portsOf(PortKind::Fill), 1);

        return [
            ...$this->schools,
            ...array_map(fn (Port $port) => new EngineFirst($port->id, $port->label), $further),
            ...array_map(fn (Port $port) => new SecondNeck($port->id, $port->label), $further),
        ];
    }

    public function of(string $id): School
    {
        foreach ($this->schools as $school) {
            if ($school->id() === $id) {
                return $school;
            }
        }

        return match (true) {
            str_starts_with($id, Way::ID) => Way::of($id, $this) ?? $this->schools[0],
            str_starts_with($id, EngineFirst::ID) => new EngineFirst(substr($id, strlen(EngineFirst::ID))),
            str_starts_with($id, SecondNeck::ID) => new SecondNeck(substr($id, strlen(SecondNeck::ID))),
            default => $this->schools[0],
        };
    }
}
