<?php

declare(strict_types=1);

namespace App\Models;

use Aqbel\Core\Saying\Gate;

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

    case PassOverSums = 'pass_over_sums';
    case PassOverFrost = 'pass_over_frost';
    case PassOverTightness = 'pass_over_tightness';

    /** Take a danger out of the days after. */
    case ClearDaysAfter = 'clear_days_after';

    /** Whether a shop may give it to its technicians too; the others stay with those who lead. */
    public function canBeGranted(): bool
    {
        return match ($this) {
            self::ChangeCircuits,
            self::ChangePrices,
            self::SetClock,
            self::RetireVehicles,
            self::PassOverSums,
            self::PassOverFrost,
            self::PassOverTightness,
            self::ClearDaysAfter => true,
            self::ManagePeople, self::ChangeShop => false,
        };
    }

    /** What of the run only some may pass over. */
    public static function toPass(Gate $gate): self
    {
        return match ($gate) {
            Gate::Sums => self::PassOverSums,
            Gate::Frost => self::PassOverFrost,
            Gate::Tightness => self::PassOverTightness,
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
            self::PassOverSums => 'Pass over, with a reason, sums that cannot be',
            self::PassOverFrost => 'Pass over, with a reason, a mixture too weak or too strong',
            self::PassOverTightness => 'Pass over, with a reason, a pressure test that failed',
            self::ClearDaysAfter => 'Correct, with a reason, a visit that said danger',
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
            self::PassOverSums, self::PassOverFrost, self::PassOverTightness => 'Only a lead passes over that.',
            self::ClearDaysAfter => 'It says danger: only a lead corrects it, or takes it back.',
        };
    }
}
