<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\Findings;

use Aqbel\Core\Job\JobState;
use Aqbel\Core\Values;

/** Where coolant was seen to leave the circuit, or what was tested when none was. */
final readonly class Drip
{
    public const PLACES = [
        'none' => 'None seen', 'cap' => 'Cap or neck', 'hose' => 'Hose or clamp', 'pump' => 'Pump', 'radiator' => 'Radiator',
        'heater' => 'Heater, wet carpet', 'plug' => 'Plug or cock', 'gasket' => 'Gasket',
    ];

    private function __construct(private Values $seen)
    {
    }

    /** Null while nobody has looked. */
    public static function of(JobState $job): ?self
    {
        $entry = $job->lastOf('find_drip', 'drip');

        return $entry === null ? null : new self($entry->values);
    }

    public static function from(Values $seen): self
    {
        return new self($seen);
    }

    /** The part, in words; null when none was seen. */
    public function place(): ?string
    {
        $place = $this->seen->text('place');

        return $place === 'none' ? null : mb_strtolower(self::PLACES[$place] ?? $place);
    }

    /** As it was typed. */
    public function where(): string
    {
        return $this->seen->text('where');
    }

    public function gas(): bool
    {
        return $this->seen->text('gas') === 'gas';
    }

    /** No drip, and nobody has tested for combustion gas. */
    public function unexplained(): bool
    {
        return $this->place() === null && $this->seen->text('gas') === 'undone';
    }

    /** @return array<string, string> what the close-up must show mended, by item code */
    public function toMend(): array
    {
        return array_filter([
            'drip' => $this->place() === null
                ? null
                : "Mended: {$this->place()}".($this->where() === '' ? '' : ", {$this->where()}"),
            'gas' => $this->gas() ? 'Mended: the way of the combustion gas into the coolant' : null,
        ]);
    }
}
