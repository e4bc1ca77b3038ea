<?php

declare(strict_types=1);

namespace App\Shop;

/**
 * The shop's time: the machine's, as long as that moves by what really passes. When it jumps, the shop's goes on as
 * before and says so, until a lead takes the machine's time over.
 */
final readonly class SteadyClock
{
    /** Less is the clock being set right little by little, s. */
    private const JUMP_S = 60.0;

    /** So often the place it counts from is moved up, s. */
    public const ANCHOR_S = 600.0;

    /**
     * @param  float  $wall  the machine’s time when it was last looked at, Unix seconds
     * @param  ?float  $uptime  its uptime at that moment, s
     * @param  float  $aheadS  how much the shop’s time is ahead of the machine’s
     * @param  ?float  $noticedAt  the shop’s time when it was noticed
     */
    public function __construct(
        public string $boot,
        public float $wall,
        public ?float $uptime,
        public float $aheadS = 0.0,
        public ?float $noticedAt = null,
    ) {
    }

    public static function startedBy(MachineClock $machine): self
    {
        return new self($machine->boot(), $machine->wall(), $machine->uptime());
    }

    /** The same clock now. */
    public function lookAt(MachineClock $machine): self
    {
        $now = self::startedBy($machine);
        if ($this->boot === $now->boot && $this->uptime !== null && $now->uptime !== null) {
            $jump = $now->wall - $this->wall - ($now->uptime - $this->uptime);

            return $now->ahead(abs($jump) > self::JUMP_S ? $this->aheadS - $jump : $this->aheadS, $this->noticedAt);
        }

        // Started anew: nobody knows how long it stood, only that no time was taken back.
        return $now->ahead(max(0.0, $this->shopTime() - $now->wall), null);
    }

    public function shopTime(): float
    {
        return $this->wall + $this->aheadS;
    }

    /** Whether shop and machine go apart. */
    public function jumped(): bool
    {
        return $this->aheadS !== 0.0;
    }

    private function ahead(float $seconds, ?float $noticedAt): self
    {
        $seconds = abs($seconds) > self::JUMP_S ? $seconds : 0.0;
        $noticed = $seconds === 0.0 ? null : $noticedAt ?? $this->wall + $seconds;

        return new self($this->boot, $this->wall, $this->uptime, $seconds, $noticed);
    }
}
