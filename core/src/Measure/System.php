<?php

declare(strict_types=1);

namespace Gimbo\Core\Measure;

/** Whose graduations measures are rounded to and written in: inches and their fractions, or millimetres. */
enum System: string
{
    case Imperial = 'imperial';
    case Metric = 'metric';

    public function other(): self
    {
        return $this === self::Imperial ? self::Metric : self::Imperial;
    }

    /** The unit a bare number means when a person types it in this system. */
    public function unit(): Unit
    {
        return $this === self::Imperial ? Unit::Inch : Unit::Millimetre;
    }
}
