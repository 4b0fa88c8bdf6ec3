<?php

declare(strict_types=1);

namespace App\Providers;

use App\Database\LockingConnector;
use App\Words\Words;
use Gimbo\Core\Sizing;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\ServiceProvider;

final class GimboServiceProvider extends ServiceProvider
{
    public function register(): void
    {
        $this->app->singleton(Sizing::class, fn () => Sizing::ofEverything());
        $this->app->bind('db.connector.sqlite', LockingConnector::class);
        $this->app->singleton(Words::class, fn () => Words::in((string) config('gimbo.language'), lang_path()));
    }

    public function boot(): void
    {
        Model::shouldBeStrict();
    }
}
