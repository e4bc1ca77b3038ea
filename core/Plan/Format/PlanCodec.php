<?php

declare(strict_types=1);

namespace Aqbel\Core\Plan\Format;

use Aqbel\Core\Circuit\Circuit;
use Aqbel\Core\Plan\Plan;
use Aqbel\Core\Plan\Schools;

/**
 * A plan as a job keeps it. Every format there ever was has a reader of its own, kept for good; a key that is not known
 * counts for nothing.
 */
final readonly class PlanCodec
{
    public const FORMAT = 'aqbel-plan/2';

    public function __construct(private Schools $schools)
    {
    }

    /** @return array<string, mixed> */
    public static function write(Plan $plan): array
    {
        return ['format' => self::FORMAT] + Version2::write($plan);
    }

    /** @param  array<mixed>  $data */
    public function read(array $data, Circuit $circuit): Plan
    {
        return match ($data['format'] ?? null) {
            null => (new Version1($circuit, $this->schools))->read(Stored::of($data)),
            default => Version2::read(Stored::of($data), $this->schools),
        };
    }
}
