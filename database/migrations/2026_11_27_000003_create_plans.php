<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    public function up(): void
    {
        Schema::hasTable('plans') || Schema::create('plans', function (Blueprint $table): void {
            // What is to be cut of which designs, and with what.
            $table->uuid('id')->primary();
            $table->string('name');
            $table->json('asked');
            $table->string('made_at', 24);
        });

        Schema::hasTable('sheet_cuts') || Schema::create('sheet_cuts', function (Blueprint $table): void {
            // A sheet that was cut by a plan: what there was of its paper before and after, so that it can be undone to the byte.
            $table->id();
            $table->foreignUuid('plan_id')->constrained()->cascadeOnDelete();
            $table->uuid('paper');
            $table->json('sheet');
            $table->json('pieces');
            $table->text('before');
            $table->text('after');
            $table->boolean('is_missed')->default(false);
            $table->string('cut_at', 24);
        });
    }

    public function down(): void
    {
        Schema::drop('sheet_cuts');
        Schema::drop('plans');
    }
};
