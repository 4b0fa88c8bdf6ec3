<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    public function up(): void
    {
        Schema::hasTable('deeds') || Schema::create('deeds', function (Blueprint $table): void {
            // A retry after a lost answer must not be done twice.
            $table->uuid('id')->primary();
            $table->string('asked');
            $table->unsignedSmallInteger('status');
            $table->json('answer');
            $table->string('done_at', 24)->index();
        });
        Schema::hasTable('applied_edits') && DB::statement("INSERT OR IGNORE INTO deeds (id, asked, status, answer, done_at) SELECT id, 'POST api/designs/' || design_id || '/edits', 200, '{\"design\":\"' || design_id || '\"}', applied_at FROM applied_edits");
        Schema::dropIfExists('applied_edits');

        Schema::hasColumn('revisions', 'change_id') || Schema::table('revisions', function (Blueprint $table): void {
            // What was changed in several designs at once is taken back in all of them.
            $table->uuid('change_id')->nullable()->index();
        });

        Schema::hasColumn('cutting_jobs', 'lease') || Schema::table('cutting_jobs', function (Blueprint $table): void {
            // Who sends it, until when that is believed without hearing of it again, and what was asked for meanwhile.
            $table->string('lease', 64)->nullable();
            $table->unsignedInteger('leased_until')->default(0);
            $table->string('asked', 16)->nullable();
            // From which byte on it is sent, and up to which the machine said it is through: one that was stopped can go on there.
            $table->unsignedInteger('begins')->default(0);
            $table->unsignedInteger('through')->default(0);
        });
        Schema::dropIfExists('jobs');
    }

    public function down(): void
    {
        Schema::table('cutting_jobs', fn (Blueprint $table) => $table->dropColumn(['lease', 'leased_until', 'asked', 'begins', 'through']));
        Schema::table('revisions', fn (Blueprint $table) => $table->dropColumn('change_id'));
        Schema::drop('deeds');
    }
};
