<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::table('shed_items', fn (Blueprint $table) => $table->date('counted_on')->nullable());
    }

    public function down(): void
    {
        Schema::table('shed_items', fn (Blueprint $table) => $table->dropColumn('counted_on'));
    }
};
