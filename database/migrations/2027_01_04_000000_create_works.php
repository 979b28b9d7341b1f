<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::create('works', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->foreignId('season_id')->constrained()->cascadeOnDelete();
            $table->integer('revision');
            $table->string('kind', 20);
            $table->string('setup', 100);
            $table->string('state', 20);
            $table->integer('done')->default(0);
            $table->integer('total')->default(0);
            $table->jsonb('result')->nullable();
            $table->timestampsTz();
            $table->index(['season_id', 'revision', 'kind', 'setup']);
            $table->index(['user_id', 'state']);
        });
        DB::statement("ALTER TABLE works ADD CHECK (state IN ('waiting', 'working', 'done', 'failed', 'stopped'))");
        // The demo that every garden begins with is told from what somebody has made.
        Schema::table('seasons', fn (Blueprint $table) => $table->boolean('demo')->default(false));
    }

    public function down(): void
    {
        Schema::table('seasons', fn (Blueprint $table) => $table->dropColumn('demo'));
        Schema::dropIfExists('works');
    }
};
