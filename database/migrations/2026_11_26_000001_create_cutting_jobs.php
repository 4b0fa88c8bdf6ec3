<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    public function up(): void
    {
        Schema::hasTable('cutting_jobs') || Schema::create('cutting_jobs', function (Blueprint $table): void {
            // What goes to a cutting machine, kept until the maker takes it away, whatever the machine does.
            $table->uuid('id')->primary();
            $table->string('name');
            $table->string('piece', 64);
            $table->json('cutter');
            $table->json('drawing');
            $table->text('instructions');
            $table->string('state', 16);
            $table->unsignedInteger('sent')->default(0);
            $table->string('reason', 64)->nullable();
            $table->string('made_at', 24);
            $table->string('touched_at', 24);
        });

        Schema::hasTable('jobs') || Schema::create('jobs', function (Blueprint $table): void {
            // The framework's queue.
            $table->id();
            $table->string('queue')->index();
            $table->longText('payload');
            $table->unsignedTinyInteger('attempts');
            $table->unsignedInteger('reserved_at')->nullable();
            $table->unsignedInteger('available_at');
            $table->unsignedInteger('created_at');
        });
    }

    public function down(): void
    {
        Schema::drop('jobs');
        Schema::drop('cutting_jobs');
    }
};
