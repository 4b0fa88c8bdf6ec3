<?php

declare(strict_types=1);

namespace Gimbo\Core\Make\SlopeBox;

use Gimbo\Core\Crease\PatternBuilder;
use Gimbo\Core\Design\Axis;
use Gimbo\Core\Design\Piece;
use Gimbo\Core\Fit\MakeUp;
use Gimbo\Core\Fit\Term;
use Gimbo\Core\Fit\TermKind;
use Gimbo\Core\Geometry\Polygon;
use Gimbo\Core\Make\Shared\GridPiece;
use Gimbo\Core\Make\Shared\GridWork;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Request\SizingRequest;
use Gimbo\Core\Sheet\GridAxis;
use Gimbo\Core\Sheet\GridSheet;
use Gimbo\Core\Steps\Deed;
use Gimbo\Core\Steps\WorkStep;

/**
 * Dividers as large as the back's mat, 1/4 in less than it both ways, their tabs staggered so that all can be read.
 * Common practice, no source, as are the tab's 1/2 in of height and 2 in of width.
 */
final class Dividers
{
    public const FACE = 'divider';

    /** @return list<Piece> */
    public static function of(int $count, Length $width, Length $height, SizingRequest $request): array
    {
        $less = fn (Length $length, Axis $axis, ?Length $tab = null): GridAxis => GridAxis::of($axis, [], MakeUp::of(
            new Term(TermKind::Face, $length),
            new Term(TermKind::Margin, Length::inches(-1, 4)),
            ...($tab === null ? [] : [new Term(TermKind::Flap, $tab)]),
        ), [], $request->tools->for(self::FACE), isContained: true);
        $grid = new GridSheet($less($width, Axis::Width), $less($height, Axis::Height, Length::inches(1, 2)));
        $pieces = [];
        for ($n = 0; $n < $count; $n++) {
            $pieces[] = GridPiece::of('divider-'.($n + 1), $grid, (new PatternBuilder)->face(self::FACE, self::outline($grid, $n, $count))->layers(self::FACE)->build());
        }

        return $pieces;
    }

    /** @return list<WorkStep> */
    public static function steps(Piece $piece): array
    {
        return [...GridWork::cutAndScore($piece), new WorkStep(Deed::CutOut, $piece->id, faces: [self::FACE], advice: ['label-each-tab'])];
    }

    private static function outline(GridSheet $grid, int $place, int $count): Polygon
    {
        [$w, $h] = [$grid->columns->total->toMillimetres(), $grid->rows->total->toMillimetres()];
        $shoulder = $h - min(Length::inches(1, 2)->toMillimetres(), $h / 2);
        $tab = min(Length::inches(2)->toMillimetres(), $w / 2);
        $from = $count > 1 ? ($w - $tab) * $place / ($count - 1) : 0.0;
        $corners = [[0, 0], [$w, 0], [$w, $shoulder], [$from + $tab, $shoulder], [$from + $tab, $h], [$from, $h], [$from, $shoulder], [0, $shoulder]];
        $distinct = array_filter($corners, fn (array $corner, int $i) => $corner !== $corners[($i + 7) % 8], ARRAY_FILTER_USE_BOTH);

        return Polygon::at(...array_values($distinct));
    }
}
