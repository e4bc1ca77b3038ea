<?php

declare(strict_types=1);

namespace Aqbel\Core\Observed;

use Aqbel\Core\InvalidField;
use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Told;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Values;

/** Stock and water: stirred in a bucket, or set out to be poured in one after the other. */
final readonly class BatchMixed extends Report
{
    private const BUCKET = 'batch';

    private const INSIDE = 'inside';

    private const STOCK = 'concentrate';

    private const WATER = 'water';

    private const FROM = 'from';

    /** @param  string  $from  code of where the stock came from; empty where nobody was asked */
    private function __construct(
        Told $told,
        public float $stockMl,
        public float $waterMl,
        public string $from,
        public bool $inside,
    ) {
        parent::__construct($told);
    }

    public static function of(Entry $line): ?static
    {
        return ! self::isForm($line->form) ? null : new self(
            Told::by($line),
            (float) $line->number(self::STOCK),
            (float) $line->number(self::WATER),
            $line->text(self::FROM),
            $line->form === self::INSIDE,
        );
    }

    public static function isForm(string $form): bool
    {
        return $form === self::BUCKET || $form === self::INSIDE;
    }

    /**
     * @param  array<string, string>  $sources  label by code of where the
     * stock can come from; nothing is asked where there is one
     * @param  array{float, float}  $stillMl  stock and water that are proposed
     */
    public static function askedOfTheBucket(
        string $button,
        string $stock,
        float $mostMl,
        array $stillMl,
        array $sources,
        string $likely,
    ): Form {
        return new Form(
            self::BUCKET,
            $button,
            self::fields($stock, '', $mostMl, $stillMl, $sources, $likely),
            closes: true,
        );
    }

    /**
     * @param  array<string, string>  $sources
     * @param  array{float, float}  $stillMl
     */
    public static function askedInside(float $mostMl, array $stillMl, array $sources, string $likely): Form
    {
        return new Form(
            self::INSIDE,
            'Mix it inside',
            self::fields('Concentrate', ', measured', $mostMl, $stillMl, $sources, $likely),
            false,
            'All of the concentrate goes into the neck first, then the water up to the mark. Both are measured.',
        );
    }

    /**
     * @param  array{float, float}  $stillMl
     * @param  array<string, string>  $sources
     * @return list<?Field>
     */
    private static function fields(
        string $stock,
        string $how,
        float $mostMl,
        array $stillMl,
        array $sources,
        string $likely,
    ): array {
        return [
            Field::volume(self::STOCK, $stock.$how, $mostMl)->preset($stillMl[0]),
            Field::volume(self::WATER, 'Water'.$how, $mostMl)->preset($stillMl[1]),
            count($sources) > 1 ? Field::choice(self::FROM, strtok($stock, ' ').' from', $sources, $likely) : null,
        ];
    }

    /** Code of where the stock would come from, of values that are not written yet. */
    public static function takesFrom(Values $values): string
    {
        return $values->text(self::FROM);
    }

    /**
     * @param  ?float  $mostMl  what the container can give that it is taken from; null where none is counted
     *
     * @throws InvalidField where nothing was mixed, or more taken than is there
     */
    public static function admit(Values $values, ?float $mostMl, string $there): void
    {
        if ($mostMl !== null && (float) $values->number(self::STOCK) > $mostMl) {
            throw new InvalidField(self::STOCK, FromShelf::tooMuch($there));
        }
        if ($values->number(self::STOCK) + $values->number(self::WATER) <= 0.0) {
            throw new InvalidField(self::STOCK, 'Enter how much of each went into the bucket.');
        }
    }
}
