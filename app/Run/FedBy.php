<?php

declare(strict_types=1);

namespace App\Run;

use App\Instruments\Scale;
use App\Instruments\Watch;
use App\Models\Job;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\WatchedBy;
use Aqbel\Core\Observed\VesselReading;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Steps\StepKind;

/** What instruments say of a step, and what of it somebody still presses. */
final readonly class FedBy
{
    /** Null where no instrument says anything of this step. */
    public ?Instruments $instruments;

    /**
     * Whether somebody’s own press comes before anything that a gauge shows: the start of an engine, the pumping up.
     */
    public bool $startsByHand;

    public function __construct(Job $job, Situation $at, StepKind $kind, bool $idle)
    {
        $this->instruments = $idle || ! (Watch::runs($at) || Watch::needle($at) !== null)
            ? null
            : new Instruments($job, $at, url('/'));
        $this->startsByHand = $at->entries() === []
            && in_array($kind->watchedBy(), [WatchedBy::Engine, WatchedBy::PressureGauge], true);
    }

    /** Whether they send what would be read by hand. */
    public function sends(): bool
    {
        return $this->instruments?->sends() === true;
    }

    /** @param  list<Form>  $forms  that are asked */
    public static function mayBeWeighed(Job $job, array $forms): bool
    {
        $isVolume = fn (Field $field): bool => $field->name === VesselReading::VOLUME;
        $asksVolume = fn (Form $form): bool => array_filter($form->fields, $isVolume) !== [];

        return array_filter($forms, $asksVolume) !== [] && Scale::isThere($job);
    }
}
