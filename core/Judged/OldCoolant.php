<?php

declare(strict_types=1);

namespace Aqbel\Core\Judged;

use Aqbel\Core\Job\JobState;
use Aqbel\Core\Job\Told;
use Aqbel\Core\Observed\CoolantLook;
use Aqbel\Core\Observed\JarLook;

/** What the drained coolant is worth, by the worst that it looked like and the worst that a jar showed. */
final readonly class OldCoolant
{
    /**
     * @param  list<CoolantLook>  $looks
     * @param  list<JarLook>  $jars
     */
    private function __construct(private array $looks, private array $jars)
    {
    }

    public static function of(JobState $job): self
    {
        return new self($job->observedAnywhere(CoolantLook::class), $job->observedAnywhere(JarLook::class));
    }

    /** Code of the worst it looked like; empty while nobody has looked. */
    public function seen(): string
    {
        return Told::gravest($this->looks)->code ?? '';
    }

    public function isDirty(): bool
    {
        return ! in_array($this->seen(), ['', CoolantLook::CLEAN], true);
    }

    public function isOily(): bool
    {
        return $this->seen() === CoolantLook::OILY;
    }

    /** Whether it set to gel, in the pan or in the jar. */
    public function gels(): bool
    {
        return array_filter($this->looks, fn (CoolantLook $look) => $look->code === CoolantLook::GEL) !== []
            || $this->gelsInTheJar();
    }

    public function gelsInTheJar(): bool
    {
        return Told::gravest($this->jars)?->code === JarLook::GEL;
    }

    public function goesBackIn(): bool
    {
        return Told::gravest($this->looks)?->goesBackIn === true;
    }
}
