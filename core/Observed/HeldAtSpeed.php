<?php

declare(strict_types=1);

namespace Aqbel\Core\Observed;

use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Told;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Values;

/**
 * What is done while the engine runs, and what it is for: a speed held, the throttle blipped, hoses squeezed, the
 * blower set. The times are common practice, no source.
 */
final readonly class HeldAtSpeed extends Report
{
    private const FORM = 'hold';

    private const SPEED = 'speed';

    private const IDLE = 'idle';

    private const REVS = 'revs';

    private const BLOWER = 'blower';

    private const BLOWER_HIGH = 'blower_high';

    /** @var array<string, array{string, float}> what is done and why, and for how many minutes */
    private const HOLDS = [
        self::IDLE => ['Idle: air rises', 5.0],
        self::REVS => ['2,000–3,000 rpm: drives air out', 2.5],
        'heater' => ['3,000 rpm: a stubborn heater', 5.0],
        'fan' => ['On past the fan', 2.0],
        'blip' => ['Throttle blips: then watch for bubbles', 1.0],
        'squeeze' => ['Hoses squeezed with gloves: moves a bubble', 0.0],
        'blower_off' => ['Blower off: it warms faster', 0.0],
        'blower_low' => ['Blower low: heat stays in the core', 0.0],
        self::BLOWER_HIGH => ['Blower high: the heater shows what it has', 2.0],
    ];

    private function __construct(Told $told, private string $what)
    {
        parent::__construct($told);
    }

    public static function form(): string
    {
        return self::FORM;
    }

    public static function forms(): array
    {
        return [self::FORM];
    }

    public static function of(Entry $line): ?static
    {
        return $line->form === self::FORM && isset(self::HOLDS[$line->text(self::SPEED)])
            ? new self(Told::by($line), $line->text(self::SPEED))
            : null;
    }

    /** As an instrument counted it: revved, or let go to idle. */
    public static function streamed(bool $revved): Values
    {
        return new Values([self::SPEED => $revved ? self::REVS : self::IDLE]);
    }

    public static function asked(): Form
    {
        $say = fn (array $hold): string => $hold[1] > 0.0
            ? sprintf('%s, %s min', $hold[0], (string) $hold[1])
            : $hold[0];

        return new Form(self::FORM, 'Hold, blip, squeeze or blower', [
            Field::choice(self::SPEED, 'What', array_map($say, self::HOLDS), self::IDLE),
        ], false);
    }

    public function label(): string
    {
        return self::HOLDS[$this->what][0];
    }

    public function seconds(): int
    {
        return (int) round(60.0 * self::HOLDS[$this->what][1]);
    }

    /** What it is held at, 1/min; null where it stays as it is. */
    public function rpm(): ?float
    {
        return [self::IDLE => 800.0, self::REVS => 2500.0, 'heater' => 3000.0, 'fan' => 800.0][$this->what] ?? null;
    }

    public function setsTheBlower(): bool
    {
        return str_starts_with($this->what, self::BLOWER);
    }

    public function setsTheBlowerHigh(): bool
    {
        return $this->what === self::BLOWER_HIGH;
    }
}
