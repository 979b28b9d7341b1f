<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

return new class extends Migration
{
    public function up(): void
    {
        DB::unprepared((string) file_get_contents(__DIR__.'/season_tables.sql'));
    }

    public function down(): void
    {
        DB::unprepared('DROP TABLE seasons CASCADE; DROP TABLE tariff_windows, places, supplies, mixes, mix_parts, mix_additives, '
            .'containers, trayware, lights, mats, appliances, gear, species, germination_rows, seed_lots, methods, method_needs, '
            .'method_extras, stages, stage_trayware, offers, crops, crop_offers, setups, setup_overrides, setup_lights, setup_mats, '
            .'setup_appliances, setup_gear CASCADE');
    }
};
