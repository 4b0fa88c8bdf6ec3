<?php

declare(strict_types=1);

namespace Gimbo\Core\Steps\Op;

use Gimbo\Core\Crease\Join;
use Gimbo\Core\Steps\Spot;

/** Two faces that are glued to one another. What of them lies on one another shows when the piece is folded: Design\Glued. */
final readonly class JoinOp implements Op
{
    /**
     * @param ?string $hiddenBy the face that covers it later
     * @param list<array{Spot, Spot}> $meet of two pieces: what comes to lie on what, a point of the face and one of its partner
     */
    public function __construct(public Join $join, public ?string $hiddenBy = null, public array $meet = [])
    {
    }
}
