<?php

declare(strict_types=1);

namespace App\Floor;

use App\Practice\Ground;
use Illuminate\Support\Facades\DB;

/**
 * Where the shop stood before a page read it. A page that says of itself how far it has seen says it by this: counted
 * only when it is written out, an entry that came in between would be told as seen, and the page would never show it.
 */
final class TickSeen
{
    /** @var array<array-key, string> by what a page is about */
    private array $ticks = [];

    /** @param  ?int  $job  the one the page is about; none, and it may be about the shop */
    public function mark(?int $job): void
    {
        $this->ticks = [];
        foreach ($job === null ? [Tick::SHOP, ''] : [(string) $job] as $about) {
            $practice = Ground::holds($about) ? DB::connection(Ground::CONNECTION)->getPdo() : null;
            $this->ticks[$about] = Tick::of(Ground::shop()->getPdo(), $about, (string) config('app.key'), $practice);
        }
    }

    /** An empty one where nothing was noted: such a page looks again at its first question. */
    public function of(string $about): string
    {
        return $this->ticks[$about] ?? '';
    }
}
