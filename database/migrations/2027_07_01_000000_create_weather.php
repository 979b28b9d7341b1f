<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::create('weather_places', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->string('name', 100);
            $table->boolean('demo')->default(false);
            $table->timestampTz('heard_at')->nullable();
            $table->timestampsTz();
            $table->index('user_id');
        });
        // A year is one row: ten of them are read on every page that asks for frosts.
        Schema::create('weather_years', function (Blueprint $table): void {
            $table->foreignId('weather_place_id')->constrained()->cascadeOnDelete();
            $table->smallInteger('year');
            $table->jsonb('days');
            $table->primary(['weather_place_id', 'year']);
        });
        Schema::create('weather_forecasts', function (Blueprint $table): void {
            $table->foreignId('weather_place_id')->constrained()->cascadeOnDelete();
            $table->date('made_on');
            $table->jsonb('days');
            $table->primary(['weather_place_id', 'made_on']);
        });
        // Without one, a season takes the garden's oldest.
        Schema::table('seasons', function (Blueprint $table): void {
            $table->foreignId('weather_place_id')->nullable()->constrained()->nullOnDelete();
        });
    }

    public function down(): void
    {
        Schema::table('seasons', fn (Blueprint $table) => $table->dropConstrainedForeignId('weather_place_id'));
        Schema::dropIfExists('weather_forecasts');
        Schema::dropIfExists('weather_years');
        Schema::dropIfExists('weather_places');
    }
};
