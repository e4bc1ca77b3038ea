<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Builder;
use Illuminate\Http\Request;
use Illuminate\Support\Carbon;
use Illuminate\Support\Str;

/**
 * A tablet that a lead has admitted for sharing. It is known by a cookie; what is kept here is only the cookie’s hash.
 *
 * @property int $id
 * @property string $name
 * @property string $token
 * @property Carbon $admitted_at
 * @property Carbon|null $ended_at
 */
class Tablet extends Row
{
    public const COOKIE = 'aqbel_tablet';

    public const COOKIE_MINUTES = 5 * 365 * 24 * 60;

    public $timestamps = false;

    protected $table = 'tablets';

    protected $casts = ['admitted_at' => 'datetime', 'ended_at' => 'datetime'];

    /** @param  Builder<Tablet>  $query */
    public function scopeAdmitted(Builder $query): void
    {
        $query->whereNull('ended_at');
    }

    /** @return array{self, string} and what its cookie says */
    public static function admit(string $name): array
    {
        $token = Str::random(40);

        return [
            self::query()->create(['name' => $name, 'token' => hash('sha256', $token), 'admitted_at' => now()]),
            $token,
        ];
    }

    /** The shared tablet a request comes from; null from anything else. */
    public static function of(Request $request): ?self
    {
        $token = $request->cookie(self::COOKIE);

        return is_string($token) && $token !== ''
            ? self::query()->admitted()->where('token', hash('sha256', $token))->first()
            : null;
    }
}
