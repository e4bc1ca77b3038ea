<?php

declare(strict_types=1);

namespace Aqbel\Core\Observed;

use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Told;
use Aqbel\Core\Plan\VesselUse;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\Form;

/** What came out at a drain point, how it ran, and whether it is closed again. */
final readonly class DrainRan extends Report
{
    private const FORM = 'out';

    private const FLOW = 'flow';

    /** Whether it ran at the same time as others: then they are judged by their sum. */
    private const TOGETHER = 'together';

    private const WITH_OTHERS = 'with';

    private const RAN = ['' => 'by itself', self::WITH_OTHERS => 'with the others: what they gave together counts'];

    private const SHUT = 'shut';

    private function __construct(Told $told, public VesselReading $read, public Flowed $flow, public bool $withOthers, public bool $shut)
    {
        parent::__construct($told);
    }

    public static function of(Entry $line): ?static
    {
        $read = $line->form === self::FORM ? VesselReading::of($line) : null;

        return $read === null ? null : new self(
            Told::by($line),
            $read,
            Flowed::tryFrom($line->text(self::FLOW)) ?? Flowed::Ran,
            $line->text(self::TOGETHER) === self::WITH_OTHERS,
            $line->ticked(self::SHUT),
        );
    }

    /**
     * @param  ?bool  $withOthers  whether it ran with others, as long as nobody says; null where it is the only one
     * @param  ?string  $shut  what is ticked where it is closed again as it should be; null where it is closed
     */
    public static function asked(Situation $at, ?bool $withOthers, ?string $shut): Form
    {
        return new Form(self::FORM, 'Record what came out', [
            ...VesselReading::fields($at, 'Came out', VesselUse::Drain),
            Field::choice(self::FLOW, 'It', Flowed::choices(), Flowed::Ran->value),
            $withOthers === null ? null : Field::choice(self::TOGETHER, 'It ran', self::RAN, $withOthers ? self::WITH_OTHERS : '')->optional(),
            $shut === null ? null : Field::check(self::SHUT, 'Closed again: '.lcfirst($shut)),
        ], closes: true);
    }

    /** @param  list<self>  $ran  of one point */
    public static function sumMl(array $ran): float
    {
        return array_sum(array_map(fn (self $one) => $one->read->ml, $ran));
    }
}
