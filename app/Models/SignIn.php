<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Http\Request;
use Illuminate\Support\Carbon;

/**
 * Somebody signed in somewhere. Ended by signing out, by the lock of a shared tablet, or from the page People.
 *
 * @property int $id
 * @property int $person_id
 * @property string $browser
 * @property Carbon $at
 * @property Carbon|null $ended_at
 * @property Tablet|null $tablet
 */
class SignIn extends Row
{
    /** In the session. */
    public const KEY = 'sign_in';

    public $timestamps = false;

    protected $table = 'sign_ins';

    protected $casts = ['at' => 'datetime', 'ended_at' => 'datetime'];

    /** @return BelongsTo<Tablet, $this> */
    public function tablet(): BelongsTo
    {
        return $this->belongsTo(Tablet::class);
    }

    /** @param  Builder<SignIn>  $query */
    public function scopeOpen(Builder $query): void
    {
        // What is older than a session lives is over, whoever ended it.
        $query->whereNull('ended_at')->where('at', '>', now()->subMinutes((int) config('session.lifetime')));
    }

    public static function begin(Request $request, Person $person, ?Tablet $tablet): void
    {
        $begun = self::query()->create([
            'person_id' => $person->id, 'tablet_id' => $tablet?->id, 'browser' => mb_strcut(
                (string) $request->userAgent(),
                0,
                120,
            ), 'at' => now(),
        ]);
        $request->session()->put(self::KEY, $begun->id);
    }

    /** The one of this session is over. */
    public static function end(Request $request): void
    {
        self::query()->whereKey(
            $request->session()->get(self::KEY),
        )->whereNull('ended_at')->update(['ended_at' => now()]);
    }

    /** Whether the one of this session was ended elsewhere, or has lasted a shift. */
    public static function wasEnded(Request $request): bool
    {
        $id = $request->session()->get(self::KEY);

        $over = fn (Builder $begun) => $begun
            ->whereNotNull('ended_at')
            ->orWhere('at', '<', now()->subMinutes((int) config('session.lifetime')));

        return is_int($id) && self::query()->whereKey($id)->where($over)->exists();
    }

    /** Which browser that was, in a word or two. */
    public function place(): string
    {
        preg_match('/(Android|iPad|iPhone|Windows|Macintosh|Linux)/', $this->browser, $found);

        return $this->tablet->name ?? match ($found[1] ?? '') {
            'Android', 'iPad', 'iPhone' => 'a tablet or phone',
            '' => 'somewhere',
            default => 'a computer',
        };
    }
}
