<?php

declare(strict_types=1);

namespace App\Models;

/** What not everybody may do: who may, and what is said to the others. The one place that decides it. */
enum Right: string
{
    case ChangeCircuits = 'change_circuits';
    case ChangePrices = 'change_prices';

    /** Take over the machine's time after it has jumped. */
    case SetClock = 'set_clock';

    case RetireVehicles = 'retire_vehicles';
    case ManagePeople = 'manage_people';

    /** Sums that cannot be, a mixture short of its frost protection: what a reason alone does not answer. */
    case PassOverLeads = 'pass_over_leads';

    public function isOf(Role $role): bool
    {
        return match ($this) {
            self::ChangeCircuits, self::ChangePrices, self::SetClock, self::RetireVehicles, self::ManagePeople, self::PassOverLeads => $role === Role::Lead,
        };
    }

    public function refusal(): string
    {
        return match ($this) {
            self::ChangeCircuits => 'Circuits are changed by a lead. Ask one to sign in.',
            self::ChangePrices => 'The price list is changed by a lead. Ask one to sign in.',
            self::SetClock => 'The clock is set by a lead. Ask one to sign in.',
            self::RetireVehicles => 'Vehicles are retired by a lead. Ask one to sign in.',
            self::ManagePeople => 'People are added and changed by a lead. Ask one to sign in.',
            self::PassOverLeads => 'Only a lead passes over that.',
        };
    }
}
