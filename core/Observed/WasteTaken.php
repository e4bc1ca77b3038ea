<?php

declare(strict_types=1);

namespace Aqbel\Core\Observed;

use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Told;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\Form;

/** Old coolant that went into the waste drum, who takes it away, and under which paper. */
final readonly class WasteTaken extends Report
{
    public const FORM = 'disposed';

    private const VOLUME = 'volume';

    private const DISPOSER = 'disposer';

    private const PAPER = 'paper';

    private function __construct(Told $told, public float $ml, public string $disposer, public string $paper)
    {
        parent::__construct($told);
    }

    public static function of(Entry $line): ?static
    {
        $ml = $line->number(self::VOLUME);

        return $line->form !== self::FORM || $ml === null
            ? null
            : new self(Told::by($line), $ml, $line->text(self::DISPOSER), $line->text(self::PAPER));
    }

    public static function asked(float $likelyMl): Form
    {
        return new Form(self::FORM, 'Record waste', [
            Field::volume(self::VOLUME, 'Into the waste drum')->preset($likelyMl),
            Field::text(self::DISPOSER, 'Taken away by'),
            Field::text(self::PAPER, 'Paper number'),
        ]);
    }
}
