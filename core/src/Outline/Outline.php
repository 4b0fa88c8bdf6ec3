<?php

declare(strict_types=1);

namespace Gimbo\Core\Outline;

use Gimbo\Core\Document\Limit;
use Gimbo\Core\Error\InvalidDocument;
use Gimbo\Core\Error\Reason;
use Gimbo\Core\Geometry\Point;
use Gimbo\Core\Geometry\Polygon;
use Gimbo\Core\Measure\Length;

/** The edge of an odd-shaped thing and the box it fills: millimetres, x right, y up, the box's lower left corner at 0, 0. */
final readonly class Outline
{
    /** Curves are drawn, and corners left out, to within this, mm. */
    public const TRUE_TO_MM = 0.02;

    /** A bare number in a drawing is no exact length: what is as near as this to a sixty-fourth of an inch is meant as one, mm. */
    private const MEANT_MM = 0.005;

    private const LARGEST_MM = 2000.0;

    private const DECIMALS = 3;

    /** @param non-empty-list<Point> $points */
    private function __construct(public array $points, public Length $width, public Length $height)
    {
    }

    /**
     * The largest closed shape among the strokes.
     *
     * @param list<Stroke> $strokes
     *
     * @throws InvalidDocument when nothing is closed, or it is larger than anything that is made
     */
    public static function of(array $strokes): self
    {
        $largest = null;
        foreach (Stroke::joined($strokes) as $stroke) {
            $area = $stroke->isClosed && count($stroke->points) > 2 ? Polygon::of($stroke->points)->area() : 0.0;
            if ($stroke->points !== [] && $area > ($largest[0] ?? 0.0)) {
                $largest = [$area, $stroke->points];
            }
        }
        $points = $largest[1] ?? throw InvalidDocument::at('/file', Reason::of('outline.open'));
        [$xs, $ys] = [array_map(fn (Point $p) => $p->x, $points), array_map(fn (Point $p) => $p->y, $points)];
        [$left, $bottom, $wide, $high] = [min($xs), min($ys), max($xs) - min($xs), max($ys) - min($ys)];
        if (max($wide, $high) > self::LARGEST_MM || min($wide, $high) < self::TRUE_TO_MM) {
            throw InvalidDocument::at('/file', Reason::of('outline.size', ['most' => (int) self::LARGEST_MM]));
        }
        $simple = Simpler::ring($points, self::TRUE_TO_MM, Limit::OUTLINE_POINTS);
        // What goes to and fro so often has no outline of its own at so few corners.
        count($simple) > 2 || throw InvalidDocument::at('/file', Reason::of('outline.too-much', ['most' => Limit::OUTLINE_POINTS]));

        return new self(array_map(fn (Point $p) => new Point(round($p->x - $left, self::DECIMALS), round($p->y - $bottom, self::DECIMALS)), $simple), self::meant($wide), self::meant($high));
    }

    /** The length that was meant: a sixty-fourth of an inch where it is one, else the next tenth of a millimetre up. */
    private static function meant(float $millimetres): Length
    {
        $inches = Length::inches((int) round($millimetres / 25.4 * 64), 64);

        return abs($inches->toMillimetres() - $millimetres) <= self::MEANT_MM && $inches->isPositive()
            ? $inches : Length::mm((int) ceil($millimetres * 10 - self::MEANT_MM), 10);
    }
}
