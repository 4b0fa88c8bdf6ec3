<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    public function up(): void
    {
        Schema::hasTable('ticks') || Schema::create('ticks', function (Blueprint $table): void {
            // The record of work: which step of which copy is done, and by which state of the design.
            $table->foreignUuid('design_id')->constrained()->cascadeOnDelete();
            $table->string('step', 120);
            $table->unsignedSmallInteger('copy');
            $table->unsignedInteger('revision');
            $table->boolean('is_done');
            // The figures it was done by, so that one that was changed since is seen.
            $table->string('figures');
            $table->string('ticked_at', 24);
            $table->primary(['design_id', 'step', 'copy']);
        });
    }

    public function down(): void
    {
        Schema::drop('ticks');
    }
};
