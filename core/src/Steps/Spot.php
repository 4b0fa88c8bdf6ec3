<?php

declare(strict_types=1);

namespace Gimbo\Core\Steps;

use Gimbo\Core\Geometry\Point;

/** A point on a flat sheet, said twice: where it is, and by which two lines a hand finds it. */
final readonly class Spot
{
    private function __construct(public Point $is, public Line $one, public Line $two)
    {
    }

    public static function crossing(Line $one, Line $two): self
    {
        return new self($one->crossing($two), $one, $two);
    }
}
