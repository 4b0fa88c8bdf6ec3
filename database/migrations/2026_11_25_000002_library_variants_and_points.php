<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    public function up(): void
    {
        Schema::hasColumn('designs', 'variant_of') || Schema::table('designs', function (Blueprint $table): void {
            // Designs of one project stand together on the shelf.
            $table->string('group')->default('');
            // A version that is compared with another design stands beside it, not on the shelf.
            $table->uuid('variant_of')->nullable()->index();
        });

        Schema::hasColumn('revisions', 'made_at') || Schema::table('revisions', function (Blueprint $table): void {
            $table->string('made_at', 24)->default('');
        });

        Schema::hasTable('points') || Schema::create('points', function (Blueprint $table): void {
            // A state of a design the maker gave a name, so that she finds it again whatever is undone.
            $table->uuid('id')->primary();
            $table->foreignUuid('design_id')->constrained()->cascadeOnDelete();
            $table->string('name');
            $table->json('document');
            $table->string('made_at', 24);
        });

        Schema::hasTable('entries') || Schema::create('entries', function (Blueprint $table): void {
            // The maker's own sizes, tools and papers.
            $table->uuid('id')->primary();
            $table->string('kind', 16)->index();
            $table->json('entry');
        });
    }

    public function down(): void
    {
        Schema::drop('entries');
        Schema::drop('points');
        Schema::table('revisions', fn (Blueprint $table) => $table->dropColumn('made_at'));
        Schema::table('designs', fn (Blueprint $table) => $table->dropColumn(['group', 'variant_of']));
    }
};
