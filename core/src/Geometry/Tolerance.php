<?php

declare(strict_types=1);

namespace Gimbo\Core\Geometry;

/** Every tolerance of the geometry, with its unit and its reason. */
final class Tolerance
{
    /** Two points closer than this many millimetres are one: a thousandth of what the finest reading needs (0.01 mm). */
    public const SAME_POINT_MM = 1e-5;

    /** Folded copies of one vertex may lie this many millimetres apart: rounding through a chain of rotations. */
    public const CLOSED_FOLD_MM = 1e-6;

    /** An area below this many square millimetres is none. */
    public const NO_AREA_MM2 = 1e-6;
}
