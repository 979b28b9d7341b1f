<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    /** A season file has at most 5 MB as text; jsonb writes it with more spaces. */
    private const MAX_BYTES = 6_000_000;

    public function up(): void
    {
        DB::unprepared(<<<'SQL'
            CREATE OR REPLACE FUNCTION plants_wanted(document jsonb) RETURNS bigint IMMUTABLE PARALLEL SAFE LANGUAGE sql AS
            $$ SELECT coalesce(sum((crop->>'wanted')::numeric), 0)::bigint FROM jsonb_array_elements(document->'crops') AS crop $$
            SQL);
        Schema::create('seasons', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->jsonb('document');
            $table->integer('revision')->default(1);
            // What lists show. Dates stay text: reading one is not immutable.
            $table->text('name')->storedAs("document->>'name'");
            $table->integer('year')->storedAs("(document->>'year')::numeric::integer");
            $table->text('last_frost')->storedAs("document->>'last_frost'");
            $table->integer('crops')->storedAs("jsonb_array_length(document->'crops')");
            $table->bigInteger('plants')->storedAs('plants_wanted(document)');
            $table->integer('setups')->storedAs("jsonb_array_length(document->'setups')");
            $table->timestampTz('archived_at')->nullable();
            $table->timestampsTz();
            $table->softDeletesTz();
            $table->index('user_id');
        });
        DB::statement("ALTER TABLE seasons ADD CHECK (jsonb_typeof(document) = 'object'),"
            ." ADD CHECK (document->>'format' = 'jolly-penny/season' AND (document->>'version')::numeric = 1),"
            .' ADD CHECK (octet_length(document::text) <= '.self::MAX_BYTES.')');
        Schema::create('season_changes', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('season_id')->constrained()->cascadeOnDelete();
            $table->string('label', 200);
            $table->jsonb('changes');
            $table->boolean('undone')->default(false);
            $table->timestampTz('created_at')->useCurrent();
            $table->index(['season_id', 'undone', 'id']);
        });
        DB::statement("ALTER TABLE season_changes ADD CHECK (jsonb_typeof(changes) = 'array')");
    }

    public function down(): void
    {
        Schema::dropIfExists('season_changes');
        Schema::dropIfExists('seasons');
        DB::statement('DROP FUNCTION IF EXISTS plants_wanted(jsonb)');
    }
};
