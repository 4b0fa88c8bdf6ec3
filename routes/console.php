<?php

declare(strict_types=1);

use App\Models\AppliedEdit;
use Database\Seeders\DemoSeeder;
use Illuminate\Support\Facades\Artisan;

Artisan::command('gimbo:tend', function (): void {
    app(DemoSeeder::class)->run(app(App\Drafting::class));
    // An edit is sent again within minutes, never after weeks.
    AppliedEdit::query()->where('applied_at', '<', gmdate('Y-m-d', time() - 14 * 86_400))->delete();
})->purpose('Puts the demo on an empty shelf and clears what is no longer needed');
