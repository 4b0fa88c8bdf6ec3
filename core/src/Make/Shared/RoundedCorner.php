<?php

declare(strict_types=1);

namespace Gimbo\Core\Make\Shared;

use Gimbo\Core\Geometry\Point;
use Gimbo\Core\Geometry\Turning;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Measure\System;
use Gimbo\Core\Spec\SizingRequest;
use Gimbo\Core\Steps\Bench;
use Gimbo\Core\Steps\Op\AwayOp;
use Gimbo\Core\Steps\Op\Waste;

/** A square corner of a sheet that is rounded, as with a corner punch: 1/4 in or 6 mm, or what her punch nearest to that gives, less where there is no room for it. Common practice, no source. */
final class RoundedCorner
{
    public const CHORDS = 8;

    /**
     * @param float $most mm that there are along the shorter of the sides that meet there
     * @return float radius, mm, on the trimmer's step where it is not the usual; 0 where nothing is rounded
     */
    public static function radius(SizingRequest $request, float $most): float
    {
        $usual = $request->system === System::Imperial ? Length::inches(1, 4) : Length::mm(6);
        $usual = ($request->tools->punches->corner($usual) ?? $usual)->toMillimetres();

        return $usual <= $most / 2 ? $usual : max(0.0, $request->tools->cut->down(Length::atMost($most / 2))->toMillimetres());
    }

    /** What comes off the corner between an upright and a level edge. */
    public static function away(Bench $bench, string $upright, string $level, float $radius): AwayOp
    {
        $from = $bench->at($bench->in($upright, $radius), $level);
        $arc = $bench->arc($from, $bench->at($bench->in($upright, $radius), $bench->in($level, $radius)), $bench->at($upright, $bench->in($level, $radius)), self::CHORDS);

        return $bench->away(Waste::Round, $bench->at($upright, $level), $from, $arc);
    }

    /**
     * The corner's vertices, anticlockwise round the paper.
     *
     * @param Point $tip where the two sides would meet
     * @param Point $before of length 1, from there back along the side before it
     * @param Point $after of length 1, from there along the side after it
     * @return list<Point>
     */
    public static function vertices(Point $tip, Point $before, Point $after, float $radius): array
    {
        if ($radius <= 0.0) {
            return [$tip];
        }
        $from = $tip->plus($before->times($radius));

        return [$from, ...Turning::about($from->plus($after->times($radius)), $from, 90.0, self::CHORDS)];
    }
}
