<?php

declare(strict_types=1);

namespace Aqbel\Core\Learned;

use Aqbel\Core\Circuit\Circuit;
use Aqbel\Core\Circuit\PortKind;
use Aqbel\Core\Document;
use Aqbel\Core\InvalidField;

/**
 * What jobs measured of a circuit, as a script gives it and as it goes along with a circuit that leaves the
 * shop: volumes and their ±, no vehicle, nobody and no time.
 */
final class MeasuredJobs
{
    /** Where they stand in a circuit’s document. */
    public const PART = 'learned';

    public const MOST = 2000;

    private const MOST_DRAINS = 40;

    private const MOST_TOP_UPS = 100;

    /**
     * Within which a volume lies where nobody says: a mark of a pan,
     * and three hundredths (common practice, no source).
     */
    private const PLUS_MINUS_ML = 140.0;

    private const PLUS_MINUS_SHARE = 0.03;

    private const MOST_ML = 500_000.0;

    /**
     * Every drain of the circuit was opened, those that were measured first, unless `open` of a job says which.
     *
     * @return list<MeasuredJob>
     *
     * @throws InvalidField on `jobs.N…`
     */
    public static function read(Document $in, Circuit $circuit, int $least = 0): array
    {
        $all = $circuit->portIds(PortKind::Drain);
        $jobs = [];
        foreach ($in->objects('jobs', $least, self::MOST) as $i => $one) {
            $jobs[] = $job = self::job($one, $all);
            foreach (array_column($job->drains, 0) as $n => $port) {
                self::assertDrain($port, $all, "jobs.{$i}.drains.{$n}.port");
            }
            foreach ($job->alsoOpen as $port) {
                self::assertDrain($port, $all, "jobs.{$i}.open");
            }
        }

        return $jobs;
    }

    /** @param  list<string>  $all */
    private static function assertDrain(string $port, array $all, string $field): void
    {
        if (! in_array($port, $all, true)) {
            throw new InvalidField($field, "There is no drain “{$port}” in this circuit.");
        }
    }

    /**
     * Those that came with a document of another shop; a circuit that
     * has changed since has no use for what it cannot place.
     *
     * @param  array<mixed>  $document
     * @return list<MeasuredJob>
     */
    public static function with(array $document, Circuit $circuit): array
    {
        try {
            return self::read(self::part($document), $circuit);
        } catch (InvalidField) {
            return [];
        }
    }

    /**
     * What a document says of it; complaints name their place in there.
     *
     * @param  array<mixed>  $document
     */
    public static function part(array $document): Document
    {
        $part = is_array($document[self::PART] ?? null) ? $document[self::PART] : [];
        if (! is_array($part['jobs'] ?? null)) {
            return new Document($part);
        }
        // Until 0.26.0 what was measured was what was opened.
        $jobs = array_map(
            fn (mixed $job): mixed => is_array($job)
                ? [...$job, 'open' => $job['open'] ?? array_column((array) ($job['drains'] ?? []), 'port')]
                : $job,
            $part['jobs'],
        );

        return new Document([...$part, 'jobs' => $jobs]);
    }

    /**
     * @param  list<MeasuredJob>  $jobs
     * @return list<array<string, mixed>>
     */
    public static function write(array $jobs): array
    {
        $one = fn (string $name, ?array $volume): array => $volume === null
            ? []
            : ["{$name}_ml" => round($volume[0], 1), "{$name}_plus_minus_ml" => round($volume[1], 1)];

        return array_map(
            fn (MeasuredJob $job): array => [
                'drains' => array_map(
                    fn (array $drain) => [
                        'port' => $drain[0],
                        'ml' => round($drain[1], 1),
                        'plus_minus_ml' => round($drain[2], 1),
                    ],
                    $job->drains,
                ),
                'open' => [...array_column($job->drains, 0), ...$job->alsoOpen],
                ...$one('retained', $job->retained),
                ...$one('poured', $job->poured),
                ...$job->air === null
                    ? []
                    : ['top_ups' => [['ml' => round($job->air[0], 1), 'plus_minus_ml' => round($job->air[1], 1)]]],
            ],
            $jobs,
        );
    }

    /** @param  list<string>  $all  drains of the circuit */
    private static function job(Document $in, array $all): MeasuredJob
    {
        $drains = [];
        foreach ($in->objects('drains', 0, self::MOST_DRAINS) as $drain) {
            $port = $drain->text('port');
            [$ml, $plusMinus] = self::volume($drain, 'ml', 'plus_minus_ml');
            // What one drain gave in several vessels is what it gave.
            [, $before, $its] = $drains[$port] ?? [$port, 0.0, 0.0];
            $drains[$port] = [$port, $before + $ml, hypot($its, $plusMinus)];
        }
        $open = array_diff($in->has('open') ? $in->names('open') : $all, array_column($drains, 0));
        $one = fn (string $name): ?array => $in->has("{$name}_ml")
            ? self::volume($in, "{$name}_ml", "{$name}_plus_minus_ml")
            : null;
        $air = null;
        foreach ($in->objects('top_ups', 0, self::MOST_TOP_UPS) as $topUp) {
            [$ml, $plusMinus] = self::volume($topUp, 'ml', 'plus_minus_ml');
            $air = [($air[0] ?? 0.0) + $ml, hypot($air[1] ?? 0.0, $plusMinus)];
        }

        return new MeasuredJob(array_values($drains), $one('retained'), $one('poured'), $air, array_values($open));
    }

    /** @return array{float, float} */
    private static function volume(Document $in, string $name, string $plusMinus): array
    {
        $ml = $in->number($name, 0.0, self::MOST_ML);

        return [
            $ml,
            $in->has($plusMinus)
                ? $in->number($plusMinus, 0.0, self::MOST_ML)
                : max(self::PLUS_MINUS_ML, self::PLUS_MINUS_SHARE * $ml),
        ];
    }
}
