<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        // Seconds. The shortest of a garden goes first, and one worker takes only short ones.
        Schema::table('works', function (Blueprint $table): void {
            $table->float('expected')->default(0);
            $table->index(['state', 'user_id']);
        });
    }

    public function down(): void
    {
        Schema::table('works', function (Blueprint $table): void {
            $table->dropIndex(['state', 'user_id']);
            $table->dropColumn('expected');
        });
    }
};
