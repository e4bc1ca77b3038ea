<?php

declare(strict_types=1);

namespace Tests\Journeys;

use Aqbel\Core\Plan\LeftBehind;
use Aqbel\Core\Saying\Hazard;
use Aqbel\Core\Steps\GivenUp;
use Aqbel\Core\Steps\StepCatalogue;
use Aqbel\Core\Writing\Refusal;
use PHPUnit\Framework\TestCase;

/** What a job leaves at the moment at which it is given up. */
final class GivenUpTest extends TestCase
{
    public function test_a_run_that_was_stopped_is_left_until_its_cause_was_looked_for(): void
    {
        $until = fn (int $lines): bool => $this->leavesStopped(array_slice([
            ['until' => 'heat_cycle:1'],
            ['step' => 'heat_cycle:1', 'form' => 'start', 'values' => ['place' => 'extraction', 'neck' => 'sealed']],
            ['step' => 'heat_cycle:1', 'form' => 'reading', 'values' => ['sign' => 'steam'], 'min' => 5],
            ['step' => 'heat_cycle:1', 'form' => 'shut_off'],
            ['finish' => 'heat_cycle:1'],
            ['step' => 'cool_down:1', 'form' => 'reading', 'values' => ['ect' => 24, 'air' => 15], 'min' => 400],
            ['finish' => 'cool_down:1'],
            ['step' => 'why_stopped:heat_cycle:1', 'form' => 'cause', 'values' => ['cause' => 'air', 'how' => 'low']],
            ['finish' => 'why_stopped:heat_cycle:1'],
        ], 0, $lines));
        self::assertSame(
            [false, false, true, true, true, true, true, true, false],
            array_map($until, range(1, 9)),
        );
    }

    public function test_gas_that_gets_in_is_left_until_it_is_mended(): void
    {
        $left = ['job' => 'J0005', 'stopped' => true];
        $until = fn (int $lines): bool => $this->leavesStopped(array_slice([
            ['until' => 'why_stopped:left'],
            ['step' => 'why_stopped:left', 'form' => 'cause', 'values' => ['cause' => 'gas', 'how' => 'it turned yellow']],
            ['finish' => 'why_stopped:left'],
            ['do' => 'extra:why_stopped:left'],
        ], 0, $lines), ['left' => $left]);
        self::assertSame([true, true, true, false], array_map($until, range(1, 4)));
    }

    public function test_when_it_ran_is_left_until_it_was_read_cold(): void
    {
        $until = fn (int $lines): ?int => $this->leaves(array_slice([
            ['until' => 'heat_cycle:1'],
            ['step' => 'heat_cycle:1', 'form' => 'start', 'values' => ['place' => 'extraction', 'neck' => 'sealed']],
            ['step' => 'heat_cycle:1', 'form' => 'shut_off', 'min' => 9],
            ['finish' => 'heat_cycle:1', 'reason' => 'Sent to the yard'],
            ['step' => 'cool_down:1', 'form' => 'reading', 'values' => ['ect' => 74, 'air' => 15], 'min' => 4],
            ['step' => 'cool_down:1', 'form' => 'reading', 'values' => ['ect' => 24, 'air' => 15], 'min' => 400],
        ], 0, $lines))->ranAt;
        self::assertNull($until(1));
        self::assertSame($until(2) + 9 * 60, $until(3));
        self::assertSame($until(3), $until(5), 'read hot');
        self::assertNull($until(6), 'read cold');
    }

    public function test_when_the_job_before_ran_is_left_again_until_it_was_cold(): void
    {
        $choices = ['left' => ['job' => 'J0005', 'ran_at' => 999_000]];
        $until = fn (string $step): ?int => $this->leaves([['until' => $step]], $choices)->ranAt;
        self::assertSame(999_000, $until('cold_check'));
        self::assertNull($until('inspect'));
    }

    public function test_who_was_late_to_say_that_it_is_off_is_told_how_and_who_took_over_hot_is_warned(): void
    {
        $refusals = function (array $lines, array $choices = []): array {
            $said = [];
            $journey = new Journey([
                'about' => '', 'circuit' => 'rescue-ambulance', 'lines' => $lines,
                'choices' => ['school' => 'gravity', ...$choices],
            ]);
            $journey->play(null, function (?string $field, ?Refusal $refusal) use (&$said): void {
                $said[] = $refusal?->message;
            });

            return [$said[count($said) - 1] ?? '', $journey->state()];
        };
        [$own] = $refusals([
            ['until' => 'heat_cycle:1'],
            ['step' => 'heat_cycle:1', 'form' => 'start', 'values' => ['place' => 'extraction', 'neck' => 'sealed']],
            ['step' => 'heat_cycle:1', 'form' => 'shut_off', 'min' => 15],
            ['finish' => 'heat_cycle:1', 'reason' => 'Sent to the yard'],
            ['step' => 'cool_down:1', 'form' => 'by_hand'],
        ]);
        self::assertStringContainsString('Take that line back, and tell it of its own time', (string) $own);
        $hot = ['left' => ['job' => 'J0005', 'ran_at' => 999_900]];
        [$others] = $refusals([['until' => 'cold_check'], ['step' => 'cold_check', 'form' => 'by_hand']], $hot);
        self::assertStringContainsString('A hand tells it from', (string) $others);
        self::assertStringNotContainsString('Take that line back', (string) $others);

        [, $state] = $refusals([], $hot);
        $at = $state->at($state->steps['found'], 1_000_200);
        $kind = StepCatalogue::standard()->of($at->step);
        self::assertStringContainsString('Its engine ran 5 min ago', $kind->instructions($at)[0]);
        self::assertSame([Hazard::Scald], $kind->hazards($at));
        self::assertSame([], $kind->hazards($state->at($at->step, 1_900_000)));
    }

    /**
     * @param  list<array<string, mixed>>  $lines
     * @param  array<string, mixed>  $choices
     */
    private function leavesStopped(array $lines, array $choices = []): bool
    {
        return $this->leaves($lines, $choices)->stopped;
    }

    /**
     * @param  list<array<string, mixed>>  $lines
     * @param  array<string, mixed>  $choices
     */
    private function leaves(array $lines, array $choices = []): LeftBehind
    {
        $journey = new Journey([
            'about' => '', 'circuit' => 'rescue-ambulance', 'lines' => $lines,
            'choices' => ['school' => 'gravity', ...$choices],
        ]);
        $journey->play();

        return GivenUp::leaves($journey->state(), 'J0001', $journey->now());
    }
}
