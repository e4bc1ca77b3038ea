<?php

declare(strict_types=1);

namespace App\Shop;

use Aqbel\Core\InvalidField;
use Aqbel\Core\Plan\Vessel;
use Aqbel\Core\Plan\Vessels;
use Aqbel\Core\Plan\VesselUse;
use Aqbel\Core\Quantity\UnitSystem;
use Aqbel\Core\Saying\Field;
use Illuminate\Support\Str;
use Illuminate\Validation\ValidationException;

/**
 * The vessels of a shop as rows that are typed: name, marks, what it holds,
 * what it is mostly taken for. A row without a name is gone.
 */
final class VesselRows
{
    public const MOST = 20;

    /** The marks of the finest syringe (common practice, no source), mL. */
    private const FINEST_ML = 0.01;

    private const LONGEST_NAME = 60;

    /** A drum’s marks (common practice, no source), mL. */
    private const COARSEST_ML = 20_000.0;

    /** A container on a pallet (common practice, no source), mL. */
    private const LARGEST_ML = 1_000_000.0;

    /**
     * @param  array<mixed>  $rows  as typed
     * @param  Vessels  $before  marks that stand there as they were shown stay as they are stored
     * @return array<int, array<string, mixed>> as the rules store them
     *
     * @throws ValidationException naming the row and the field
     */
    public static function read(array $rows, Vessels $before, UnitSystem $units): array
    {
        [$vessels, $problems, $ids] = [[], [], []];
        foreach (array_slice(array_values($rows), 0, self::MOST) as $i => $row) {
            $row = is_array($row) ? array_filter($row, is_string(...)) : [];
            $name = mb_substr(trim($row['name'] ?? ''), 0, self::LONGEST_NAME);
            if ($name === '') {
                continue;
            }
            try {
                $was = $before->of($row['id'] ?? '');
                $asBefore = fn (string $field, string $shown): bool => trim($row[$field] ?? '') === $shown
                    && $was->id === ($row['id'] ?? '');
                $marks = $asBefore('marks', self::text($was, $units))
                    ? $was->graduationMl
                    : self::marks()->read($row['marks'] ?? '', $units)[0];
                $holds = $asBefore('holds', self::size($was, $units))
                    ? $was->saidMl
                    : self::holds()->read($row['holds'] ?? '', $units)[0] ?? null;
                if ($marks < self::FINEST_ML) {
                    throw new InvalidField('marks', 'Enter how far it is from mark to mark.');
                }
                if ($holds !== null && $holds < $marks) {
                    throw new InvalidField('holds', 'It holds at least what lies between two of its marks.');
                }
                $id = ($row['id'] ?? '') !== '' ? Str::limit($row['id'], 60, '') : Str::slug($name);
                while ($id === '' || in_array($id, $ids, true)) {
                    $id = ($id === '' ? 'vessel' : $id).'-'.($i + 1);
                }
                $ids[] = $id;
                $use = VesselUse::tryFrom($row['use'] ?? '') ?? VesselUse::Measure;
                $vessels[] = ['id' => $id, 'name' => $name, 'graduation_ml' => $marks, 'use' => $use->value]
                    + ($holds === null ? [] : ['holds_ml' => $holds]);
            } catch (InvalidField $problem) {
                $problems["vessels.{$i}"] = "{$name}: {$problem->getMessage()}";
            }
        }
        if ($vessels === [] && $problems === []) {
            $problems['vessels'] = 'One vessel must be left: without one nothing can be measured.';
        }

        return $problems === [] ? $vessels : throw ValidationException::withMessages($problems);
    }

    public static function marks(): Field
    {
        return Field::volume('marks', 'From mark to mark', self::COARSEST_ML);
    }

    public static function holds(): Field
    {
        return Field::volume('holds', 'Holds', self::LARGEST_ML, false);
    }

    /** What it holds, as it stands in the input. */
    public static function size(Vessel $vessel, UnitSystem $units): string
    {
        return $vessel->saidMl === null ? '' : self::holds()->assumedUnit($units)->typed($vessel->saidMl);
    }

    /** From mark to mark, as it stands in the input. */
    public static function text(Vessel $vessel, UnitSystem $units): string
    {
        return self::marks()->assumedUnit($units)->typed($vessel->graduationMl);
    }
}
