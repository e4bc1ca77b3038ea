<?php

declare(strict_types=1);

namespace Aqbel\Core\Observed;

use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Told;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Values;

/** How full the circuit was found, before anything was done to it. */
final readonly class ContentFound extends Report
{
    private const FORM = 'found';

    public const CONTENT = 'content';

    public const MISSING = 'missing';

    private const FREEZE = 'freeze';

    public const FULL = 'full';

    public const LOW = 'low';

    public const PARTLY = 'partly';

    public const WATER = 'water';

    public const EMPTY = 'empty';

    private const CONTENTS = [
        self::FULL => 'Full to the mark',
        self::LOW => 'Low',
        self::PARTLY => 'Partly drained before',
        self::WATER => 'Water only',
        self::EMPTY => 'Empty',
    ];

    /** @param  ?float  $freezeC  as a refractometer showed */
    private function __construct(Told $told, private string $content, private float $missingMl, public ?float $freezeC)
    {
        parent::__construct($told);
    }

    public static function of(Entry $line): ?static
    {
        return $line->form === self::FORM
            ? new self(
                Told::by($line),
                $line->text(self::CONTENT),
                $line->number(self::MISSING) ?? 0.0,
                $line->number(self::FREEZE),
            )
            : null;
    }

    /** @param  string  $known  what is known of how much is missing, in words */
    public static function asked(string $likely, float $mostMl, string $known = ''): Form
    {
        return new Form(self::FORM, 'Record content', [
            Field::choice(self::CONTENT, 'The circuit is', self::CONTENTS, $likely),
            Field::volume(
                self::MISSING,
                'Missing, if low',
                $mostMl,
                false,
                trim("{$known} Your best estimate; it may be off by a quarter."),
            ),
            Field::temperature(self::FREEZE, 'Freeze point read', false, -70, 5),
        ]);
    }

    /**
     * The same, with how much is missing by the ledger of the job before, where something is and nobody says how much.
     */
    public static function missingByTheLedger(Values $values, ?float $ml): Values
    {
        return $ml !== null && self::lacksHowMuch($values) ? $values->with(self::MISSING, $ml) : $values;
    }

    /** Whether something is missing, and nobody says how much. */
    public static function lacksHowMuch(Values $values): bool
    {
        return in_array($values->text(self::CONTENT), [self::LOW, self::PARTLY], true)
            && $values->number(self::MISSING) === null;
    }

    /** Whether something is missing of what stands at its mark: one of the two was left as it stood. */
    public static function contradict(Values $values): bool
    {
        return $values->text(self::CONTENT) === self::FULL && $values->number(self::MISSING) > 0.0;
    }

    public function isEmpty(): bool
    {
        return $this->content === self::EMPTY;
    }

    public function isWater(): bool
    {
        return $this->content === self::WATER;
    }

    public function isFull(): bool
    {
        return $this->content === self::FULL;
    }

    /** Of so much that it holds at its mark, mL. */
    public function missingMl(float $fullMl): float
    {
        return $this->isEmpty() ? $fullMl : min($fullMl, $this->missingMl);
    }
}
