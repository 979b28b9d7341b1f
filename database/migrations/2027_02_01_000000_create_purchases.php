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
        Schema::create('purchases', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('season_id')->constrained()->cascadeOnDelete();
            // Given where it was written down, so that it counts once however often it is sent.
            $table->string('token', 40);
            $table->string('kind', 12);
            $table->string('thing', 100);
            $table->string('name', 200);
            $table->integer('packs');
            $table->decimal('paid', 14, 4);
            $table->date('bought_on');
            $table->string('shop', 100)->default('');
            $table->string('note', 300)->default('');
            $table->timestampsTz();
            $table->unique(['season_id', 'token']);
        });
        DB::statement('ALTER TABLE purchases ADD CHECK (packs BETWEEN 1 AND 1000000), ADD CHECK (paid >= 0),'
            ." ADD CHECK (kind IN ('seed', 'supply', 'container', 'trayware', 'light', 'mat', 'appliance', 'gear', 'nursery', 'trip'))");
    }

    public function down(): void
    {
        Schema::dropIfExists('purchases');
    }
};
