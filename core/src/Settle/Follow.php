<?php

declare(strict_types=1);

namespace Gimbo\Core\Settle;

/** Another piece, not cut yet, whose figures follow from what was really set. */
final readonly class Follow
{
    /**
     * @param PieceFigures $piece with its new figures
     * @param non-empty-list<int> $measures indexes of those of its measures that are others now
     */
    public function __construct(public PieceFigures $piece, public array $measures)
    {
    }
}
