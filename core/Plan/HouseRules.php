<?php

declare(strict_types=1);

namespace Aqbel\Core\Plan;

/** How this shop works where practice differs. */
final readonly class HouseRules
{
    public const BLEED_RULES = ['first_coolant' => 'at first coolant', 'steady_stream' => 'on a steady stream', 'bubble_free_minute' => 'after one bubble-free minute'];

    /** Finer ones are syringes: nobody mixes a batch in them. */
    private const FINEST_MIXING_MARK_ML = 50.0;

    private const COARSEST_MARK_SHARE = 0.04;

    /**
     * @param  array<string, float>  $vessels  graduation in mL by name
     * @param  array{km: float, months: float, hours: float}  $changeFirst  first change of the coolant (common practice, no source)
     * @param  array{km: float, months: float, hours: float}  $changeLater  every later one (common practice, no source)
     */
    public function __construct(
        public string $closeBleed = 'bubble_free_minute',
        public float $glanceMinutes = 2.0,
        public float $holdMinutes = 15.0,
        public string $holdSchool = 'real',
        public float $safeTemperatureC = 45.0,
        public float $seaLevelVacuumInHg = 25.0,
        public float $gaugeResolutionInHg = 0.5,
        public int $fanCycles = 2,
        public float $followUpDays = 3.0,
        /** Of the old coolant, where it must not stay (common practice, no source). */
        public float $oldShare = 0.05,
        public array $changeFirst = ['km' => 160_000.0, 'months' => 60.0, 'hours' => 4_000.0],
        public array $changeLater = ['km' => 80_000.0, 'months' => 36.0, 'hours' => 2_000.0],
        /** As prices are written in this shop. */
        public string $currency = '',
        public array $vessels = ['Drain pan, 0.5 L marks' => 500.0, 'Measuring jug, 0.1 L marks' => 100.0, 'Mixing bucket, 0.25 L marks' => 250.0, 'Syringe, 10 mL marks' => 10.0],
    ) {
    }

    /** Half a graduation of the vessel named. */
    public function plusMinusMl(string $vessel): float
    {
        return $this->graduationMl($vessel) / 2.0;
    }

    /** Of the vessel named, in mL. */
    public function graduationMl(string $vessel): float
    {
        return $this->vessels[$vessel] ?? 500.0;
    }

    /**
     * The vessel a batch of this size is measured in: the bucket, or a finer one where the bucket's marks are too coarse
     * for the strength to come out right.
     */
    public function mixingVessel(float $batchMl): string
    {
        $marks = array_filter($this->vessels, fn (float $ml) => $ml >= self::FINEST_MIXING_MARK_ML);
        uksort($marks, fn (string $a, string $b) => [stripos($b, 'bucket') !== false, $marks[$b]] <=> [stripos($a, 'bucket') !== false, $marks[$a]]);
        foreach ($marks as $vessel => $ml) {
            if ($ml <= self::COARSEST_MARK_SHARE * $batchMl) {
                return $vessel;
            }
        }

        return (string) (array_key_last($marks) ?? 'bucket');
    }

    public function changeInterval(bool $first): ChangeInterval
    {
        return new ChangeInterval(...array_map(floatval(...), $first ? $this->changeFirst : $this->changeLater));
    }

    /** @return array<string, string> */
    public function vesselChoices(): array
    {
        return array_combine(array_keys($this->vessels), array_keys($this->vessels));
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return get_object_vars($this);
    }

    /** @param  array<string, mixed>  $data */
    public static function fromArray(array $data): self
    {
        return new self(...$data);
    }
}
