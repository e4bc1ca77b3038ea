<?php

declare(strict_types=1);

namespace Aqbel\Core\Instruments;

use Aqbel\Core\InvalidField;

/** What an instrument sent at once, line by line: what is wrong in one line spoils none beside it. */
final readonly class Batch
{
    public const MOST_BYTES = 200_000;

    /**
     * @param  int  $lines  as they were sent, the empty ones between them too
     * @param  list<SentPoint>  $points
     * @param  list<array{line: int, field: string, problem: string}>  $refused
     */
    private function __construct(public int $lines, public array $points, public array $refused)
    {
    }

    /** @param  string  $body  UTF-8 */
    public static function read(string $body): self
    {
        $body = rtrim($body);

        return self::of($body === '' ? [] : (preg_split('/\R/', $body) ?: []));
    }

    /** @param  list<string>  $lines */
    public static function of(array $lines): self
    {
        [$points, $refused] = [[], []];
        foreach ($lines as $i => $line) {
            try {
                $point = SentLine::read($line);
                if ($point !== null) {
                    $points[] = $point;
                }
            } catch (InvalidField $wrong) {
                $refused[] = ['line' => $i + 1, 'field' => $wrong->field, 'problem' => $wrong->getMessage()];
            }
        }

        return new self(count($lines), $points, $refused);
    }
}
