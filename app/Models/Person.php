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
 * @property string $role
 * @property UnitSystem $units
 */
class Person extends User
{
    public const ROLES = ['technician' => 'Technician', 'lead' => 'Lead'];

    protected $guarded = [];

    protected $hidden = ['password', 'remember_token'];

    protected $casts = ['password' => 'hashed', 'units' => UnitSystem::class];

    public function roleLabel(): string
    {
        return self::ROLES[$this->role] ?? $this->role;
    }
}
