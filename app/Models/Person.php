<?php

declare(strict_types=1);

namespace App\Models;

use Aqbel\Core\Quantity\UnitSystem;
use Aqbel\Core\Saying\Gate;
use Illuminate\Foundation\Auth\User;
use Illuminate\Support\Carbon;

/**
 * Somebody who works here.
 *
 * @property int $id
 * @property string $name
 * @property string $login
 * @property Role $role
 * @property UnitSystem $units
 * @property bool $must_change
 * @property ?Carbon $first_password_until  a first password opens no longer than that
 * @property string|null $pin for shared tablets; hashed
 * @property int $pin_tries wrong ones since the last right one
 * @property Carbon|null $disabled_at
 * @property ?string $calendar secret part of its calendar's address; null while there is none
 */
class Person extends User
{
    use BootsByName;

    protected $table = 'people';

    protected $guarded = [];

    protected $hidden = ['password', 'pin', 'remember_token', 'calendar'];

    /** Wrong PINs, after which only the password opens (common practice, no source). */
    public const MOST_TRIES = 5;

    protected $casts = [
        'password' => 'hashed',
        'pin' => 'hashed',
        'pin_tries' => 'integer',
        'units' => UnitSystem::class,
        'role' => Role::class,
        'must_change' => 'boolean', 'first_password_until' => 'datetime',
        'disabled_at' => 'datetime',
    ];

    public function may(Right $right): bool
    {
        return $this->role === Role::Lead || ($right->canBeGranted() && Shop::here()->grants($right));
    }

    /** @return list<Gate> */
    public function passes(): array
    {
        return array_values(array_filter(Gate::cases(), fn (Gate $gate) => $this->may(Right::toPass($gate))));
    }
}
