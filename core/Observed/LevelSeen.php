<?php

declare(strict_types=1);

namespace Aqbel\Core\Observed;

use Aqbel\Core\Circuit\NeckType;
use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Told;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\Form;

/**
 * Where the surface stands against its mark: as somebody chose it, or as a measured top-up, or what was drawn off,
 * brought it there. What stood there already, and nobody chose, is no level seen.
 */
final readonly class LevelSeen extends Report
{
    private const FORM = 'level';

    public const LEVEL = 'level';

    private const MARK = 'mark';

    private const BELOW = 'below';

    private const ABOVE = 'above';

    private function __construct(Told $told, private string $where)
    {
        parent::__construct($told);
    }

    public static function forms(): array
    {
        return [self::FORM, ToppedUp::FORM, DrawnOff::FORM];
    }

    public static function of(Entry $line): ?static
    {
        $said = $line->text(self::LEVEL);
        $brought = in_array($line->form, [ToppedUp::FORM, DrawnOff::FORM], true) && VesselReading::of($line) !== null;

        return match (true) {
            $line->form !== self::FORM && ! $brought => null,
            $said !== '' => new self(Told::by($line), $said),
            default => $brought ? new self(Told::by($line), self::MARK) : null,
        };
    }

    public static function asked(): Form
    {
        return new Form(self::FORM, 'Record level', [self::field()], closes: true);
    }

    /** Nothing is proposed: a level is seen, or a measured top-up brought it to its mark. */
    public static function field(): Field
    {
        return Field::choice(self::LEVEL, 'Level now', [
            self::MARK => 'At the mark',
            self::BELOW => 'Below',
            self::ABOVE => 'Above',
        ]);
    }

    /** At its mark; in a recovery bottle a little over it does no harm (common practice, no source). */
    public function isGood(NeckType $neck): bool
    {
        return $this->where === self::MARK || ($this->isAbove() && $neck->hasRecoveryBottle());
    }

    public function isAbove(): bool
    {
        return $this->where === self::ABOVE;
    }
}
