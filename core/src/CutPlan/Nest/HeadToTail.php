<?php

declare(strict_types=1);

namespace Gimbo\Core\CutPlan\Nest;

use Gimbo\Core\Geometry\Point;
use Gimbo\Core\Geometry\Polygon;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Paper\Rectangle;

/**
 * Two pieces alike that take less paper head to tail than side by side: the one turned half a turn, a slant of theirs along one cut.
 *
 * Frame: the lower left corner of the rectangle both come out of. The two are each other turned about its middle, so the cut goes through
 * that; derived here.
 */
final readonly class HeadToTail
{
    /** Less than this of the paper saved is not worth the slanted cut; common practice, no source. */
    private const LEAST_SAVED = 0.1;

    private const DUST = 1e-6;

    /**
     * @param Rectangle $box what both come out of
     * @param Point $from where the cut between them meets an edge of it, mm
     * @param Point $to where it meets the other
     * @param float $saved share of the paper of two, 0 to 1
     */
    private function __construct(public Rectangle $box, public Point $from, public Point $to, public float $saved)
    {
    }

    /**
     * @param list<Point> $outline corners of one piece on its sheet, mm, in any order; what lies between them is taken as paper
     * @param Length $step of the trimmer: the rectangle comes on it
     * @param Length $kerf what the blade takes away between them
     * @return ?self null where it saves nothing
     */
    public static function of(array $outline, Rectangle $sheet, Length $step, Length $kerf): ?self
    {
        $hull = Polygon::hull($outline);
        $best = null;
        [$w, $h] = [$sheet->width->toMillimetres(), $sheet->height->toMillimetres()];
        foreach ([$hull, array_map(fn (Point $p) => new Point($w - $p->x, $h - $p->y), $hull)] as $first) {
            foreach ([true, false] as $isAcross) {
                $found = self::slid($isAcross ? $first : array_map(fn (Point $p) => new Point($p->y, $p->x), $first), $isAcross ? $sheet : new Rectangle($sheet->height, $sheet->width), $step, $kerf, $isAcross);
                ($found->saved ?? 0.0) > ($best->saved ?? self::LEAST_SAVED) + self::DUST && $best = $found;
            }
        }

        return $best;
    }

    /**
     * The second one slid along the width.
     *
     * @param list<Point> $hull
     * @param bool $isAcross whether width and height are what they are, or changed over
     */
    private static function slid(array $hull, Rectangle $sheet, Length $step, Length $kerf, bool $isAcross): ?self
    {
        [$w, $h] = [$sheet->width->toMillimetres(), $sheet->height->toMillimetres()];
        $best = null;
        foreach ($hull as $i => $one) {
            $next = $hull[($i + 1) % count($hull)];
            $along = $next->minus($one);
            if (abs($along->y) < self::DUST) {
                continue;
            }
            // The line of that direction through the middle of a rectangle so wide that all of the piece lies on its left, half the blade away.
            $sign = $along->y > 0 ? 1 : -1;
            $need = max(array_map(fn (Point $p): float => $sign * ($p->x * $along->y - ($p->y - $h / 2) * $along->x), $hull)) + $kerf->toMillimetres() / 2 * $along->length();
            $wide = Length::atLeast(2 * $need / abs($along->y));
            $wide = Length::max($sheet->width, $step->times(intdiv($wide->ticks + $step->ticks - 1, $step->ticks)));
            $saved = 1 - $wide->toMillimetres() / (2 * $w);
            $ends = array_map(fn (float $y): float => $wide->toMillimetres() / 2 + ($y - $h / 2) * $along->x / $along->y, [0.0, $h]);
            if ($saved > ($best->saved ?? 0.0) + self::DUST && min($ends) > -self::DUST && max($ends) < $wide->toMillimetres() + self::DUST) {
                [$from, $to] = $isAcross ? [new Point($ends[0], 0.0), new Point($ends[1], $h)] : [new Point(0.0, $ends[0]), new Point($h, $ends[1])];
                $best = new self($isAcross ? new Rectangle($wide, $sheet->height) : new Rectangle($sheet->height, $wide), $from, $to, $saved);
            }
        }

        return $best;
    }
}
