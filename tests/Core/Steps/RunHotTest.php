<?php

declare(strict_types=1);

namespace Tests\Core\Steps;

use Aqbel\Core\Job\Stage;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Core\JobOnPaper;

/** The engine running: limits and proofs. */
final class RunHotTest extends TestCase
{
    public function test_the_baseline_stands_beside_the_same_readings_afterwards(): void
    {
        $job = JobOnPaper::on('rescue-ambulance')
            ->write('baseline', 'baseline', ['ran' => 'outdoors', 'plateau' => 104.0, 'outlet_front' => 31.0])
            ->write('heat_cycle:1', 'start', ['neck' => 'sealed', 'place' => 'outdoors'])
            ->write(
                'heat_cycle:1',
                'reading',
                ['ect' => 96.0, 'far' => 90.0, 'outlet_front' => 67.0, 'sign' => 'none', 'bubbles' => 'hidden'],
            )
            ->write('heat_cycle:1', 'fan_on');
        self::assertContains(
            ['Outlet air, front', '31 °C', '67 °C'],
            JobOnPaper::kind('heat_cycle')->tables($job->at('heat_cycle:1'))[0]->rows,
        );
        self::assertContains(
            ['Fan on', '–', '96 °C'],
            JobOnPaper::kind('heat_cycle')->tables($job->at('heat_cycle:1'))[0]->rows,
        );
        self::assertNotNull($job->state()->running()->last(), 'a baseline run warms the engine too');
        self::assertNull(
            JobOnPaper::on('rescue-ambulance')
                ->write('baseline', 'baseline', ['ran' => 'no'])
                ->state()
                ->running()
                ->last(),
        );
    }

    /** @return array<string, array{array<string, mixed>, string}> */
    public static function hotReadings(): array
    {
        return [
            'fine' => [['ect' => 96.0, 'far' => 90.0], 'Not proven yet'], 'at the limit' => [
                ['ect' => 103.0, 'far' => 98.0], 'Shut off now',
            ], 'steam' => [['sign' => 'steam'], 'Shut off now'],
            'thermostat shut' => [['ect' => 99.0, 'far' => 40.0], 'Thermostat shut'], 'heater cold' => [
                ['ect' => 95.0, 'far' => 88.0, 'outlet_front' => 22.0], 'Heater still cold',
            ],
        ];
    }

    /** @param  array<string, mixed>  $reading */
    #[DataProvider('hotReadings')]
    public function test_a_hot_reading_means(array $reading, string $verdict): void
    {
        $job = JobOnPaper::on('rescue-ambulance')
            ->write('heat_cycle:1', 'start', ['place' => 'outdoors', 'neck' => 'sealed'])
            ->write(
                'heat_cycle:1',
                'reading',
                $reading + [
                    'ect' => 92.0, 'far' => 86.0, 'outlet_front' => 66.0, 'bubbles' => 'hidden', 'sign' => 'none',
                ],
            );
        self::assertSame($verdict, $job->judge('heat_cycle:1')->title);
    }

    public function test_proofs_missing_order_another_cycle_and_all_proofs_end_it(): void
    {
        $job = JobOnPaper::on('rescue-ambulance')
            ->write('heat_cycle:1', 'start', ['place' => 'outdoors', 'neck' => 'sealed'], 900)
            ->write(
                'heat_cycle:1',
                'reading',
                ['ect' => 97.0, 'far' => 90.0, 'outlet_front' => 66.0, 'bubbles' => 'hidden', 'sign' => 'none'],
            );
        self::assertTrue($job->isHard('heat_cycle:1'), 'a running engine is never left');
        $job->write('heat_cycle:1', 'shut_off');
        self::assertStringContainsString('the fan on and off 2 times', $job->judge('heat_cycle:1')->reason);
        $job->write('cold_level:1', 'opened', ['ect' => 20.0])
            ->write('cold_level:1', 'topped', ['volume' => 0.0])
            ->finish('cold_level:1');
        self::assertArrayHasKey('heat_cycle:2', $job->state()->steps);
        self::assertSame(Stage::Cool, $job->state()->steps['cool_down:2']->stage);
        $job->wait(600)->ranHot('heat_cycle:2');
        $job->write('cold_level:2', 'opened', ['ect' => 20.0])
            ->write('cold_level:2', 'topped', ['volume' => 20.0])
            ->finish('cold_level:2');
        self::assertArrayNotHasKey('heat_cycle:3', $job->state()->steps);
    }
}
