<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    public function up(): void
    {
        Schema::hasColumn('plans', 'found') || Schema::table('plans', function (Blueprint $table): void {
            // How it is laid, of which basis; and the sheets somebody has in hand, with so many cuts made.
            $table->json('found')->nullable();
            $table->json('hand')->nullable();
        });

        Schema::hasColumn('sheet_cuts', 'found') || Schema::table('sheet_cuts', function (Blueprint $table): void {
            // How the plan was laid before, for taking it back.
            $table->json('found')->nullable();
        });
    }

    public function down(): void
    {
        Schema::table('plans', fn (Blueprint $table) => $table->dropColumn(['found', 'hand']));
        Schema::table('sheet_cuts', fn (Blueprint $table) => $table->dropColumn('found'));
    }
};
