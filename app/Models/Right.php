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

    /** The shop itself, its rules, and who may do what. */
    case ChangeShop = 'change_shop';

    /** Sums that cannot be, a mixture short of its frost protection: what a reason alone does not answer. */
    case PassOverLeads = 'pass_over_leads';

    /** Whether a shop may give it to its technicians too; the others stay with those who lead. */
    public function canBeGranted(): bool
    {
        return match ($this) {
            self::ChangeCircuits, self::ChangePrices, self::SetClock, self::RetireVehicles, self::PassOverLeads => true,
            self::ManagePeople, self::ChangeShop => false,
        };
    }

    public function label(): string
    {
        return match ($this) {
            self::ChangeCircuits => 'Add and change circuits',
            self::ChangePrices => 'Change the price list',
            self::SetClock => 'Take over the machine’s time after a jump',
            self::RetireVehicles => 'Retire vehicles',
            self::ManagePeople => 'Add and change people',
            self::ChangeShop => 'Change the shop, its rules and rights',
            self::PassOverLeads => 'Pass over, with a reason: sums that cannot be, frost protection not reached',
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
            self::ChangeShop => 'The shop and its rules are changed by a lead. Ask one to sign in.',
            self::PassOverLeads => 'Only a lead passes over that.',
        };
    }
}
