<?php

declare(strict_types=1);

namespace Aqbel\Core\Visits;

use Aqbel\Core\Observed\Alarm;
use Aqbel\Core\Plan\Vessels;
use Aqbel\Core\Values;

/** One look at a vehicle after its record was signed: what somebody saw, or what the customer told. */
final readonly class Visit
{
    public const LEVEL = 'level';

    public const VOLUME = 'volume';

    public const VESSEL = 'vessel';

    public const CELSIUS = 'celsius';

    public const FREEZE = 'freeze_c';

    public const COMPLAINT = 'complaint';

    public const ALARM = 'alarm';

    public const ODOMETER = 'odometer';

    public const HOURS = 'hours';

    public const NOTE = 'note';

    public const TOLD = 'told';

    /** Of the complaint the job was for. */
    public const AGAIN = 'again';

    public const GONE = 'gone';

    /**
     * @param  int  $at  Unix seconds
     * @param  ?float  $toppedMl  null where nothing was said of it
     * @param  float  $plusMinusMl  of what was topped up
     * @param  ?float  $celsius  how warm the coolant was when the level was read; null where nobody read it
     * @param  ?float  $freezeC  as a refractometer showed
     * @param  ?bool  $complaintAgain  null where nobody looked
     * @param  Alarm  $alarm  what the dash said since, or what somebody saw steam
     * @param  bool  $told  by the customer: what nobody of the shop read
     */
    public function __construct(
        public int $at,
        public LevelFound $level,
        public ?float $toppedMl = null,
        public float $plusMinusMl = 0.0,
        public ?float $celsius = null,
        public ?float $freezeC = null,
        public ?bool $complaintAgain = null,
        public bool $told = false,
        public Alarm $alarm = Alarm::None,
    ) {
    }

    /** From what is stored of it. */
    public static function of(int $at, Values $values, Vessels $vessels): self
    {
        $ml = $values->number(self::VOLUME);

        return new self(
            $at,
            LevelFound::tryFrom($values->text(self::LEVEL)) ?? LevelFound::NotLooked,
            $ml,
            $ml === null ? 0.0 : $vessels->of($values->text(self::VESSEL))->plusMinusMl($ml),
            $values->number(self::CELSIUS),
            $values->number(self::FREEZE),
            [self::AGAIN => true, self::GONE => false][$values->text(self::COMPLAINT)] ?? null,
            $values->ticked(self::TOLD),
            Alarm::tryFrom($values->text(self::ALARM)) ?? Alarm::None,
        );
    }

    /** What went in to bring it to the mark; null where that is not known, as where it was left below. */
    public function tookMl(): ?float
    {
        return match (true) {
            $this->level === LevelFound::AtMark, $this->level === LevelFound::Above => $this->toppedMl ?? 0.0,
            $this->toppedMl !== null && $this->toppedMl > 0.0 => $this->toppedMl,
            default => null,
        };
    }
}
