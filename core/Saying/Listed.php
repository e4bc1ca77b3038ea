<?php

declare(strict_types=1);

namespace Aqbel\Core\Saying;

/** Several names in one sentence. */
final class Listed
{
    /**
     * “a, b and c”.
     *
     * @param  array<string>  $names  at least one
     */
    public static function of(array $names): string
    {
        return self::with('and', $names);
    }

    /**
     * “a, b or c”.
     *
     * @param  array<string>  $names  at least one
     */
    public static function either(array $names): string
    {
        return self::with('or', $names);
    }

    /** @param  array<string>  $names */
    private static function with(string $last, array $names): string
    {
        $end = (string) array_pop($names);

        return $names === [] ? $end : implode(', ', $names)." {$last} {$end}";
    }
}
