<?php

declare(strict_types=1);

namespace App\Practice;

use App\Models\Practice;
use Aqbel\Core\Practice\Exercise;
use Aqbel\Core\Practice\Score;
use Aqbel\Core\Quantity\Dimension;
use Aqbel\Core\Quantity\UnitSystem;

/** What an exercise came to, in words. */
final readonly class ResultPage
{
    private const WARM_C = 50.0;

    private const SPILT_ML = 100.0;

    public Exercise $exercise;

    /** @var array<string, mixed> */
    private array $came;

    public function __construct(public Practice $practice, private UnitSystem $units)
    {
        $this->exercise = $practice->exercise();
        $this->came = (array) $practice->came_to;
    }

    public function wentRight(): bool
    {
        return ($this->came['right'] ?? false) === true;
    }

    /** The moment the first clue stood there, and when somebody acted on it. */
    public function clue(): string
    {
        $at = $this->number('clue_at');
        $after = $this->number('seen_after_s');

        return match (true) {
            $this->exercise->isSound() => '',
            $at === null => 'Nothing that tells of it was on the screen before it was ended.',
            $after === null => 'It stood on the screen after '.$this->time($at).', and nobody acted on it.',
            $after <= Score::SOON_S => 'It stood on the screen after '
                .$this->time($at)
                .', and was acted on within '
                .max(1, (int) $after)
                .' s.',
            default => 'It stood on the screen after '
                .$this->time($at)
                .', and was acted on '
                .(int) ceil($after / 60)
                .' min later.',
        };
    }

    /** @return list<array{string, string, bool}> what, how much, and whether that is as it should be */
    public function facts(): array
    {
        [$hottest, $limit] = [$this->number('hottest_c'), $this->number('limit_c')];
        // What was drained to be pulled down is not lost, and an engine that never warmed tells nothing.
        $ran = $hottest !== null && $hottest >= self::WARM_C;
        $volume = fn (string $name): string => $this->units->format((float) $this->number($name), Dimension::Volume);

        return array_values(
            array_filter([
                $this->exercise->isSound()
                    ? [
                        'Proven',
                        ($this->came['proven'] ?? false) === true ? 'yes' : 'no',
                        ($this->came['proven'] ?? false) === true,
                    ]
                    : null,
                ! $ran
                    ? null
                    : [
                        'Hottest',
                        $this->units->format($hottest, Dimension::Temperature)
                        .($limit === null
                            ? ''
                            : ', to be shut off at '.$this->units->format($limit, Dimension::Temperature)),
                        $limit === null || $hottest <= $limit,
                    ],
                ! $ran ? null : ['Coolant lost', $volume('lost_ml'), (float) $this->number('lost_ml') < self::SPILT_ML],
                ! $ran ? null : ['Air left inside', $volume('air_ml'), true],
                [
                    'Its own minutes',
                    (int) $this->number('minutes').' of '.$this->exercise->usualMin.' that it usually takes',
                    true,
                ],
                ['Lines written', (string) (int) $this->number('lines'), true],
            ]),
        );
    }

    private function number(string $name): ?float
    {
        return is_numeric($this->came[$name] ?? null) ? (float) $this->came[$name] : null;
    }

    private function time(float $at): string
    {
        return max(0, (int) round(($at - $this->practice->begun_at) / 60)).' min';
    }
}
