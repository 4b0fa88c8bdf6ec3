<?php

declare(strict_types=1);

namespace Gimbo\Core\Added;

use Gimbo\Core\Fit\Fit;
use Gimbo\Core\Fit\MakeUp;
use Gimbo\Core\Geometry\Point;
use Gimbo\Core\Geometry\Polygon;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Sheet\GridSheet;
use Gimbo\Core\Spec\Addition;
use Gimbo\Core\Spec\Border;

/** The fits that several roles have in common. */
final class AddedFits
{
    /** What shows around a mat as it will really be, in the direction in which that is less than was asked, or nearest to it. */
    public static function shows(string $id, Border $border, float $width, float $height, GridSheet $grid): Fit
    {
        $have = fn (Length $asked, float $exact, Length $real): Length => $asked->plus(Length::nearestTo(($exact - $real->toMillimetres()) / 2));
        $fits = [
            new Fit('mat-shows-border', $border->width, $have($border->width, $width, $grid->columns->total), Length::zero(), Length::zero(), MakeUp::of(), piece: $id),
            new Fit('mat-shows-border', $border->height, $have($border->height, $height, $grid->rows->total), Length::zero(), Length::zero(), MakeUp::of(), piece: $id),
        ];

        return $fits[1]->slack()->isLessThan($fits[0]->slack()) ? $fits[1] : $fits[0];
    }

    public static function noRoom(Length $least, string $id, Border $border, float $width, float $height): Fit
    {
        $needs = [[$border->width->times(2)->plus($least), Length::nearestTo($width)], [$border->height->times(2)->plus($least), Length::nearestTo($height)]];
        usort($needs, fn (array $a, array $b) => $a[1]->minus($a[0])->compareTo($b[1]->minus($b[0])));
        [$need, $have] = $needs[0];
        // Slanted sides can leave nothing where both sides alone would.
        $have = Length::min($have, $need->minus(Length::ofTicks(1)));

        return new Fit('mat-has-room', $need, $have, $need, Length::zero(), MakeUp::of(), piece: $id);
    }

    /** @param list<Point> $ring in the carrier's frame */
    public static function inside(string $fit, string $piece, array $ring, Carrier $carrier, Length $need): Fit
    {
        $panel = Polygon::of($carrier->own());

        return new Fit($fit, $need, Length::nearestTo(round(self::least($ring, $panel), 6)), $need, Length::zero(), MakeUp::of(), piece: $piece);
    }

    /** The fit that fails where the make has no panel for what is added. */
    public static function nothingToHold(Addition $addition, Length $cut): Fit
    {
        return new Fit('panel-is-there', $cut, Length::zero(), $cut, Length::zero(), MakeUp::of(), piece: $addition->id);
    }

    /** The fit that fails where an opening would run into another one. */
    public static function runsInto(string $piece, Length $margin): Fit
    {
        return new Fit('windows-apart', $margin, Length::zero(), $margin, Length::zero(), MakeUp::of(), piece: $piece);
    }

    /**
     * How far the nearest of some points is from an outline; negative beyond it.
     *
     * @param list<Point> $points
     */
    public static function least(array $points, Polygon $outline): float
    {
        return array_reduce($points, fn (float $least, Point $p) => min($least, $outline->clearance($p)), 1e6);
    }
}
