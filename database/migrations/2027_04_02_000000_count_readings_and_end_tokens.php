<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    private const OF_DEVICES = "tokenable_type = 'App\\Models\\Device'";

    public function up(): void
    {
        // Counted as they come: to count a million at every reading would be slow.
        Schema::table('devices', fn (Blueprint $table) => $table->bigInteger('kept')->default(0));
        DB::statement('UPDATE devices SET kept = (SELECT count(*) FROM readings WHERE device_id = devices.id)');
        // A token belongs to a device by name only, so that no foreign key ends it with a season or a garden.
        DB::statement('DELETE FROM personal_access_tokens WHERE '.self::OF_DEVICES.' AND tokenable_id NOT IN (SELECT id FROM devices)');
        DB::unprepared('CREATE OR REPLACE FUNCTION end_device_tokens() RETURNS trigger LANGUAGE plpgsql AS $$ BEGIN
            DELETE FROM personal_access_tokens WHERE '.self::OF_DEVICES.' AND tokenable_id = OLD.id; RETURN OLD; END $$;
            CREATE TRIGGER end_tokens AFTER DELETE ON devices FOR EACH ROW EXECUTE FUNCTION end_device_tokens();');
    }

    public function down(): void
    {
        DB::unprepared('DROP TRIGGER end_tokens ON devices; DROP FUNCTION end_device_tokens();');
        Schema::table('devices', fn (Blueprint $table) => $table->dropColumn('kept'));
    }
};
