<?php

declare(strict_types=1);

namespace Tests\App\Calc;

use App\Calc\TopicList;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** The command as scripts use it: a process, JSON in, JSON out. */
final class CalcTest extends TestCase
{
    public function test_every_topic_is_listed_with_a_line(): void
    {
        [$out, , $code] = $this->calc('--list', '');
        self::assertSame(0, $code);
        foreach (TopicList::topics() as $name => $topic) {
            self::assertStringContainsString($name, $out);
            self::assertStringContainsString($topic->summary(), $out);
        }
    }

    public function test_an_answer_is_one_json_object(): void
    {
        [$out, $error, $code] = $this->calc(
            'coolant',
            '{"base":"ethylene_glycol","volume_fraction":0.5,"pressure_kpa":101.325}',
        );
        self::assertSame([0, ''], [$code, $error]);
        $answer = json_decode($out, true, flags: JSON_THROW_ON_ERROR);
        self::assertEqualsWithDelta(108.0, $answer['boiling_point_c'], 0.1);
        self::assertSame(
            [
                'freeze_point_c',
                'freeze_is_bound',
                'boiling_point_c',
                'mass_fraction',
                'water_mole_fraction',
                'vapour_pressure_kpa',
                'density_kg_m3',
            ],
            array_keys($answer),
        );
    }

    #[DataProvider('badInput')]
    public function test_bad_input_names_the_field_and_leaves_standard_output_empty(
        string $topic,
        string $json,
        string $field,
    ): void {
        [$out, $error, $code] = $this->calc($topic, $json);
        self::assertSame([2, ''], [$code, $out]);
        $problem = json_decode($error, true, flags: JSON_THROW_ON_ERROR)['error'];
        self::assertSame($field, $problem['field']);
        self::assertNotSame('', $problem['message']);
    }

    /** @return array<string, array{string, string, string}> */
    public static function badInput(): array
    {
        return [
            'no such topic' => ['coolants', '{}', 'topic'],
            'no JSON' => ['coolant', 'hello', 'input'],
            'a list' => ['coolant', '[1]', 'input'],
            'percent' => ['coolant', '{"base":"ethylene_glycol","volume_fraction":50}', 'volume_fraction'],
            'base' => ['coolant', '{"base":"green","volume_fraction":0.5}', 'base'],
            'quoted number' => ['atmosphere', '{"elevation_m":"1420"}', 'elevation_m'],
            'too high' => ['atmosphere', '{"elevation_m":90000}', 'elevation_m'],
            'missing' => [
                'vacuum-plan',
                '{"elevation_m":0,"base":"ethylene_glycol","volume_fraction":0.5,"temp_c":20}',
                'void_ml',
            ],
            'deep' => [
                'vacuum-hold',
                '{"barometer_kpa":85,"void_ml":1,"readings":[{"t_s":0,"inhg":"x"}]}',
                'readings.0.inhg',
            ],
            'boiling' => [
                'vacuum-plan',
                '{"elevation_m":0,"void_ml":1,"base":"ethylene_glycol","volume_fraction":0,"temp_c":110}',
                'temp_c',
            ], 'warm air' => ['cooldown', '{"ambient_c":50,"readings":[{"t_min":0,"temp_c":90}]}', 'safe_c'],
            'circuit' => [
                'drain',
                '{"circuit":{"format":"aqbel-circuit/1","name":"x","nodes":[],"passages":[],"ports":[]}}',
                'circuit.nodes',
            ],
            'a number for a name' => [
                'drain',
                '{"circuit":{"format":"aqbel-circuit/1","name":"x","nodes":[{"id":"1","x_mm":0,"z_mm":9},{"id":"b","x_mm":0,"z_mm":1}],"passages":[],"ports":[]}}',
                'circuit.nodes.0.id',
            ],
            'port' => [
                'fill',
                '{"circuit":{"format":"aqbel-circuit/1","name":"x","nodes":[{"id":"a","x_mm":0,"z_mm":9},{"id":"b","x_mm":0,"z_mm":1}],"passages":[{"id":"p","from":"a","to":"b","volume_ml":9}],"ports":[{"id":"f","node":"a","kind":"fill"}]},"at":"z"}',
                'at',
            ],
        ];
    }

    /** @return array{string, string, int} */
    private function calc(string $topic, string $json): array
    {
        $process = proc_open(
            [dirname(__DIR__, 3).'/aqbel', 'calc', $topic],
            [['pipe', 'r'], ['pipe', 'w'], ['pipe', 'w']],
            $pipes,
        );
        fwrite($pipes[0], $json);
        fclose($pipes[0]);
        $out = [stream_get_contents($pipes[1]), stream_get_contents($pipes[2])];

        return [$out[0], $out[1], proc_close($process)];
    }
}
