<?php

declare(strict_types=1);

namespace Database\Seeders;

use Illuminate\Database\Seeder;

/** The demo shop with its work in progress. */
final class FloorSeeder extends Seeder
{
    public function run(): void
    {
        $this->call(DemoSeeder::class);
        DemoSeeder::fillTheFloor();
    }
}
