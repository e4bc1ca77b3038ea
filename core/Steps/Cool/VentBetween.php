<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\Cool;

use Aqbel\Core\InvalidField;
use Aqbel\Core\Job\Does;
use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Told;
use Aqbel\Core\Judged\NeckHeat;
use Aqbel\Core\Ledger\Line;
use Aqbel\Core\Observed\Vented;
use Aqbel\Core\Observed\VentedWarm;
use Aqbel\Core\Saying\Hazard;
use Aqbel\Core\Saying\Obstacle;
use Aqbel\Core\Saying\Verdict;
use Aqbel\Core\Steps\AtPoint;
use Aqbel\Core\Steps\StepKind;
use Aqbel\Core\Values;

/** Stage 9: a vent bolt cracked after a warm-up, the engine off and cooled: what the heat drove there comes out. */
final class VentBetween extends StepKind
{
    /**
     * What is caught at a bolt goes into whatever stands under it, read to so much of it (common practice, no
     * source).
     */
    private const CAUGHT_UNSURE = 0.3;

    public function name(): string
    {
        return 'vent_between';
    }

    protected function doing(): array
    {
        return [Does::OpensNeck, Does::MovesCoolant, Does::Guards];
    }

    public function title(Situation $at): string
    {
        return 'Vent: '.$at->port()->label;
    }

    public function why(Situation $at): string
    {
        return 'Heat drives air to the highest point. Cracked when it has cooled, the bolt lets it out; '
            .($at->circuit()->hasTank() ? 'the tank makes good what leaves.' : 'what leaves is topped up at the neck.');
    }

    public function instructions(Situation $at): array
    {
        return [
            ...array_filter([(new AtPoint($at))->access()]),
            'Engine off and cooled, unless the vehicle’s manual says hot. Rag and a small vessel underneath, '
                .'glasses on.',
            'Crack it a turn until nothing but coolant comes, then shut it.',
            ($at->circuit()->hasTank() ? 'Top the tank up' : 'Top up').' afterwards: the cold level follows.',
        ];
    }

    public function hazards(Situation $at): array
    {
        return [Hazard::Scald];
    }

    public function observes(): array
    {
        return [Vented::class];
    }

    public function asks(Situation $at): array
    {
        return [Vented::asked((new AtPoint($at))->torqueWrench())];
    }

    public function admit(Situation $at, string $form, Values $values): void
    {
        if ($form === Vented::form() && NeckHeat::mayBeUnderPressure($at)) {
            throw new InvalidField(Vented::CAME, 'It ran sealed and nobody has read it cold since: a bolt cracked now '
                .'sprays. Let it cool, and read it first.');
        }
    }

    public function ledger(Situation $at, Entry $entry): array
    {
        $caught = Vented::of($entry)->caughtMl ?? 0.0;

        return $caught > 0.0
            ? [new Line('Caught: '.$at->port()->label, -$caught, self::caughtWithinMl($caught), null)]
            : [];
    }

    public static function caughtWithinMl(float $ml): float
    {
        return self::CAUGHT_UNSURE * $ml;
    }

    public function obstacles(Situation $at): array
    {
        return $at->latest(Vented::class) !== null || $this->warm($at) !== null
            ? []
            : [Obstacle::missing('not_vented', 'Crack the bolt, shut it, and say what came.')];
    }

    /** Air that still came asks for another round; the cold level after it decides by what it takes. */
    public function judge(Situation $at): ?Verdict
    {
        $vented = $at->gravest(Vented::class);
        $warm = $this->warm($at);
        // Air that came warm came, whatever a crack of the cold bolt shows after it.
        $warm = $vented === null || ($warm?->wasAir === true && $vented->wasOnlyCoolant()) ? $warm : null;

        return match (true) {
            $warm !== null => $warm->wasAir
                ? Verdict::wait(
                    'air_came',
                    'Air came, warm',
                    'Another warm-up: it is planned, or the cold level orders it.',
                )
                : Verdict::pass(
                    'only_coolant',
                    'Nothing but coolant, warm',
                    'It was cracked warm in the cool-down before.',
                ),
            $vented === null => null,
            $vented->wasOnlyCoolant() => Verdict::pass(
                'only_coolant',
                'Nothing but coolant',
                'The heat brought no more air here.',
            ),
            $vented->wasAir() => Verdict::wait(
                'air_came',
                'Air came',
                'Another warm-up: it is planned, or the cold level orders it.',
            ),
            default => Verdict::wait(
                'silent',
                'Nothing came',
                'Blocked, or the level stands below it. Look at the level first.',
            ),
        };
    }

    /** This point, cracked warm in the cool-down before. */
    private function warm(Situation $at): ?VentedWarm
    {
        $cooled = $at->job->before($at->step, 'cool_down');
        $warm = array_filter(
            $cooled === null ? [] : $at->job->observed($cooled->id, VentedWarm::class),
            fn (VentedWarm $one) => $one->point === $at->port()->id,
        );

        return Told::gravest(array_values($warm));
    }

    /** Air was to be expected. */
    public function goesOn(Situation $at): bool
    {
        return parent::goesOn($at) || $this->verdict($at)?->code === 'air_came';
    }
}
