<?php

declare(strict_types=1);

namespace App\Calc\Topics;

use App\Calc\Input;
use App\Calc\Topic;
use Aqbel\Core\Evidence\Evidence;
use Aqbel\Core\Evidence\HotStream;
use Aqbel\Core\Evidence\RunFacts;
use Aqbel\Core\InvalidField;

final class EvidenceTopic implements Topic
{
    private const MOST_POINTS = 200_000;

    public function name(): string
    {
        return 'evidence';
    }

    public function summary(): string
    {
        return 'what the channels of a hot run prove and where: thermostat, fans, heater, limit, silence';
    }

    public function answer(Input $input): array
    {
        $in = $input->has('facts') ? $input->child('facts') : new Input([]);
        $fact = fn (string $name): ?float => $in->has($name) ? $in->number($name, -40, 200) : null;
        $stream = new HotStream(
            new RunFacts(
                $fact('thermostat_start_c'),
                $fact('thermostat_full_c'),
                $fact('fan_on_c'),
                $fact('fan_off_c'),
                $fact('limit_c'),
            ),
            self::channels($input->object('channels')),
        );

        return [
            'evidence' => array_map(
                fn (Evidence $one): array => array_filter(
                    [
                        'code' => $one->code->value,
                        ...$one->toS === null
                            ? ['at_s' => $one->fromS]
                            : ['from_s' => $one->fromS, 'to_s' => $one->toS],
                        'value' => $one->value,
                    ],
                    fn ($value) => $value !== null,
                ),
                $stream->evidence,
            ),
            'danger' => $stream->danger,
            'minutes_to_limit' => $stream->minutesToLimit,
        ];
    }

    /**
     * @param  array<mixed>  $told
     * @return array<string, list<array{float, float}>>
     */
    private static function channels(array $told): array
    {
        $channels = [];
        $count = 0;
        foreach ($told as $name => $points) {
            if (! is_array($points) || ! array_is_list($points)) {
                throw new InvalidField("channels.{$name}", 'Write a channel as a list of [seconds, value].');
            }
            foreach ($points as $i => $point) {
                if (
                    ! is_array($point)
                    || count($point) !== 2
                    || ! is_numeric($point[0] ?? null)
                    || ! is_numeric($point[1] ?? null)
                ) {
                    throw new InvalidField("channels.{$name}.{$i}", 'Write a point as [seconds, value], both numbers.');
                }
                if (++$count > self::MOST_POINTS) {
                    throw new InvalidField('channels', 'At most 200,000 points are judged at once.');
                }
                $channels[(string) $name][] = [(float) $point[0], (float) $point[1]];
            }
        }

        return $channels;
    }
}
