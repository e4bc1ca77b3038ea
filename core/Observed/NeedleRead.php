<?php

declare(strict_types=1);

namespace Aqbel\Core\Observed;

use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Told;
use Aqbel\Core\Matter\Atmosphere;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Values;

/** What the vacuum gauge showed: below the air of the shop, or on a scale that ends where the air of the sea does. */
final readonly class NeedleRead extends Report
{
    /** By which it is read at a pull and at a hold. */
    public const FORM = 'reading';

    public const VACUUM = 'vacuum';

    private const SEA = 'sea_scale';

    /** Standard air, which such a scale is marked by, kPa. */
    private const SEA_KPA = 101.325;

    private function __construct(Told $told, private float $shownKpa, private bool $markedForTheSea)
    {
        parent::__construct($told);
    }

    public static function of(Entry $line): ?static
    {
        $shown = $line->number(self::VACUUM);

        return $shown === null ? null : new self(Told::by($line), $shown, $line->ticked(self::SEA));
    }

    /** As an instrument showed it, kPa below the air. */
    public static function streamed(float $kpa): Values
    {
        return new Values([self::VACUUM => $kpa]);
    }

    /** @return list<Field> the second only where the air is thinner than at the sea */
    public static function fields(string $label, Atmosphere $air): array
    {
        $scale = Field::fact(self::SEA, 'Its scale is marked for the sea: a share of that');

        return [
            Field::vacuum(self::VACUUM, $label, self::SEA_KPA),
            ...$air->pressure->kPa() < 0.97 * self::SEA_KPA ? [$scale] : [],
        ];
    }

    /** Below the air of the shop, kPa. */
    public function kPa(Atmosphere $air): float
    {
        return $this->markedForTheSea ? $this->shownKpa * $air->pressure->kPa() / self::SEA_KPA : $this->shownKpa;
    }
}
