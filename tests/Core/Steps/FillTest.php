<?php

declare(strict_types=1);

namespace Tests\Core\Steps;

use Aqbel\Core\InvalidField;
use Aqbel\Core\Job\PortState;
use Aqbel\Core\Plan\BleedRule;
use Aqbel\Core\Plan\HouseRules;
use Aqbel\Core\Saying\Tone;
use Aqbel\Core\Values;
use PHPUnit\Framework\TestCase;
use Tests\Core\JobOnPaper;

/** Bleed points and the level. */
final class FillTest extends TestCase
{
    public function test_a_bleed_point_is_closed_by_the_house_rule(): void
    {
        $poured = fn (JobOnPaper $job): JobOnPaper => $job->write('bleed:bleed_housing', 'poured', [
            'volume' => 9000.0,
            'vessel' => 'bucket',
        ]);
        $minute = $poured(JobOnPaper::on('rescue-ambulance'))->write('bleed:bleed_housing', 'running', later: 30);
        self::assertSame('Running', $minute->judge('bleed:bleed_housing')->title);
        try {
            JobOnPaper::kind('bleed')->admit($minute->at('bleed:bleed_housing'), 'closed', new Values([]));
            self::fail('closed too early');
        } catch (InvalidField $early) {
            self::assertStringContainsString('30 s to go', $early->getMessage());
        }
        self::assertSame(
            'Running',
            $minute->write('bleed:bleed_housing', 'bubble', later: 40)->judge('bleed:bleed_housing')->title,
            'a bubble starts the minute again',
        );
        self::assertSame('Close it now', $minute->wait(25)->judge('bleed:bleed_housing')->title);
        $first = $poured(JobOnPaper::on('rescue-ambulance', rules: new HouseRules(closeBleed: BleedRule::FirstCoolant)))
            ->write('bleed:bleed_housing', 'running', later: 1);
        self::assertSame('Close it now', $first->judge('bleed:bleed_housing')->title);
        JobOnPaper::kind('bleed')->admit($first->at('bleed:bleed_housing'), 'closed', new Values([]));
        self::assertSame(
            ['bleed_housing' => PortState::Closed],
            array_intersect_key(
                $first->write('bleed:bleed_housing', 'closed', ['torque' => 8.0])->state()->ports(0),
                ['bleed_housing' => 1],
            ),
        );
    }

    public function test_accepted_less_than_predicted_is_trapped_air_named_by_pocket(): void
    {
        $job = JobOnPaper::on('rescue-ambulance')
            ->write('found', 'found', ['content' => 'empty'])
            ->write('fill_level', 'poured', ['volume' => 9000.0, 'vessel' => 'bucket'])
            ->write('fill_level', 'at_mark');
        self::assertSame('Coolant is missing', $job->judge('fill_level')->title, 'more than an engine is started on');
        self::assertStringContainsString('Heater core', $job->judge('fill_level')->reason);
        self::assertSame(
            Tone::Pass,
            $job->write('fill_level', 'poured', ['volume' => 2500.0, 'vessel' => 'bucket'])->judge('fill_level')->tone,
        );
    }
}
