<?php

declare(strict_types=1);

namespace Aqbel\Core\Observed;

use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Neck;
use Aqbel\Core\Job\Told;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\Form;

/** The engine was started: where, how the neck stood, and the air outside where it was read. */
final readonly class Started extends Report
{
    private const FORM = 'start';

    public const PLACE = 'place';

    public const NECK = 'neck';

    /** An engine is never run in a closed room, whatever the reason. */
    public const CLOSED_ROOM = 'closed';

    private const EXTRACTION = 'extraction';

    private const PLACES = [
        'outdoors' => 'Outdoors',
        self::EXTRACTION => 'On exhaust extraction',
        self::CLOSED_ROOM => 'In the closed shop',
    ];

    /** @param  ?float  $airC  outside, °C */
    private function __construct(Told $told, public string $place, public ?Neck $neck, public ?float $airC)
    {
        parent::__construct($told);
    }

    public static function form(): string
    {
        return self::FORM;
    }

    public static function forms(): array
    {
        return [self::FORM];
    }

    public static function of(Entry $line): ?static
    {
        return $line->form !== self::FORM ? null : new self(
            Told::by($line),
            $line->text(self::PLACE),
            Neck::tryFrom($line->text(self::NECK)),
            OutsideAir::of($line)?->celsius,
        );
    }

    /** Where it runs, in words; empty where nobody said. */
    public function where(): string
    {
        return self::PLACES[$this->place] ?? '';
    }

    /**
     * @param  list<self>  $before  the starts of this job: it runs where it ran last
     * @param  bool  $asksAir  where nobody read it today and the heater is judged against it
     */
    public static function asked(
        array $before,
        string $button,
        Neck $likely,
        bool $main = true,
        bool $asksAir = false,
    ): Form {
        $place = $before === [] ? self::EXTRACTION : end($before)->place;

        return new Form(
            self::FORM,
            $button,
            [
                Field::choice(
                    self::PLACE,
                    'It runs',
                    self::PLACES,
                    isset(self::PLACES[$place]) ? $place : self::EXTRACTION,
                ),
                Field::choice(self::NECK, 'Neck', Neck::choices(), $likely->value),
                $asksAir ? OutsideAir::field('Air outside, for the heater', false) : null,
            ],
            $main,
        );
    }
}
