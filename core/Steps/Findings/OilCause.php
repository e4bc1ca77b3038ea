<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\Findings;

use Aqbel\Core\Job\JobState;

/** Where oil gets into the coolant. */
final readonly class OilCause
{
    public const CAUSES = [
        'oil_cooler' => 'Oil cooler', 'gearbox_cooler' => 'Gearbox oil cooler', 'head_gasket' => 'Head gasket',
        'spilt' => 'Oil spilt into the neck', 'unknown' => 'Not found yet',
    ];

    private function __construct(public string $code)
    {
    }

    /** Null while nobody has said. */
    public static function of(JobState $job): ?self
    {
        $entry = $job->lastOf('find_cause', 'cause');

        return $entry === null ? null : new self($entry->text('cause'));
    }

    public static function from(string $code): self
    {
        return new self($code);
    }

    /** In words. */
    public function label(): string
    {
        return mb_strtolower(self::CAUSES[$this->code] ?? $this->code);
    }

    /** @return array<string, string> what the close-up must show mended, by item code */
    public function toMend(): array
    {
        return in_array($this->code, ['unknown', 'spilt'], true) ? [] : ['oil' => "Mended: {$this->label()}"];
    }
}
