<?php

declare(strict_types=1);

namespace Gimbo\Core\Steps\Op;

use Gimbo\Core\Steps\Spot;

/** A face turned on its lines: positive a valley, negative a mountain. */
final readonly class FoldOp implements Op
{
    /**
     * @param float $degrees as far as it is folded in the finished thing
     * @param list<array{string, Spot, Spot}> $along lines by id, each from and to; none: by hand, where it comes to lie
     * @param string $moves the face that turns
     * @param string $onto the face it turns against
     */
    public function __construct(public float $degrees, public array $along, public string $moves, public string $onto)
    {
    }

    public function isMountain(): bool
    {
        return $this->degrees < 0;
    }
}
