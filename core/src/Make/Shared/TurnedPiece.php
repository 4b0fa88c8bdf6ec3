<?php

declare(strict_types=1);

namespace Gimbo\Core\Make\Shared;

use Gimbo\Core\Crease\FoldedBox;
use Gimbo\Core\Crease\Folding;
use Gimbo\Core\Crease\Overlap;
use Gimbo\Core\Crease\Pattern;
use Gimbo\Core\Design\Measure;
use Gimbo\Core\Design\Piece;
use Gimbo\Core\Geometry\Polygon;
use Gimbo\Core\Paper\Rectangle;
use Gimbo\Core\Sheet\Flap;
use Gimbo\Core\Sheet\TurnedLayout;

/** A piece folded from a square on its corner. */
final class TurnedPiece
{
    /**
     * @param Rectangle $card what it holds, in its own width and height
     * @param bool $isUpright whether that goes in turned, its height along the face's width
     * @param list<Measure> $measures
     */
    public static function of(string $id, TurnedLayout $layout, Pattern $pattern, Rectangle $card, bool $isUpright, array $measures): Piece
    {
        $square = $layout->square;
        $folding = Folding::of($pattern);
        $width = ($isUpright ? $square->point(0, 1) : $square->point(1, 0))->minus($square->point(0, 0));
        $lying = $isUpright ? $card->turned() : $card;

        return new Piece(
            $id, 1, Rectangle::square($layout->side), Rectangle::square($layout->exactSide), $layout->sideMadeOf,
            $measures, $pattern, $folding, FoldedBox::around($folding, $width), self::glue($pattern, $folding),
            $square->centred($lying->width->toMillimetres(), $lying->height->toMillimetres()), $layout->lie,
        );
    }

    /** @return array<string, Polygon> where glue goes: along the bottom flap over the sides, and on the tabs */
    private static function glue(Pattern $pattern, Folding $folding): array
    {
        $areas = [];
        foreach ($pattern->faces as $f => $face) {
            if ($face->gluedTo === null) {
                continue;
            }
            $isUnderBottom = $pattern->faces[$face->gluedTo]->name === Flap::BOTTOM;
            $area = $isUnderBottom ? Overlap::onFace($folding, $face->gluedTo, $f) : Overlap::onFace($folding, $f, $face->gluedTo);
            $area !== null && $areas[(string) $face->name] = $area;
        }

        return $areas;
    }
}
