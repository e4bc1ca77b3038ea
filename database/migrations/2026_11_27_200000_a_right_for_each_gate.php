<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** Sums and frost were passed over by one right; a shop that gave it has given both. */
return new class extends Migration
{
    public function up(): void
    {
        foreach (DB::table('shops')->whereNotNull('granted')->get(['id', 'granted']) as $shop) {
            $granted = (array) json_decode($shop->granted, true);
            if (in_array('pass_over_leads', $granted, true)) {
                $granted = [...array_diff($granted, ['pass_over_leads']), 'pass_over_sums', 'pass_over_frost'];
                DB::table('shops')->where('id', $shop->id)->update(['granted' => json_encode(array_values($granted))]);
            }
        }
    }
};
