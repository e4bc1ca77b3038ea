<?php

declare(strict_types=1);

namespace App\Calc\Topics;

use App\Calc\Input;
use App\Calc\Topic;
use Aqbel\Core\Circuit\PortKind;
use Aqbel\Core\InvalidField;
use Aqbel\Core\Learned\Finding;
use Aqbel\Core\Learned\Learned;
use Aqbel\Core\Learned\MeasuredJob;

final class LearnTopic implements Topic
{
    /** Within which a volume lies where nobody says: a mark of a pan, and three hundredths (common practice, no source). */
    private const PLUS_MINUS_ML = 140.0;

    private const PLUS_MINUS_SHARE = 0.03;

    private const MOST_ML = 500_000.0;

    public function name(): string
    {
        return 'learn';
    }

    public function summary(): string
    {
        return 'what a circuit probably is, by what its jobs measured, and a proposed revision of it';
    }

    public function answer(Input $input): array
    {
        $circuit = $input->circuit();
        $jobs = array_map(self::job(...), $input->objects('jobs'));
        foreach ($jobs as $i => $job) {
            foreach ($job->drains as $n => [$port]) {
                if (! in_array($port, $circuit->portIds(PortKind::Drain), true)) {
                    throw new InvalidField("jobs.{$i}.drains.{$n}.port", "There is no drain “{$port}” in this circuit.");
                }
            }
        }
        if ($jobs === []) {
            throw new InvalidField('jobs', 'Give at least one job.');
        }
        $learned = Learned::of($circuit, $jobs);

        return ['findings' => array_map(self::finding(...), $learned->findings), 'circuit' => self::proposed($input->object('circuit'), $learned->findings)];
    }

    private static function job(Input $in): MeasuredJob
    {
        $drains = array_map(fn (Input $drain): array => [$drain->text('port'), ...self::volume($drain, 'ml', 'plus_minus_ml')], $in->has('drains') ? $in->objects('drains', 0) : []);
        $one = fn (string $name): ?array => $in->has("{$name}_ml") ? self::volume($in, "{$name}_ml", "{$name}_plus_minus_ml") : null;
        $air = null;
        foreach ($in->has('top_ups') ? $in->objects('top_ups', 0) : [] as $topUp) {
            [$ml, $plusMinus] = self::volume($topUp, 'ml', 'plus_minus_ml');
            $air = [($air[0] ?? 0.0) + $ml, hypot($air[1] ?? 0.0, $plusMinus)];
        }

        return new MeasuredJob($drains, $one('retained'), $one('poured'), $air);
    }

    /** @return array{float, float} */
    private static function volume(Input $in, string $name, string $plusMinus): array
    {
        $ml = $in->number($name, 0.0, self::MOST_ML);

        return [$ml, $in->has($plusMinus) ? $in->number($plusMinus, 0.0, self::MOST_ML) : max(self::PLUS_MINUS_ML, self::PLUS_MINUS_SHARE * $ml)];
    }

    /** @return array<string, mixed> */
    private static function finding(Finding $finding): array
    {
        return [
            ...$finding->node !== null ? ['node' => $finding->node, 'what' => 'height'] : ['passage' => $finding->passage, 'what' => 'volume'],
            'was' => $finding->was, 'is' => $finding->is, 'low' => $finding->low, 'high' => $finding->high, 'p' => $finding->p,
        ];
    }

    /**
     * The document as it came, with what was found in it.
     *
     * @param  array<mixed>  $document
     * @param  list<Finding>  $findings
     * @return array<mixed>
     */
    private static function proposed(array $document, array $findings): array
    {
        foreach ($findings as $finding) {
            [$list, $id, $fact] = $finding->node !== null ? ['nodes', $finding->node, 'z_mm'] : ['passages', $finding->passage, 'volume_ml'];
            foreach (is_array($document[$list] ?? null) ? $document[$list] : [] as $i => $item) {
                if (is_array($item) && ($item['id'] ?? null) === $id) {
                    $document[$list][$i][$fact] = round($finding->is, 1);
                }
            }
        }

        return $document;
    }
}
