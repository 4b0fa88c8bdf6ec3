<?php

declare(strict_types=1);

namespace Gimbo\Core\Steps\Op;

use Gimbo\Core\Steps\Spot;

/** Something that is not paper, put on a face. */
final readonly class PutOp implements Op
{
    /** @param float $size across it, mm */
    public function __construct(public string $what, public string $piece, public string $face, public Spot $at, public float $size)
    {
    }
}
