<?php

declare(strict_types=1);

namespace Gimbo\Core\Added;

/** Which level edges of a piece an edge punch goes along. */
final class Edges
{
    public const ALL = ['none', 'bottom', 'top', 'both'];
}
