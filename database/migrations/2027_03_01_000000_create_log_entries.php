<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;
use JollyPenny\Core\Season\Log\LogKind;
use JollyPenny\Core\Season\Log\LossCause;

return new class extends Migration
{
    public function up(): void
    {
        // Written by several hands at once, and never changed: a later entry corrects one or takes it back.
        Schema::create('log_entries', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('season_id')->constrained()->cascadeOnDelete();
            // Given where it was written down, so that it is there once however often it is sent.
            $table->string('token', 40);
            $table->date('day');
            $table->timestampTz('written_at', 6);
            $table->string('kind', 12);
            $table->string('crop', 100)->nullable();
            $table->string('tray', 10)->nullable();
            $table->integer('first_row')->nullable();
            $table->integer('row_count')->nullable();
            $table->integer('count')->nullable();
            $table->integer('seeds')->nullable();
            $table->double('amount')->nullable();
            $table->string('unit', 20)->nullable();
            $table->string('cause', 20)->nullable();
            $table->string('job', 250)->nullable();
            $table->date('until_day')->nullable();
            $table->string('corrects', 40)->nullable();
            $table->string('note', 1000)->default('');
            $table->timestampTz('created_at')->useCurrent();
            $table->unique(['season_id', 'token']);
        });
        $words = fn (array $cases): string => implode(', ', array_map(fn ($case): string => "'{$case->value}'", $cases));
        DB::statement('ALTER TABLE log_entries ADD CHECK (kind IN ('.$words(LogKind::cases()).')),'
            .' ADD CHECK (cause IS NULL OR cause IN ('.$words(LossCause::cases()).')), ADD CHECK (count >= 0), ADD CHECK (seeds >= 0),'
            .' ADD CHECK (first_row >= 1), ADD CHECK (row_count >= 1)');
        Schema::create('photos', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('season_id')->constrained()->cascadeOnDelete();
            $table->string('token', 40);
            $table->date('day');
            $table->string('crop', 100)->nullable();
            $table->string('tray', 10)->nullable();
            $table->string('note', 300)->default('');
            $table->integer('width');
            $table->integer('height');
            // Small, and in one place with what it belongs to: one backup has all of it.
            $table->binary('image');
            $table->timestampTz('created_at')->useCurrent();
            $table->unique(['season_id', 'token']);
        });
        DB::statement('ALTER TABLE photos ADD CHECK (octet_length(image) BETWEEN 1 AND 1000000)');
    }

    public function down(): void
    {
        Schema::dropIfExists('photos');
        Schema::dropIfExists('log_entries');
    }
};
