<?php

declare(strict_types=1);

namespace App\Models;

use Aqbel\Core\Quantity\UnitSystem;
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
 * @property Carbon|null $disabled_at
 */
class Person extends User
{
    protected $table = 'people';

    protected $guarded = [];

    protected $hidden = ['password', 'remember_token'];

    protected $casts = ['password' => 'hashed', 'units' => UnitSystem::class, 'role' => Role::class, 'must_change' => 'boolean', 'disabled_at' => 'datetime'];

    public function may(Right $right): bool
    {
        return $this->role === Role::Lead || ($right->canBeGranted() && Shop::here()->grants($right));
    }
}
