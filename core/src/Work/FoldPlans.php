<?php

declare(strict_types=1);

namespace Gimbo\Core\Work;

use Gimbo\Core\Design\Design;
use Gimbo\Core\Design\Piece;

/** How the pieces of a design are folded, each worked out once. */
final class FoldPlans
{
    /** @var array<string, FoldPlan> by piece */
    private array $plans = [];

    public function __construct(private readonly Design $design)
    {
    }

    public function of(Piece $piece): FoldPlan
    {
        return $this->plans[$piece->id] ??= FoldPlan::of($piece, $this->design);
    }
}
