<?php

declare(strict_types=1);

namespace Gimbo\Core\Added;

use Gimbo\Core\Fit\Fit;
use Gimbo\Core\Settle\Figures;
use Gimbo\Core\Spec\Addition;

/** What holds of most of what goes with a make: it needs no panel, lies on none, carries nothing, and its pieces are all there is to it. */
trait PlainRole
{
    public function needsPlace(): bool
    {
        return false;
    }

    public function isLayer(): bool
    {
        return false;
    }

    public function carries(): bool
    {
        return false;
    }

    public function stage(): Stage
    {
        return Stage::Layers;
    }

    public function onFlat(Figures $figures, string $piece, int $phase): array
    {
        return [];
    }

    public function work(Addition $addition, AddedWork $work): void
    {
    }

    public function remedies(Fit $fit, Addition $addition): array
    {
        return [];
    }
}
