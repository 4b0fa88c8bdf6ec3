<?php

declare(strict_types=1);

namespace Gimbo\Core\CutPlan\Nest;

use Gimbo\Core\Geometry\Point;
use Gimbo\Core\Geometry\Polygon;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Paper\Rectangle;

/**
 * Corners that come off a piece, right-angled triangles, and pieces that are such triangles: the one may be made of the other.
 *
 * Corners are counted from the lower left one on, anticlockwise: 0 to 3.
 *
 * @phpstan-type Corner array{corner: int, width: Length, height: Length}
 */
final class Corners
{
    private const DUST = 1e-4;

    /**
     * @param list<Point> $outline corners of a piece on its sheet, mm
     * @return list<Corner> what comes off whole at its sheet's corners, the legs along its width and its height
     */
    public static function off(array $outline, Rectangle $sheet): array
    {
        [$w, $h] = [$sheet->width->toMillimetres(), $sheet->height->toMillimetres()];
        $hull = Polygon::hull($outline);
        $corners = [];
        foreach ([[0.0, 0.0], [$w, 0.0], [$w, $h], [0.0, $h]] as $corner => [$x, $y]) {
            if (array_filter($hull, fn (Point $p) => abs($p->x - $x) + abs($p->y - $y) < self::DUST) !== []) {
                continue;
            }
            foreach ($hull as $i => $one) {
                $next = $hull[($i + 1) % count($hull)];
                foreach ([[$one, $next], [$next, $one]] as [$on, $beside]) {
                    // One end on the level side of the corner, the other on the upright one.
                    [$p, $q] = [abs($on->x - $x), abs($beside->y - $y)];
                    if (abs($on->y - $y) < self::DUST && abs($beside->x - $x) < self::DUST && $p > 1.0 && $q > 1.0) {
                        $corners[] = ['corner' => $corner, 'width' => Length::atMost($p), 'height' => Length::atMost($q)];
                    }
                }
            }
        }

        return $corners;
    }

    /**
     * @param list<Point> $outline
     * @return ?Corner the right angle of a piece that is a right-angled triangle as large as half its sheet; null where it is none
     */
    public static function triangle(array $outline, Rectangle $sheet): ?array
    {
        $off = count(Polygon::hull($outline)) === 3 ? self::off($outline, $sheet) : [];
        if (count($off) !== 1 || $sheet->width->minus($off[0]['width'])->toMillimetres() > 0.01 || $sheet->height->minus($off[0]['height'])->toMillimetres() > 0.01) {
            return null;
        }

        // What is left of a rectangle that lost one corner whole is the other half: its right angle lies opposite.
        return ['corner' => ($off[0]['corner'] + 2) % 4, 'width' => $sheet->width, 'height' => $sheet->height];
    }

    /**
     * Whether a triangle comes out of a corner that came off, turned so that right angle lies in right angle.
     *
     * @param Corner $triangle
     * @param Corner $corner
     */
    public static function isWithin(array $triangle, array $corner, bool $mayTurn): bool
    {
        // A corner that came off at the lower left has its right angle there.
        $turns = ($corner['corner'] - $triangle['corner'] + 4) % 4;
        [$w, $h] = $turns % 2 === 0 ? [$triangle['width'], $triangle['height']] : [$triangle['height'], $triangle['width']];

        return ($mayTurn || $turns === 0) && ! $w->isMoreThan($corner['width']) && ! $h->isMoreThan($corner['height']);
    }
}
