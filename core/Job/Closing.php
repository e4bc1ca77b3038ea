<?php

declare(strict_types=1);

namespace Aqbel\Core\Job;

use Aqbel\Core\Values;

/**
 * What a line that closes its step keeps: what the step came to,
 * what falls away by it, and why where it was passed over.
 */
final readonly class Closing
{
    private const CAME_TO = 'came_to';

    private const NEEDLESS = 'needless';

    private const REASON = 'reason';

    private const MISSING = 'missing';

    /** Under which a line of another way says that it leaves the step it was written at. */
    private const LEAVES = 'leaves';

    /** Under which the wording of the verdict was kept before codes were. */
    private const IN_WORDS = 'verdict';

    /**
     * @param  ?string  $cameTo  code of its verdict; null where it had none
     * @param  list<string>  $needless  ids of steps planned after it that it makes needless
     * @param  string  $reason  for which it was passed over; empty where nothing was missing
     * @param  list<string>  $missing  codes of what was passed over
     */
    public function __construct(
        public ?string $cameTo,
        public array $needless = [],
        public string $reason = '',
        public array $missing = [],
    ) {
    }

    public static function of(Entry $line): self
    {
        $cameTo = $line->text(self::CAME_TO);

        return new self(
            $cameTo === '' ? null : $cameTo,
            $line->values->list(self::NEEDLESS),
            $line->text(self::REASON),
            $line->values->list(self::MISSING),
        );
    }

    public function values(): Values
    {
        $values = new Values([self::CAME_TO => $this->cameTo, self::NEEDLESS => $this->needless]);

        return $this->missing === []
            ? $values
            : $values->with(self::REASON, $this->reason)->with(self::MISSING, $this->missing);
    }

    /** Whether a line of another way leaves the step it was written at. */
    public static function leaves(Entry $line): bool
    {
        return $line->ticked(self::LEAVES);
    }

    public static function leaving(Values $values, bool $leaves): Values
    {
        return $values->with(self::LEAVES, $leaves);
    }

    /** The verdict as it was worded, where its code was not kept; empty where it was. */
    public static function inWords(Entry $line): string
    {
        return $line->values->has(self::CAME_TO) ? '' : $line->text(self::IN_WORDS);
    }

    /** Whether the code of the verdict was kept at all. */
    public static function keptItsCode(Entry $line): bool
    {
        return $line->values->has(self::CAME_TO);
    }
}
