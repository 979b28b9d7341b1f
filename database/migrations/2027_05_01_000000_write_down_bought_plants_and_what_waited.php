<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;
use JollyPenny\Core\Season\Log\LogKind;

return new class extends Migration
{
    public function up(): void
    {
        Schema::table('log_entries', fn (Blueprint $table) => $table->boolean('waited')->default(false));
        $kinds = implode(', ', array_map(fn (LogKind $kind): string => "'{$kind->value}'", LogKind::cases()));
        DB::statement('ALTER TABLE log_entries DROP CONSTRAINT IF EXISTS log_entries_kind_check');
        DB::statement("ALTER TABLE log_entries ADD CONSTRAINT log_entries_kind_check CHECK (kind IN ({$kinds}))");
    }

    public function down(): void
    {
        Schema::table('log_entries', fn (Blueprint $table) => $table->dropColumn('waited'));
    }
};
