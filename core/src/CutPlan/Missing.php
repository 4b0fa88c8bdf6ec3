<?php

declare(strict_types=1);

namespace Gimbo\Core\CutPlan;

/** Pieces that come out of nothing that is there. */
final readonly class Missing
{
    /** Larger than any sheet of its paper less its rough edges, or beyond what the trimmer cuts. */
    public const TOO_LARGE = 'too-large';

    /** There is no more, or none, of its paper. */
    public const NO_STOCK = 'no-stock';

    public function __construct(public string $piece, public int $count, public string $why)
    {
    }
}
