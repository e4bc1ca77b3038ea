<?php

declare(strict_types=1);

namespace Aqbel\Core\Observed;

use Aqbel\Core\Circuit\Circuit;
use Aqbel\Core\Circuit\Part;
use Aqbel\Core\InvalidField;
use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Lines;
use Aqbel\Core\Job\Told;
use Aqbel\Core\Quantity\Unit;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Values;

/** Something found on the way: what, where, and what is to become of it. */
final readonly class FoundOnTheWay extends Report
{
    private const WHAT = 'what';

    private const PART = 'part';

    private const THEN = 'then';

    private const UNTIL = 'until';

    /** Of the step that it asks for. */
    private const FROM = 'from';

    private const SECONDS = 'seconds';

    /** @param  Values  $about  what, and in which part */
    private function __construct(Told $told, private Values $about, public ?FoundThen $then)
    {
        parent::__construct($told);
    }

    public static function forms(): array
    {
        return [Lines::Finding->value];
    }

    public static function of(Entry $line): ?static
    {
        return $line->is(Lines::Finding)
            ? new self(Told::by($line), self::about($line->values), self::then($line->values))
            : null;
    }

    /** @param  list<FoundThen>  $ways  that fit where it is said */
    public static function asked(Circuit $circuit, array $ways): Form
    {
        $labels = [];
        foreach ($circuit->parts() as $part) {
            $labels[$part->id] = $part->label;
        }
        $then = [];
        foreach ($ways as $way) {
            $then[$way->value] = $way->label();
        }

        return new Form(
            Lines::Finding->value,
            'Something was found',
            [
                Field::text(self::WHAT, 'What was found', true),
                Field::choice(self::PART, 'Where', ['' => 'Elsewhere, or not known'] + $labels, '')->optional(),
                Field::choice(self::THEN, 'And then', $then, FoundThen::Note->value),
                Field::duration(
                    self::UNTIL,
                    'Where it waits: for how long',
                    Unit::Hour,
                    PartAwaited::LONGEST_S,
                )->usuallySaid(),
            ],
            false,
        );
    }

    /** @throws InvalidField where nothing is said of it, or of a wait not how long */
    public static function admit(Values $values): void
    {
        if (self::then($values)?->isWait() === true && self::lengthS($values) <= 0.0) {
            throw new InvalidField(self::UNTIL, 'Say how long: the sealant’s own time, or when the part comes.');
        }
        if (self::then($values)?->isWait() !== true && self::lengthS($values) > 0.0) {
            throw new InvalidField(
                self::THEN,
                'So long is waited nowhere: choose before what it waits, or leave it empty.',
            );
        }
        if (trim($values->text(self::WHAT)) === '') {
            throw new InvalidField(self::WHAT, 'Say what was found.');
        }
    }

    /** What is to become of it; null where nobody said. */
    public static function then(Values $values): ?FoundThen
    {
        return FoundThen::tryFrom($values->text(self::THEN));
    }

    /** What a step that it asks for keeps of it. */
    public static function about(Values $values): Values
    {
        return new Values([self::WHAT => $values->text(self::WHAT), self::PART => $values->text(self::PART)]);
    }

    /**
     * What a wait that it asks for keeps of it.
     *
     * @param  int  $from  Unix seconds
     */
    public static function wait(Values $values, int $from): Values
    {
        return self::about($values)->and(new Values([self::FROM => $from, self::SECONDS => self::lengthS($values)]));
    }

    /** @return array{int, int} from when, until when such a wait goes, Unix seconds */
    public static function stretch(Values $params): array
    {
        $from = $params->whole(self::FROM);

        return [$from, $from + (int) $params->number(self::SECONDS)];
    }

    /** What was found, with its part in front where one was named; by what a step keeps of it. */
    public static function said(Circuit $circuit, Values $about): string
    {
        $part = array_filter($circuit->parts(), fn (Part $known) => $known->id === $about->text(self::PART));

        return ($part === [] ? '' : reset($part)->label.': ').$about->text(self::WHAT);
    }

    public function say(Circuit $circuit): string
    {
        return self::said($circuit, $this->about);
    }

    private static function lengthS(Values $values): float
    {
        return (float) $values->number(self::UNTIL);
    }
}
