<?php

declare(strict_types=1);

namespace App\Shop;

use App\Backups\LastBackup;
use App\Models\Circuit;
use App\Models\Job;
use App\Models\Person;
use App\Models\Vehicle;

/** What a new shop has yet to bring in, in the order it is needed; asked only until the first job is planned. */
final class Readiness
{
    /** @return list<array{string, string, bool}> what, where, and whether it is done; none once a job is there */
    public static function list(): array
    {
        return Job::query()->exists() ? [] : [
            ['A circuit to start from', '/circuits', Circuit::query()->exists()],
            ['The first vehicle', '/vehicles/new', Vehicle::query()->exists()],
            ['Who else works here', '/people', Person::query()->count() > 1],
            ['Vessels with their marks, tools, currency', '/shop', false],
            ['Coolant on the shelf and its prices', '/stores', false],
            ['The tablets', '/shop/connect', config('aqbel.address') !== null],
            ['A backup', '/shop', LastBackup::here()->worked],
        ];
    }
}
