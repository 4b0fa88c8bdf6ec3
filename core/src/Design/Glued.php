<?php

declare(strict_types=1);

namespace Gimbo\Core\Design;

use Gimbo\Core\Crease\Folding;
use Gimbo\Core\Crease\JoinEnd;
use Gimbo\Core\Crease\Overlap;
use Gimbo\Core\Geometry\Point;
use Gimbo\Core\Geometry\Polygon;
use Gimbo\Core\Steps\Op\JoinOp;

/** What of two joined faces lies on one another when the piece is folded, and which points meet. */
final readonly class Glued
{
    /**
     * @param Polygon $area on the sheet of the join's face
     * @param list<array{Point, Point}> $meet points of the face and of its partner, each on its own sheet
     * @param list<Point> $there of one piece: where that area comes to lie on the partner's part of the sheet
     */
    private function __construct(public Polygon $area, public array $meet, public array $there = [])
    {
    }

    /** @param callable(string): Piece $piece by its id */
    public static function of(JoinOp $op, callable $piece): self
    {
        [$face, $onto] = [$op->join->face, $op->join->onto];
        $pattern = $piece($face->piece)->pattern();
        $whole = $piece($face->piece)->whole()->polygon($piece($face->piece)->whole()->faceNamed($face->face));
        if (! $op->join->isWithinOnePiece()) {
            return new self($whole, array_map(fn (array $pair) => [$pair[0]->is, $pair[1]->is], $op->meet));
        }
        $folding = $piece($face->piece)->folding();
        $area = Overlap::onFace($folding, $pattern->faceNamed($face->face), $pattern->faceNamed($onto->face)) ?? $whole;

        $there = fn (Point $p): Point => self::there($folding, $face, $onto, $p);

        return new self($area, array_map(fn (Point $p) => [$p, $there($p)], self::apart($area)), array_map($there, $area->points));
    }

    /** Where on the partner's part of the sheet a point comes to lie. */
    private static function there(Folding $folding, JoinEnd $face, JoinEnd $onto, Point $point): Point
    {
        $pattern = $folding->pattern;

        return Overlap::onSheet($folding, $pattern->faceNamed($onto->face), Overlap::inSpace($folding, $pattern->faceNamed($face->face), $point));
    }

    /** @return array{Point, Point} the two corners of an area furthest from one another */
    private static function apart(Polygon $area): array
    {
        $best = [$area->points[0], $area->points[1]];
        foreach ($area->points as $i => $one) {
            foreach (array_slice($area->points, $i + 1) as $two) {
                if ($two->minus($one)->length() > $best[1]->minus($best[0])->length() + 1e-6) {
                    $best = [$one, $two];
                }
            }
        }

        return $best;
    }
}
