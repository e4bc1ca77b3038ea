<?php

declare(strict_types=1);

namespace Aqbel\Core\Observed;

use Aqbel\Core\InvalidField;
use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Told;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Values;

/** The fill stands at its mark, or in the funnel; what was poured since may be told by what is left in the bucket. */
final readonly class LevelReached extends Report
{
    public const FORM = 'at_mark';

    private const IN_BUCKET = 'in_bucket';

    private const MOST_ML = 200_000.0;

    /** @param  ?float  $inBucketMl  left there; null where it was told what was poured, or nothing was */
    private function __construct(Told $told, public ?float $inBucketMl)
    {
        parent::__construct($told);
    }

    public static function of(Entry $line): ?static
    {
        return $line->form === self::FORM
            ? new self(Told::by($line), VesselReading::of($line) === null ? $line->number(self::IN_BUCKET) : null)
            : null;
    }

    public static function inBucketField(): Field
    {
        return Field::volume(self::IN_BUCKET, 'Or: left in the bucket', self::MOST_ML)->optional();
    }

    /** @throws InvalidField where both are told, or more is left than there can be */
    public static function admit(Situation $at, Values $values, float $mostMl): void
    {
        $left = $values->number(self::IN_BUCKET);
        if ($left !== null && $values->number(VesselReading::VOLUME) !== null) {
            throw new InvalidField(self::IN_BUCKET, 'Enter what was poured, or what is left in the bucket, not both.');
        }
        if ($left !== null && $left > $mostMl) {
            throw new InvalidField(
                self::IN_BUCKET,
                "No more than {$at->litres($mostMl)} can be left of what was mixed and not poured.",
            );
        }
    }
}
