<?php

declare(strict_types=1);

namespace Gimbo\Core\Settle;

use Gimbo\Core\Geometry\Point;
use Gimbo\Core\Spec\Addition;

/** A face with a pattern pressed into it: how the plate lies, and where a second pass meets the first. */
final readonly class Embossed
{
    /**
     * @param string $piece whose sheet it is pressed into
     * @param bool $isTurned whether the plate's width lies along the face's height
     * @param ?array{Point, Point} $seam on the piece's sheet; null where one pass covers the face
     */
    public function __construct(public Addition $addition, public string $piece, public string $face, public bool $isTurned, public ?array $seam)
    {
    }
}
