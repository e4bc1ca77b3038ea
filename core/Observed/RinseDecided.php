<?php

declare(strict_types=1);

namespace Aqbel\Core\Observed;

use Aqbel\Core\InvalidField;
use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Told;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Values;

/** Whether it is rinsed, how and how often, with what, and which parts on their own. */
final readonly class RinseDecided extends Report
{
    private const FORM = 'decision';

    private const WAY = 'rinse';

    private const TIMES = 'times';

    private const CLEANER = 'cleaner';

    private const BACK_FLUSH = 'back_flush';

    public const SKIP = 'skip';

    public const HOT = 'hot';

    private const FLOW = 'flow';

    private const ONCE = 'once';

    private const WAYS = [
        self::SKIP => 'Skip it',
        self::HOT => 'Hot rinse',
        self::FLOW => 'Cold flow-through',
        self::ONCE => 'Filled cold, drained',
    ];

    /** As they were kept before they could be combined. */
    private const THEN_CLEANER = 'cleaner';

    private const THEN_BACK_FLUSH = 'backflush';

    private const WAYS_BEFORE = [
        self::THEN_CLEANER => 'Rinse, cleaner, rinse',
        self::THEN_BACK_FLUSH => 'Back-flush, then rinse',
    ];

    private const BOTH = 'both';

    private const PARTS = [
        '' => 'None',
        'radiator' => 'Radiator',
        'heater' => 'Heater core',
        self::BOTH => 'Radiator and heater core',
    ];

    public const MOST_TIMES = 6;

    /**
     * @param  bool  $staysCold  filled and drained without a run
     * @param  int  $times  at least once
     * @param  list<string>  $backFlushed  parts flushed against the flow, each on its own
     */
    private function __construct(
        Told $told,
        public bool $skips,
        public bool $flows,
        public bool $staysCold,
        public int $times,
        public bool $withCleaner,
        public array $backFlushed,
    ) {
        parent::__construct($told);
    }

    public static function of(Entry $line): ?static
    {
        if ($line->form !== self::FORM) {
            return null;
        }
        $way = $line->text(self::WAY);
        $parts = $way === self::THEN_BACK_FLUSH ? self::BOTH : $line->text(self::BACK_FLUSH);

        return new self(
            Told::by($line),
            $way === self::SKIP,
            $way === self::FLOW,
            $way === self::ONCE,
            max(1, (int) $line->text(self::TIMES)),
            $way === self::THEN_CLEANER || $line->text(self::CLEANER) !== '',
            self::parts($parts),
        );
    }

    /**
     * Where it is skipped, how often and with what was not decided,
     * whatever stood there; a part may be flushed all the same.
     */
    public static function asDecided(Values $values): Values
    {
        $part = $values->text(self::BACK_FLUSH);

        return $values->text(self::WAY) === self::SKIP
            ? new Values([self::WAY => self::SKIP] + ($part === '' ? [] : [self::BACK_FLUSH => $part]))
            : $values;
    }

    /**
     * @param  string  $likely  way that is proposed
     * @param  list<string>  $there  parts that can be flushed on their own here
     */
    public static function asked(string $likely, int $times, bool $cleaner, array $there): Form
    {
        return self::form(self::WAYS, $likely, $times, $cleaner, $there);
    }

    /**
     * With the ways that were kept before they could be combined.
     *
     * @param  list<string>  $there
     */
    public static function everAsked(array $there): Form
    {
        return self::form(self::WAYS + self::WAYS_BEFORE, self::SKIP, 1, false, $there);
    }

    /**
     * @param  array<string, string>  $ways
     * @param  list<string>  $there
     */
    private static function form(array $ways, string $likely, int $times, bool $cleaner, array $there): Form
    {
        $counts = array_map(strval(...), range(1, self::MOST_TIMES));
        $parts = array_filter(
            self::PARTS,
            fn (string $part): bool => array_diff(self::parts($part), $there) === [],
            ARRAY_FILTER_USE_KEY,
        );

        return new Form(self::FORM, 'Decide', [
            Field::choice(self::WAY, 'Decision', $ways, $likely)->goesOnWith(self::SKIP)->inSight(),
            Field::choice(self::TIMES, 'Times', array_combine($counts, $counts), (string) $times)->inSight(),
            Field::choice(
                self::CLEANER,
                'Cleaner',
                ['' => 'Without', 'with' => 'Cleaner, and out again'],
                $cleaner ? 'with' : '',
            )->optional(),
            count($parts) < 2
                ? null
                : Field::choice(self::BACK_FLUSH, 'Flush against the flow', $parts, '')->optional(),
        ]);
    }

    /** @return list<string> */
    private static function parts(string $code): array
    {
        return match ($code) {
            '' => [],
            self::BOTH => ['radiator', 'heater'],
            default => [$code],
        };
    }

    /** @throws InvalidField where a cleaner would stay inside */
    public static function admit(Values $values): void
    {
        if ($values->text(self::WAY) === self::SKIP && $values->text(self::CLEANER) !== '') {
            throw new InvalidField(
                self::WAY,
                'A cleaner has to come out again: choose a hot rinse or a flow-through with it.',
            );
        }
    }
}
