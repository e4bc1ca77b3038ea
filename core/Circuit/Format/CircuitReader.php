<?php

declare(strict_types=1);

namespace Aqbel\Core\Circuit\Format;

use Aqbel\Core\Circuit\Circuit;
use Aqbel\Core\InvalidField;

/** Reads the open circuit format: one reader for each version there ever was, kept for good. */
final class CircuitReader
{
    /**
     * A document from outside: everything is checked before a circuit exists.
     *
     * @param  array<mixed>  $data  the decoded JSON object
     *
     * @throws InvalidField naming the place
     */
    public static function read(array $data): Circuit
    {
        return self::reader($data, true)->circuit();
    }

    /**
     * A document that has been stored: today's rules may be stricter than those it came in by, and its jobs open still.
     *
     * @param  array<mixed>  $data
     *
     * @throws InvalidField where no circuit can be made of it at all
     */
    public static function stored(array $data): Circuit
    {
        return self::reader($data, false)->circuit();
    }

    /** @param  array<mixed>  $data */
    private static function reader(array $data, bool $strict): Version1
    {
        return match ($data['format'] ?? null) {
            Circuit::FORMAT => new Version1($data, $strict),
            default => throw new InvalidField(
                'format',
                'This is not a circuit file. format must be “'.Circuit::FORMAT.'”.',
            ),
        };
    }
}
