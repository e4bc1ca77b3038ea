<?php

declare(strict_types=1);

namespace Aqbel\Core\Plan\Format;

use Aqbel\Core\Heat\Shelter;
use Aqbel\Core\Mixing\Compatibility;
use Aqbel\Core\Plan\Choices;
use Aqbel\Core\Plan\Complaint;
use Aqbel\Core\Plan\JobKind;
use Aqbel\Core\Plan\LeftBehind;
use Aqbel\Core\Plan\Tool;
use Aqbel\Core\Plan\Usage;

/** The choices of a plan as they are stored. */
final class ChoicesCodec
{
    /** @return array<string, mixed> */
    public static function write(Choices $choices): array
    {
        return [
            'jobKind' => $choices->jobKind->value,
            'complaint' => $choices->complaint->value,
            'school' => $choices->school,
            'opened' => $choices->opened,
            'drains' => $choices->drains,
            'elevationM' => $choices->elevationM,
            'noseLiftMm' => $choices->noseLiftMm,
            'targetFraction' => $choices->targetFraction,
            'cureMinutes' => $choices->cureMinutes,
            'rules' => RulesCodec::write($choices->rules),
            'tools' => array_map(fn (Tool $tool) => $tool->value, $choices->tools),
            'headMm' => $choices->headMm,
            'bleeds' => $choices->bleeds,
            'content' => $choices->content->value,
            'stockFraction' => $choices->stockFraction,
            'frostC' => $choices->frostC,
            'usage' => self::usage($choices->usage),
            ...($choices->left === null ? [] : ['left' => $choices->left->toArray()]),
            ...($choices->shelter === Shelter::Open ? [] : ['shelter' => $choices->shelter->value]),
            ...($choices->onWhatStays ? ['onWhatStays' => true] : []),
        ];
    }

    /** @return array<string, float|bool> what is known of it */
    public static function usage(Usage $usage): array
    {
        return array_filter([
            'odometer_km' => $usage->odometerKm, 'hours' => $usage->hours, 'since_km' => $usage->sinceKm,
            'since_months' => $usage->sinceMonths, 'since_hours' => $usage->sinceHours, 'first' => $usage->first,
        ], fn (float|bool|null $value) => $value !== null && $value !== false);
    }

    /** @param  array<mixed>  $data */
    public static function readUsage(array $data): Usage
    {
        $in = Stored::of($data);

        return new Usage(
            $in->maybe('odometer_km'),
            $in->maybe('hours'),
            $in->maybe('since_km'),
            $in->maybe('since_months'),
            $in->maybe('since_hours'),
            $in->isTrue('first'),
        );
    }

    /** @param  array<mixed>  $data */
    public static function readLeft(array $data): LeftBehind
    {
        $in = Stored::of($data);

        return new LeftBehind(
            $in->text('job'),
            $in->names('open'),
            $in->maybe('content_ml'),
            $in->number('plus_minus_ml'),
            ($data['signed'] ?? false) === true,
            $in->names('set_up'),
            ($data['stopped'] ?? false) === true,
            $in->has('ran_at') ? (int) $in->number('ran_at') : null,
        );
    }

    public static function read(Stored $in): Choices
    {
        $tools = array_values(array_filter(array_map(Tool::tryFrom(...), $in->names('tools'))));

        return new Choices(
            JobKind::tryFrom($in->text('jobKind')) ?? JobKind::Repair,
            Complaint::tryFrom($in->text('complaint')) ?? Complaint::None,
            $in->text('school'),
            $in->names('opened'),
            $in->names('drains'),
            $in->number('elevationM'),
            $in->number('noseLiftMm'),
            $in->number('targetFraction', 0.5),
            $in->number('cureMinutes'),
            RulesCodec::read($in->child('rules')->toArray()),
            $in->has('tools') ? $tools : null,
            $in->number('headMm'),
            $in->has('bleeds') ? $in->names('bleeds') : null,
            Compatibility::tryFrom($in->text('content')) ?? Compatibility::AsManual,
            $in->number('stockFraction', 1.0),
            $in->maybe('frostC'),
            self::readUsage($in->child('usage')->toArray()),
            $in->has('left') ? self::readLeft($in->child('left')->toArray()) : null,
            Shelter::tryFrom($in->text('shelter')) ?? Shelter::Open,
            $in->isTrue('onWhatStays'),
        );
    }
}
