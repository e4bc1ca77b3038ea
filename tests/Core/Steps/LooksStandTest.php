<?php

declare(strict_types=1);

namespace Tests\Core\Steps;

use Aqbel\Core\Plan\Complaint;
use Aqbel\Core\Steps\StepKind;
use PHPUnit\Framework\TestCase;
use Tests\Core\JobOnPaper;

/** Several looks at one thing say together what was seen: none takes away what another found. */
final class LooksStandTest extends TestCase
{
    public function test_a_second_look_at_the_vehicle_keeps_what_the_first_found(): void
    {
        $job = JobOnPaper::on('rescue-ambulance')
            ->write('inspect', 'condition', ['cap' => 'worn', 'drips' => 'left mount', 'watch' => 'belt'])
            ->write('inspect', 'condition', ['fins' => 'clogged', 'cap' => 'good', 'pipes' => 'rusty'])
            ->write('inspect', 'sound')
            ->finish('inspect');
        self::assertSame('parts_to_add', $job->judge('inspect')?->code);
        self::assertSame(['cap', 'fins'], $job->at('put_right')->step->params->list('items'));
        self::assertSame(['belt', 'pipes_rusty'], $this->kind('inspect')->watch($job->at('inspect')));
        self::assertStringContainsString('New cap fitted', $this->asked($job, 'close_up'));
        self::assertStringContainsString('left mount', implode(' ', $this->kind('leak_check')->instructions($job->at('leak_check'))));
    }

    public function test_every_way_of_the_oil_is_mended(): void
    {
        $job = JobOnPaper::on('rescue-ambulance')
            ->write('look', 'seen', ['coolant' => 'oily', 'next' => 'waste'])
            ->write('look', 'seen', ['coolant' => 'clean', 'next' => 'reuse'])
            ->finish('look')
            ->write('find_cause', 'cause', ['cause' => 'head_gasket'])
            ->write('find_cause', 'cause', ['cause' => 'oil_cooler'])
            ->write('find_cause', 'cause', ['cause' => 'unknown']);
        self::assertSame('oily', $job->judge('look')?->code);
        self::assertSame('Found: head gasket, oil cooler', $job->judge('find_cause')?->title);
        self::assertStringContainsString('Mended: head gasket, oil cooler', $this->asked($job, 'close_up'));
    }

    public function test_gas_and_every_drip_are_mended_before_it_is_filled(): void
    {
        $job = JobOnPaper::on('rescue-ambulance', choices: ['complaint' => Complaint::Falling])
            ->write('find_drip', 'topped', ['volume' => 0.0, 'vessel' => 'jug', 'liquid' => 'water'])
            ->write('find_drip', 'drip', ['place' => 'hose', 'where' => 'at the pump', 'gas' => 'gas'])
            ->write('find_drip', 'drip', ['place' => 'cap', 'gas' => 'clear']);
        $verdict = $job->judge('find_drip');
        self::assertSame('gas', $verdict?->code);
        self::assertStringContainsString('It drips as well: hose or clamp, cap or neck. Seen: at the pump.', $verdict->reason);
        $asked = $this->asked($job, 'close_up');
        self::assertStringContainsString('Mended: hose or clamp, at the pump; cap or neck', $asked);
        self::assertStringContainsString('Mended: the way of the combustion gas into the coolant', $asked);
    }

    public function test_a_run_stopped_by_combustion_gas_is_not_run_again_before_it_is_mended(): void
    {
        $job = JobOnPaper::on('rescue-ambulance')
            ->write('heat_cycle:1', 'start', ['place' => 'extraction', 'neck' => 'sealed'], 900)
            ->write('heat_cycle:1', 'reading', ['ect' => 90.0, 'bubbles' => 'hidden', 'sign' => 'steam'])
            ->write('heat_cycle:1', 'shut_off')
            ->finish('heat_cycle:1')
            ->wait(36_000)
            ->write('cool_down:1', 'reading', ['ect' => 20.0, 'air' => 16.0])
            ->finish('cool_down:1');
        $why = 'why_stopped:heat_cycle:1';
        $job->write($why, 'cause', ['cause' => 'gas'])->write($why, 'cause', ['cause' => 'sensor'])->finish($why);
        self::assertSame('gas', $job->judge($why)?->code);
        self::assertTrue($job->judge($why)->stops());
        $mend = $job->at("extra:{$why}");
        self::assertSame('Put right: the way of the combustion gas into the coolant', $this->kind('extra')->title($mend));
        $order = array_keys($job->state()->steps);
        self::assertLessThan(array_search('cold_level:1', $order, true), array_search("extra:{$why}", $order, true));
    }

    public function test_air_that_came_at_a_bolt_is_told_though_coolant_ran_in_the_end(): void
    {
        $job = JobOnPaper::on('standby-generator', 'vent_bolt', choices: ['opened' => []])->ranHot('heat_cycle:1');
        $bolt = array_values(array_filter($job->state()->steps, fn ($step) => $step->kind === 'vent_between'))[0]->id;
        $job->write($bolt, 'vented', ['came' => 'nothing'])->write($bolt, 'vented', ['came' => 'coolant']);
        self::assertSame('only_coolant', $job->judge($bolt)?->code);
        $job->write($bolt, 'vented', ['came' => 'air'])->write($bolt, 'vented', ['came' => 'coolant']);
        self::assertSame('air_came', $job->judge($bolt)?->code);
    }

    public function test_a_new_drip_stays_until_somebody_says_what_was_mended(): void
    {
        $job = JobOnPaper::on('rescue-ambulance')
            ->write('leak_check', 'seen', ['leak' => 'drip', 'where' => 'left plug'])
            ->write('leak_check', 'seen', ['leak' => 'dry']);
        self::assertSame('new_drip', $job->judge('leak_check')?->code);
        self::assertSame(['new_drip'], array_map(fn ($o) => $o->code, $this->kind('leak_check')->obstacles($job->at('leak_check'))));
        $job->write('leak_check', 'seen', ['leak' => 'dry', 'mended' => 'plug drawn up']);
        self::assertSame('no_new_drip', $job->judge('leak_check')->code);
        self::assertStringContainsString('Mended: plug drawn up.', $job->judge('leak_check')->reason);
        $job->write('leak_check', 'seen', ['leak' => 'drip']);
        self::assertSame('new_drip', $job->judge('leak_check')->code);
    }

    public function test_what_was_still_there_once_is_better_and_not_gone(): void
    {
        $job = JobOnPaper::on('rescue-ambulance', choices: ['complaint' => Complaint::HeaterCold])
            ->write('complaint', 'answer', ['answer' => 'still'])
            ->write('complaint', 'answer', ['answer' => 'gone']);
        self::assertSame('better', $job->judge('complaint')?->code);
    }

    private function kind(string $code): StepKind
    {
        return JobOnPaper::kind($code);
    }

    /** What a list asks to be ticked, as one text. */
    private function asked(JobOnPaper $job, string $step): string
    {
        return json_encode(
            array_map(fn ($form) => array_map(fn ($field) => $field->label, $form->fields), $this->kind($step)->forms($job->at($step))),
            JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE,
        );
    }
}
