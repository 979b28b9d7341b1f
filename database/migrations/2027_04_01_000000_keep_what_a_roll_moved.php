<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        // Going back to the shed as it was would delete what was put in since: a roll keeps what it moved instead.
        Schema::table('rolls', function (Blueprint $table): void {
            $table->jsonb('moves')->nullable();
            $table->dropColumn('before');
        });
    }

    public function down(): void
    {
        Schema::table('rolls', function (Blueprint $table): void {
            $table->jsonb('before')->default('[]');
            $table->dropColumn('moves');
        });
    }
};
