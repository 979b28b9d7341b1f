<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::table('works', fn (Blueprint $table) => $table->decimal('amount', 14, 4)->default(0));
    }

    public function down(): void
    {
        Schema::table('works', fn (Blueprint $table) => $table->dropColumn('amount'));
    }
};
