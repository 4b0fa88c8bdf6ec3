<?php

declare(strict_types=1);

namespace Gimbo\Core\Telling;

use Gimbo\Core\Design\Design;
use Gimbo\Core\Design\Piece;

/** How the pieces of a design are folded, each worked out once. */
final class FoldSequences
{
    /** @var array<string, FoldSequence> by piece */
    private array $plans = [];

    public function __construct(private readonly Design $design)
    {
    }

    public function of(Piece $piece): FoldSequence
    {
        return $this->plans[$piece->id] ??= FoldSequence::of($piece, $this->design);
    }
}
