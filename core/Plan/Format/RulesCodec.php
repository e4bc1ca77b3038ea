<?php

declare(strict_types=1);

namespace Aqbel\Core\Plan\Format;

use Aqbel\Core\Plan\AfterVacuum;
use Aqbel\Core\Plan\BleedRule;
use Aqbel\Core\Plan\ChangeInterval;
use Aqbel\Core\Plan\HoldLength;
use Aqbel\Core\Plan\HouseRules;
use Aqbel\Core\Plan\Labour;
use Aqbel\Core\Plan\Minutes;
use Aqbel\Core\Plan\Vessel;
use Aqbel\Core\Plan\Vessels;
use Aqbel\Core\Plan\VesselUse;

/**
 * House rules as they are stored, with the shop and with every plan. Vessels were once kept as graduation by name, and
 * the length of a hold as its school; both still read.
 */
final class RulesCodec
{
    /** @return array<string, mixed> */
    public static function write(HouseRules $rules): array
    {
        return [
            'closeBleed' => $rules->closeBleed->value,
            'glanceMinutes' => $rules->glanceMinutes,
            'holdMinutes' => $rules->holdMinutes,
            'holdLength' => $rules->holdLength->value,
            'safeTemperatureC' => $rules->safeTemperatureC,
            'seaLevelVacuumInHg' => $rules->seaLevelVacuumInHg,
            'gaugeResolutionInHg' => $rules->gaugeResolutionInHg,
            'fanCycles' => $rules->fanCycles,
            'followUpDays' => $rules->followUpDays,
            'oldShare' => $rules->oldShare,
            'airShare' => $rules->airShare,
            'changeFirst' => $rules->changeFirst->toArray(),
            'changeLater' => $rules->changeLater->toArray(),
            'currency' => $rules->currency,
            'vessels' => array_map(self::vessel(...), $rules->vessels->all),
            'afterVacuum' => $rules->afterVacuum->value,
            'holdIsEnoughBecause' => $rules->holdIsEnoughBecause,
            'coolingFactor' => $rules->coolingFactor,
            'purgingFactor' => $rules->purgingFactor,
            'labour' => array_map(fn (Minutes $m) => ['hands' => $m->hands, 'wait' => $m->wait], $rules->labour->own),
        ];
    }

    /** @param  array<mixed>  $data */
    public static function read(array $data): HouseRules
    {
        $in = Stored::of($data);
        $usual = new HouseRules;
        $labour = array_map(
            fn (Stored $m) => new Minutes($m->number('hands'), $m->number('wait')),
            $in->child('labour')->children(),
        );

        return new HouseRules(
            BleedRule::tryFrom($in->text('closeBleed')) ?? $usual->closeBleed,
            $in->number('glanceMinutes', $usual->glanceMinutes),
            $in->number('holdMinutes', $usual->holdMinutes),
            HoldLength::tryFrom($in->text('holdLength', $in->text('holdSchool'))) ?? $usual->holdLength,
            $in->number('safeTemperatureC', $usual->safeTemperatureC),
            $in->number('seaLevelVacuumInHg', $usual->seaLevelVacuumInHg),
            $in->number('gaugeResolutionInHg', $usual->gaugeResolutionInHg),
            (int) $in->number('fanCycles', $usual->fanCycles),
            $in->number('followUpDays', $usual->followUpDays),
            $in->number('oldShare', $usual->oldShare),
            $in->number('airShare', $usual->airShare),
            self::interval($in->child('changeFirst'), $usual->changeFirst),
            self::interval($in->child('changeLater'), $usual->changeLater),
            $in->text('currency'),
            self::vessels($in->child('vessels')),
            new Labour($labour),
            AfterVacuum::tryFrom($in->text('afterVacuum')) ?? $usual->afterVacuum,
            $in->text('holdIsEnoughBecause', $usual->holdIsEnoughBecause),
            $in->number('coolingFactor', $usual->coolingFactor),
            $in->number('purgingFactor', $usual->purgingFactor),
        );
    }

    private static function interval(Stored $in, ChangeInterval $usual): ChangeInterval
    {
        return new ChangeInterval(
            $in->number('km', $usual->km),
            $in->number('months', $usual->months),
            $in->number('hours', $usual->hours),
        );
    }

    /** @return array<string, mixed> */
    private static function vessel(Vessel $vessel): array
    {
        return [
            'id' => $vessel->id,
            'name' => $vessel->name,
            'graduation_ml' => $vessel->graduationMl,
            'use' => $vessel->use->value,
        ] + ($vessel->saidMl === null ? [] : ['holds_ml' => $vessel->saidMl]);
    }

    private static function vessels(Stored $in): ?Vessels
    {
        $vessels = [];
        foreach ($in->children() as $one) {
            if ($one->number('graduation_ml') <= 0.0) {
                continue; // between marks that are not there nothing is read
            }
            $use = VesselUse::tryFrom($one->text('use')) ?? VesselUse::Measure;
            $vessels[] = new Vessel(
                $one->text('id'),
                $one->text('name'),
                $one->number('graduation_ml'),
                $use,
                $one->maybe('holds_ml'),
            );
        }
        foreach ($in->numbers() as $name => $graduationMl) {
            $vessels[] = self::named((string) $name, $graduationMl);
        }

        return $vessels === [] ? null : new Vessels($vessels);
    }

    /** A vessel as it was kept before it had an id. */
    private static function named(string $name, float $graduationMl): Vessel
    {
        foreach (Vessel::usual() as $usual) {
            if ($usual->name === $name) {
                return $usual;
            }
        }
        $id = trim((string) preg_replace('/[^a-z0-9]+/', '-', strtolower($name)), '-');
        $use = match (true) {
            str_contains($id, 'bucket') => VesselUse::Mix,
            str_contains($id, 'pan') => VesselUse::Drain,
            $graduationMl < 50.0 => VesselUse::Fine,
            default => VesselUse::Measure,
        };

        return new Vessel($id === '' ? 'vessel' : $id, $name, $graduationMl, $use);
    }
}
