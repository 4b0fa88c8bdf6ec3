<?php

declare(strict_types=1);

use App\Cutting\CutterTrouble;
use App\Cutting\JobState;
use App\Models\AppliedEdit;
use App\Models\CuttingJob;
use Database\Seeders\DemoSeeder;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;

Artisan::command('gimbo:tend', function (): void {
    app(DemoSeeder::class)->run(app(App\Drafting::class));
    // An edit is sent again within minutes, never after weeks.
    AppliedEdit::query()->where('applied_at', '<', gmdate('Y-m-d', time() - 14 * 86_400))->delete();
    // Nobody stands at the machine for what was left when Gimbo was stopped: the maker sends it again.
    DB::table('jobs')->delete();
    CuttingJob::query()->whereIn('state', [JobState::Waiting, JobState::Sending])->update(['state' => JobState::Failed, 'reason' => CutterTrouble::interrupted()->reason]);
})->purpose('Puts the demo on an empty shelf and clears what is no longer needed');
