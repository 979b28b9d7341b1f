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
        Schema::create('prices', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->string('name', 200);
            $table->string('shop', 100)->default('');
            $table->decimal('holds', 14, 4)->nullable();
            $table->string('unit', 20)->default('');
            $table->decimal('price', 14, 4);
            $table->char('currency', 3);
            $table->date('seen_on');
            // The same line is kept once, however often a table is read in.
            $table->char('mark', 40);
            $table->timestampTz('created_at')->useCurrent();
            $table->unique(['user_id', 'mark']);
            $table->index(['user_id', 'name']);
        });
        DB::statement('ALTER TABLE prices ADD CHECK (price >= 0), ADD CHECK (holds IS NULL OR holds > 0)');
    }

    public function down(): void
    {
        Schema::dropIfExists('prices');
    }
};
