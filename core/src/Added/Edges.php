<?php

declare(strict_types=1);

namespace Gimbo\Core\Added;

use Gimbo\Core\Fit\Fit;
use Gimbo\Core\Fit\Remedy;
use Gimbo\Core\Spec\Addition;

/** Which level edges of a piece an edge punch goes along. */
final class Edges
{
    public const ALL = ['none', 'bottom', 'top', 'both'];

    /** @return list<Remedy> what mends an edge that cannot be punched: a plain one */
    public static function plain(Fit $fit, Addition $addition): array
    {
        return str_starts_with($fit->id, 'edge-') ? [new Remedy('plain-edge', ["/with/$addition->index/edge" => null])] : [];
    }
}
