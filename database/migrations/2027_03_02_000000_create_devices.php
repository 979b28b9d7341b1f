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
        // As laravel/sanctum keeps its tokens.
        Schema::create('personal_access_tokens', function (Blueprint $table): void {
            $table->id();
            $table->morphs('tokenable');
            $table->text('name');
            $table->string('token', 64)->unique();
            $table->text('abilities')->nullable();
            $table->timestamp('last_used_at')->nullable();
            $table->timestamp('expires_at')->nullable()->index();
            $table->timestamps();
        });
        Schema::create('devices', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('season_id')->constrained()->cascadeOnDelete();
            $table->string('name', 200);
            $table->string('kind', 10);
            $table->string('list', 12);
            $table->string('thing', 100);
            $table->bigInteger('refused')->default(0);
            $table->timestampTz('heard_at')->nullable();
            $table->timestampsTz();
        });
        DB::statement("ALTER TABLE devices ADD CHECK (kind IN ('meter', 'soil', 'air')),"
            ." ADD CHECK (list IN ('lights', 'mats', 'appliances', 'places'))");
        // A reading is known again by the time at which it was taken.
        Schema::create('readings', function (Blueprint $table): void {
            $table->foreignId('device_id')->constrained()->cascadeOnDelete();
            $table->timestampTz('at');
            $table->float('value', 24);
            $table->primary(['device_id', 'at']);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('readings');
        Schema::dropIfExists('devices');
        Schema::dropIfExists('personal_access_tokens');
    }
};
