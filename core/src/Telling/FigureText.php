<?php

declare(strict_types=1);

namespace Gimbo\Core\Telling;

use Gimbo\Core\Measure\Length;
use Gimbo\Core\Measure\LengthFormatter;
use Gimbo\Core\Measure\Unit;
use Gimbo\Core\Tool\Tools;

/** A figure that no measure carries, as a ruler in the hand reads it: on the trimmer's scale, a hair in millimetres. */
final class FigureText
{
    /** What is less is no reading, but a hair. */
    private const HAIR_MM = 1.0;

    public static function of(Tools $tools, float $millimetres): string
    {
        $length = Length::nearestTo($millimetres);

        return $millimetres < self::HAIR_MM
            ? LengthFormatter::in(Unit::Millimetre)->measured($length, 1)
            : LengthFormatter::in($tools->cut->on($length)->unit)->marked($length);
    }
}
