<?php

declare(strict_types=1);

namespace Gimbo\Core\Steps\Op;

/** The rectangle that is cut first, mm. */
final readonly class SheetOp implements Op
{
    /** @param list<int> $measures its readings among the piece's measures */
    public function __construct(public float $width, public float $height, public array $measures)
    {
    }
}
