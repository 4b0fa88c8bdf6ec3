<?php

declare(strict_types=1);

namespace Gimbo\Core\Make\Shared;

use Gimbo\Core\Crease\FoldedBox;
use Gimbo\Core\Crease\Folding;
use Gimbo\Core\Crease\Overlap;
use Gimbo\Core\Crease\Pattern;
use Gimbo\Core\Design\Measure;
use Gimbo\Core\Design\Piece;
use Gimbo\Core\Geometry\Point;
use Gimbo\Core\Geometry\Polygon;
use Gimbo\Core\Sheet\GridSheet;

/** A piece cut from a sheet of columns and rows: folded, boxed, and its glue found from what is glued to what. */
final class GridPiece
{
    /**
     * @param list<Measure> $more measures after the cuts and scores
     * @param array<string, list<float>> $bends see Piece
     */
    public static function of(string $id, GridSheet $grid, Pattern $pattern, ?Polygon $contents = null, array $more = [], int $count = 1, array $bends = []): Piece
    {
        $folding = Folding::of($pattern);

        return new Piece(
            $id, $count, $grid->sheet(), $grid->exact(), $grid->columns->madeOf,
            [...$grid->measures(), ...$more], $pattern, $folding, FoldedBox::around($folding, new Point(1, 0)),
            self::glue($pattern, $folding), $contents, heightMadeOf: $grid->rows->madeOf, bends: $bends,
        );
    }

    /** @return array<string, Polygon> on each glued face, the part that lies on the face it is glued to */
    public static function glue(Pattern $pattern, Folding $folding): array
    {
        $areas = [];
        foreach ($pattern->faces as $f => $face) {
            $area = $face->gluedTo === null ? null : Overlap::onFace($folding, $f, $face->gluedTo);
            $area !== null && $areas[(string) $face->name] = $area;
        }

        return $areas;
    }
}
