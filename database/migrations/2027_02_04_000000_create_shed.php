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
        Schema::create('shed_items', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->string('kind', 12);
            $table->string('name', 200);
            // Of seed, its year; 0 for all else, so that the key below holds.
            $table->smallInteger('packed_for')->default(0);
            $table->decimal('amount', 14, 4);
            $table->string('unit', 10);
            $table->integer('served')->default(0);
            $table->string('place', 100)->default('');
            $table->jsonb('tests')->default('[]');
            $table->date('gone_on')->nullable();
            $table->string('gone_why', 100)->default('');
            $table->timestampsTz();
            $table->unique(['user_id', 'kind', 'name', 'packed_for']);
        });
        DB::statement('ALTER TABLE shed_items ADD CHECK (amount >= 0), ADD CHECK (served >= 0),'
            ." ADD CHECK (kind IN ('seed', 'supply', 'container', 'trayware', 'light', 'mat', 'appliance', 'gear'))");
        Schema::create('rolls', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->foreignId('season_id')->constrained()->cascadeOnDelete();
            $table->foreignId('made_id')->constrained('seasons')->cascadeOnDelete();
            // The shed as it was, to go back to.
            $table->jsonb('before');
            $table->timestampTz('created_at')->useCurrent();
            $table->unique('season_id');
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('rolls');
        Schema::dropIfExists('shed_items');
    }
};
