<?php

declare(strict_types=1);

namespace App\Practice;

use App\Models\Practice;
use Aqbel\Core\Job\JobState;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Job\WatchedBy;
use Aqbel\Core\Quantity\UnitSystem;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Steps\StepCatalogue;
use Aqbel\Core\Steps\StepKind;

/**
 * What somebody at a vehicle that is not there would see, hear and read at the step in hand: in pan, jug and neck, on
 * hoses and underneath. What its gauges show comes from them.
 */
final readonly class Seen
{
    /** What eyes tell of an engine that gauges watch. */
    private const BY_EYE = ['bubbles', 'sign'];

    public function __construct(private StepCatalogue $kinds)
    {
    }

    /**
     * @param  list<Step>  $steps  that are asked for together
     * @return list<array{string, list<string>}> by what it is entered under: what is seen of it
     */
    public function at(Practice $practice, array $steps, UnitSystem $units): array
    {
        $state = $practice->job->state();
        $seen = [];
        foreach ($steps as $step) {
            $kind = $this->kinds->of($step);
            $at = $state->at($step, now()->getTimestamp(), UnitSystem::Metric);
            foreach (Answers::to($kind, $at) as [$form, $fields]) {
                $told = $this->told($kind, $state, $step->id, $form, $fields, $units);
                if ($told !== [] && ! in_array($told, array_column($seen, 1), true)) {
                    $seen[] = [$kind->form($at, $form)->button ?? $form, $told];
                }
            }
        }

        return $seen;
    }

    /** Whether the gauges of the vehicle show the numbers of the step in hand. */
    public function byGauge(Practice $practice): bool
    {
        $step = $practice->job->state()->stepInHand();

        return $step !== null && self::watched($this->kinds->of($step)) !== null;
    }

    /** On the road nobody is with it. */
    private static function watched(StepKind $kind): ?WatchedBy
    {
        return $kind->watchedBy() === WatchedBy::OnTheRoad ? null : $kind->watchedBy();
    }

    /**
     * @param  array<string, string>  $fields  as typed, metric
     * @return list<string>
     */
    private function told(
        StepKind $kind,
        JobState $state,
        string $step,
        string $form,
        array $fields,
        UnitSystem $units,
    ): array {
        $at = $state->at($state->steps[$step], now()->getTimestamp());
        $only = match (self::watched($kind)) {
            null => null,
            WatchedBy::Engine => self::BY_EYE,
            default => [],
        };
        $told = [];
        foreach ($kind->form($at, $form)->fields ?? [] as $field) {
            $typed = $fields[$field->name] ?? null;
            if ($typed !== null && ! $field->isToDo() && ($only === null || in_array($field->name, $only, true))) {
                $told[] = "{$field->label}: ".self::said($field, $typed, $units);
            }
        }

        return $told;
    }

    private static function said(Field $field, string $typed, UnitSystem $units): string
    {
        if ($field->choices !== []) {
            return mb_strtolower($field->choices[$typed] ?? $typed);
        }
        [$base] = $field->dimension === null ? [null] : $field->read($typed, UnitSystem::Metric);

        return is_float($base) && $field->dimension !== null ? $units->format($base, $field->dimension) : $typed;
    }
}
