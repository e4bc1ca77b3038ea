<?php

declare(strict_types=1);

namespace App\Models;

use Aqbel\Core\Quantity\UnitSystem;
use Illuminate\Foundation\Auth\User;

/**
 * Somebody who works here.
 *
 * @property int $id
 * @property string $name
 * @property string $login
 * @property Role $role
 * @property UnitSystem $units
 */
class Person extends User
{
    protected $guarded = [];

    protected $hidden = ['password', 'remember_token'];

    protected $casts = ['password' => 'hashed', 'units' => UnitSystem::class, 'role' => Role::class];

    public function may(Right $right): bool
    {
        return $right->isOf($this->role);
    }
}
