<?php

declare(strict_types=1);

namespace App\Shop;

use App\Backups\LastBackup;
use App\Models\Shop;
use App\Photos\Quota;
use Aqbel\Core\Plan\Tool;
use Aqbel\Core\Plan\Vessel;
use Aqbel\Core\Plan\VesselUse;
use Aqbel\Core\Quantity\Unit;
use Aqbel\Core\Quantity\UnitSystem;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\Form;

/** The shop as its people see it: where it stands, what is at hand, and how old its backup is. */
final readonly class ShopPage
{
    /** Empty rows to fill in, below the vessels there are. */
    private const SPARE_ROWS = 2;

    public LastBackup $backup;

    /** Where calendars ask for the shop's visits; empty while nobody made an address. */
    public function calendar(): string
    {
        return $this->shop->calendar === null ? '' : url("/calendar/{$this->shop->calendar}.ics");
    }

    public function __construct(public Shop $shop, public UnitSystem $units, public bool $mayChange)
    {
        $this->backup = LastBackup::here();
    }

    /** How much of their room photographs take. */
    public function photographs(): string
    {
        return sprintf('%s of %s MB', number_format(ceil(Quota::takenMb())), number_format(Quota::mb()));
    }

    public static function form(): Form
    {
        return new Form('shop', 'Keep', [
            Field::text('name', 'Shop’s name', true),
            Elevation::field(),
            Elevation::barometer(),
            Field::text('currency', 'Currency, as prices are written'),
            Field::duration('lock', 'A shared tablet locks after, 0 for never', Unit::Minute, 60.0 * 240, false),
        ]);
    }

    /** @return array<string, string> what the shop has said before, by field */
    public function values(): array
    {
        return [
            'name' => $this->shop->name,
            'elevation' => $this->units->height()->typed($this->shop->elevation_m * 1000.0),
            'currency' => $this->shop->houseRules()->currency,
            'lock' => (string) $this->shop->lock_minutes,
        ];
    }

    /** @return array<string, array{string, bool}> label, and whether it is at hand, by code */
    public function tools(): array
    {
        $tools = [];
        foreach (Tool::cases() as $tool) {
            $tools[$tool->value] = [
                $tool->label(),
                $this->shop->tools === null || in_array($tool->value, $this->shop->tools, true),
            ];
        }

        return $tools;
    }

    /** @return list<?Vessel> and rows for more */
    public function vessels(): array
    {
        $vessels = $this->shop->houseRules()->vessels->all;

        return [...$vessels, ...($this->mayChange ? array_fill(0, self::SPARE_ROWS, null) : [])];
    }

    /** @return array<string, string> label by code */
    public function uses(): array
    {
        $uses = [];
        foreach (VesselUse::cases() as $use) {
            $uses[$use->value] = match ($use) {
                VesselUse::Drain => 'draining',
                VesselUse::Measure => 'measuring',
                VesselUse::Mix => 'mixing',
                VesselUse::Fine => 'small amounts',
            };
        }

        return $uses;
    }

    public function marks(Vessel $vessel): string
    {
        return VesselRows::text($vessel, $this->units);
    }

    public function holds(Vessel $vessel): string
    {
        return VesselRows::size($vessel, $this->units);
    }

    public function unit(): string
    {
        return VesselRows::marks()->assumedUnit($this->units)->value;
    }
}
