<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps;

use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Saying\Table;

/** The baseline beside the same readings of the last hot run. */
final class BeforeAndNow
{
    private const NOT_READ = '–';

    /** @return list<Table> none where there is no baseline */
    public static function tables(Situation $at): array
    {
        $before = $at->job->lastOf('baseline', 'baseline');
        if ($before === null || $before->text('ran') === 'no') {
            return [];
        }
        [$last, $fan] = self::afterwards($at);
        $say = fn (?float $celsius): string => $celsius === null ? self::NOT_READ : $at->degrees($celsius);
        $rows = [['Coolant settled at', $say($before->number('plateau')), $say($last?->number('ect'))]];
        foreach ($at->facts()->outlets as $outlet) {
            $rows[] = [
                "Outlet air, {$outlet}",
                $say($before->number("outlet_{$outlet}")),
                $say($last?->number("outlet_{$outlet}")),
            ];
        }
        foreach (['fan_on' => 'Fan on', 'fan_off' => 'Fan off'] as $name => $label) {
            $rows[] = [$label, $say($before->number($name)), $say($fan[$name])];
        }
        $read = array_filter($rows, fn (array $row) => $row[1] !== self::NOT_READ || $row[2] !== self::NOT_READ);

        return [new Table('Against the baseline', ['Reading', 'Before', 'Now'], array_values($read))];
    }

    /**
     * @return array{?Entry, array{fan_on: ?float, fan_off: ?float}} the last reading, and the coolant when the fan
     * was last heard, °C
     */
    private static function afterwards(Situation $at): array
    {
        $now = [];
        foreach ($at->job->stepsOf('heat_cycle') as $step) {
            $now = $at->job->entriesOf($step->id, 'reading') === [] ? $now : $at->job->entriesOf($step->id);
        }
        $last = null;
        $fan = ['fan_on' => null, 'fan_off' => null];
        foreach ($now as $entry) {
            $last = $entry->form === 'reading' ? $entry : $last;
            if ($entry->form === 'fan_on' || $entry->form === 'fan_off') {
                $fan[$entry->form] = $last?->number('ect');
            }
        }

        return [$last, $fan];
    }
}
