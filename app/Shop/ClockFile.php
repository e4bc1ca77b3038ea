<?php

declare(strict_types=1);

namespace App\Shop;

use Illuminate\Support\Facades\Log;

/** Where this machine keeps the shop's clock between requests and starts. */
final readonly class ClockFile
{
    public function __construct(private string $path, private MachineClock $machine)
    {
    }

    /** The clock as it is now; kept again when something changed. */
    public function read(): SteadyClock
    {
        $before = $this->kept();
        $now = $before?->lookAt($this->machine) ?? SteadyClock::startedBy($this->machine);
        if ($now->jumped() && $now->aheadS !== $before?->aheadS) {
            Log::warning('The clock of this machine jumped.', ['shop_ahead_s' => round($now->aheadS)]);
        }
        $same = $before !== null && $before->boot === $now->boot && $before->aheadS === $now->aheadS
            && abs($now->wall - $before->wall) < SteadyClock::ANCHOR_S;
        if (! $same) {
            $this->keep($now);
        }

        return $now;
    }

    /** Whether the machine's time is the shop's: it has not jumped, and somebody looked since it started. */
    public function isTheMachines(): bool
    {
        $kept = $this->kept();

        return $kept !== null && $kept->boot === $this->machine->boot() && ! $kept->lookAt($this->machine)->jumped();
    }

    /** From now on the machine's time is the shop's. */
    public function takeOver(): void
    {
        $this->keep(SteadyClock::startedBy($this->machine));
    }

    private function kept(): ?SteadyClock
    {
        $data = json_decode((string) @file_get_contents($this->path), true);
        if (! is_array($data) || ! is_string($data['boot'] ?? null) || ! is_numeric($data['wall'] ?? null)) {
            return null;
        }
        $number = fn (string $name): ?float => is_numeric($data[$name] ?? null) ? (float) $data[$name] : null;

        return new SteadyClock(
            $data['boot'],
            (float) $data['wall'],
            $number('uptime'),
            $number('ahead') ?? 0.0,
            $number('noticed'),
        );
    }

    /** In one go, so that nobody reads half of it; a disk that takes nothing leaves the machine's own time. */
    private function keep(SteadyClock $clock): void
    {
        if ($this->path === '') {
            return; // this place keeps no clock of its own
        }
        $new = $this->path.'.'.getmypid();
        $written = @file_put_contents(
            $new,
            json_encode([
                'boot' => $clock->boot,
                'wall' => $clock->wall,
                'uptime' => $clock->uptime,
                'ahead' => $clock->aheadS,
                'noticed' => $clock->noticedAt,
            ]),
        );
        if ($written !== false) {
            rename($new, $this->path);
        }
    }
}
