<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    public function up(): void
    {
        Schema::hasTable('designs') || Schema::create('designs', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            // The revision the maker sees; those after it are what redo goes back to.
            $table->unsignedInteger('revision');
            $table->string('name');
            // The document of that revision, and the gesture that made it.
            $table->json('document');
            $table->string('gesture', 64)->nullable();
            // What the shelf draws, worked out when the revision was saved.
            $table->json('drawing');
            $table->json('summary');
            // When it was last changed, as ISO 8601 in UTC: it sorts as it stands.
            $table->string('saved_at', 24);
            $table->softDeletes();
            $table->index(['deleted_at', 'saved_at']);
        });

        Schema::hasTable('revisions') || Schema::create('revisions', function (Blueprint $table): void {
            $table->id();
            $table->foreignUuid('design_id')->constrained()->cascadeOnDelete();
            $table->unsignedInteger('number');
            $table->json('document');
            $table->unique(['design_id', 'number']);
        });

        Schema::hasTable('applied_edits') || Schema::create('applied_edits', function (Blueprint $table): void {
            // A retry after a lost answer must not apply twice.
            $table->uuid('id')->primary();
            $table->foreignUuid('design_id')->constrained()->cascadeOnDelete();
            $table->string('applied_at', 24)->index();
        });
    }

    public function down(): void
    {
        Schema::drop('applied_edits');
        Schema::drop('revisions');
        Schema::drop('designs');
    }
};
