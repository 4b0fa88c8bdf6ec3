<?php

declare(strict_types=1);

namespace Gimbo\Core\Make\DiamondCard;

use Gimbo\Core\Geometry\Vector;

/**
 * How a diamond goes from flat to folded: the six creases at its tip fold only together.
 *
 * The pattern is its own mirror image across the straight crease through the tip and across the tip's level, and stays so
 * while it folds; with that one angle, the slanted creases', gives the other. Derived in docs/formulas.md, "Diamond card".
 */
final class Collapse
{
    /** So many angles that no panel is out of place by more than 0.05 mm between two of them on any card. */
    private const SAMPLES = 48;

    /**
     * @param float $width of the diamond, mm
     * @param float $height of the card, mm
     * @return array<string, list<float>> the angle of each crease in degrees, at equal shares of the way
     */
    public static function bends(float $width, float $height): array
    {
        $slanted = $straight = $beside = [];
        for ($i = 0; $i <= self::SAMPLES; $i++) {
            $share = $i / self::SAMPLES;
            $slanted[] = 180.0 * $share;
            $straight[] = -self::straight(180.0 * $share, atan2($height, $width));
            $beside[] = -180.0 * $share;
        }

        return ['left-slant' => $slanted, 'right-slant' => $slanted, 'x1' => $straight, 'x4' => $straight, 'x2' => $beside, 'x3' => $beside];
    }

    /**
     * The straight crease's angle in degrees for one of the slanted ones', from 0 to 180.
     *
     * @param float $rise the slant's angle above the tip's level, radians
     */
    private static function straight(float $slanted, float $rise): float
    {
        [$cos, $sin] = [cos(deg2rad($slanted)), sin(deg2rad($slanted))];
        $along = new Vector(cos($rise), sin($rise), 0);
        $across = new Vector(-sin($rise), cos($rise), 0);
        $up = new Vector(0, 0, 1);
        // The straight crease and the normal of the panel between it and the slant, that panel turned about the slant.
        $crease = $along->times(sin($rise))->plus($across->times(cos($rise) * $cos))->plus($up->times(cos($rise) * $sin));
        $normal = $up->times($cos)->minus($across->times($sin));
        // The far half is the near half's image in the plane through that crease and its mirror image below.
        $mirror = $slanted === 0.0 ? new Vector(1, 0, 0) : (new Vector(-$crease->z, 0, $crease->x))->unit();

        return rad2deg(2 * asin(min(1.0, abs($normal->dot($mirror)))));
    }
}
