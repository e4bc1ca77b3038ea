<?php

declare(strict_types=1);

namespace App\Models;

/**
 * Choices of a plan under a name of the shop's own. What belongs to one vehicle is not among them: its drains, bleed
 * points, strength and heights are its own each time.
 *
 * @property int $id
 * @property string $name
 * @property array<string, string> $choices codes as the Plan page sends them, by field
 */
class JobTemplate extends Row
{
    /** The fields of the Plan page that fit any vehicle. */
    public const FIELDS = ['kind', 'complaint', 'content', 'school', 'stock', 'cure'];

    public $timestamps = false;

    protected $table = 'job_templates';

    protected $casts = ['choices' => 'array'];

    /** The Plan page of a vehicle with these choices. */
    public function plan(Vehicle $vehicle): string
    {
        $known = array_intersect_key($this->choices, array_flip(self::FIELDS));

        return '/jobs/new?'.http_build_query(['vehicle' => $vehicle->id, 'chosen' => 1, 'drains_auto' => 1, ...$known]);
    }
}
