<?php

declare(strict_types=1);

namespace Aqbel\Core\Judged;

use Aqbel\Core\Job\JobState;
use Aqbel\Core\Observed\CoolantLook;
use Aqbel\Core\Observed\JarLook;

/** What the drained coolant is worth, by how it looked and what the jar showed. */
final readonly class OldCoolant
{
    private function __construct(private ?CoolantLook $look, private ?JarLook $jar)
    {
    }

    public static function of(JobState $job): self
    {
        $looks = $job->observedAnywhere(CoolantLook::class);
        $jars = $job->observedAnywhere(JarLook::class);

        return new self($looks[count($looks) - 1] ?? null, $jars[count($jars) - 1] ?? null);
    }

    /** Code of what it looked like; empty while nobody has looked. */
    public function seen(): string
    {
        return $this->look->code ?? '';
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
        return $this->seen() === CoolantLook::GEL || $this->gelsInTheJar();
    }

    public function gelsInTheJar(): bool
    {
        return $this->jar?->code === JarLook::GEL;
    }

    public function goesBackIn(): bool
    {
        return $this->look?->goesBackIn === true;
    }
}
