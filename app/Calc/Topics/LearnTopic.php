<?php

declare(strict_types=1);

namespace App\Calc\Topics;

use App\Calc\Input;
use App\Calc\Topic;
use Aqbel\Core\InvalidField;
use Aqbel\Core\Learned\Finding;
use Aqbel\Core\Learned\Learned;
use Aqbel\Core\Learned\MeasuredJobs;

final class LearnTopic implements Topic
{
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
        $jobs = MeasuredJobs::read($input, $circuit);
        if ($jobs === []) {
            throw new InvalidField('jobs', 'Give at least one job.');
        }
        $learned = Learned::of($circuit, $jobs);

        return [
            'findings' => array_map(self::finding(...), $learned->findings),
            'circuit' => self::proposed($input->object('circuit'), $learned->findings),
        ];
    }

    /** @return array<string, mixed> */
    private static function finding(Finding $finding): array
    {
        return [
            ...$finding->node !== null
                ? ['node' => $finding->node, 'what' => 'height']
                : ['passage' => $finding->passage, 'what' => 'volume'],
            'was' => $finding->was,
            'is' => $finding->is,
            'low' => $finding->low,
            'high' => $finding->high,
            'p' => $finding->p,
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
            [$list, $id, $fact] = $finding->node !== null
                    ? ['nodes', $finding->node, 'z_mm']
                    : ['passages', $finding->passage, 'volume_ml'];
            foreach (is_array($document[$list] ?? null) ? $document[$list] : [] as $i => $item) {
                if (is_array($item) && ($item['id'] ?? null) === $id) {
                    $document[$list][$i][$fact] = round($finding->is, 1);
                }
            }
        }

        return $document;
    }
}
