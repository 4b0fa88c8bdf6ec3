<?php

declare(strict_types=1);

namespace Gimbo\Core\Added\Liner;

use Gimbo\Core\Added\Outfitting;
use Gimbo\Core\Added\PlainRole;
use Gimbo\Core\Added\Rings;
use Gimbo\Core\Added\Role;
use Gimbo\Core\Crease\PatternBuilder;
use Gimbo\Core\Crease\Side;
use Gimbo\Core\Fit\Dimension;
use Gimbo\Core\Fit\MakeUp;
use Gimbo\Core\Fit\Term;
use Gimbo\Core\Fit\TermKind;
use Gimbo\Core\Geometry\Point;
use Gimbo\Core\Geometry\Polygon;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Settle\AddedKind;
use Gimbo\Core\Settle\AddedPiece;
use Gimbo\Core\Settle\PieceFigures;
use Gimbo\Core\Settle\Placing;
use Gimbo\Core\Sheet\GridSheet;
use Gimbo\Core\Sheet\Strip;
use Gimbo\Core\Spec\Addition;
use Gimbo\Core\Spec\Circumstances;
use Gimbo\Core\Spec\Kind;
use Gimbo\Core\Spec\Row;

/** A lining of an envelope's front and top flap. */
final class Liner implements Role
{
    use PlainRole;

    public function id(): string
    {
        return 'liner';
    }

    public function rows(): array
    {
        return [
            Row::border('border')->ordinary(0.5, 60)->usually(fn (Circumstances $in) => $in->of(1, 4, 6)),
            Row::of('paper', Kind::PaperId),
        ];
    }

    /** Inside the front and the top flap, folded where they are. */
    public function fitOut(Addition $addition, Outfitting $on): void
    {
        foreach ($on->patterns as $id => $pattern) {
            $lining = LinerShape::of($pattern, $addition->border->width ?? Length::zero());
            $grid = $lining === null ? null : self::sheet($addition, $lining, $on);
            if ($lining === null || $grid === null) {
                continue;
            }
            $piece = self::piece($addition, $lining, $grid, $id, $on);
            if ($piece === null) {
                break;
            }
            $on->add($piece);

            return;
        }
        $on->findsNothing($addition);
    }

    /** Its columns and rows; null where it cannot be set with all its folds. */
    private static function sheet(Addition $addition, Lining $lining, Outfitting $on): ?GridSheet
    {
        [$left, $right, $low, $high] = Rings::bounds($lining->ring);
        $strips = [];
        foreach ($lining->folds as $i => $fold) {
            $of = Length::nearestTo($fold - ($i === 0 ? $low : $lining->folds[$i - 1]));
            $strips[] = Strip::atMost($i === 0 ? 'fold' : 'fold-'.($i + 1), MakeUp::of(new Term(TermKind::Panel, $of, Dimension::Height)));
        }
        $last = $lining->folds[count($lining->folds) - 1];
        $width = MakeUp::of(new Term(TermKind::Panel, Length::nearestTo($right - $left), Dimension::Width));
        $flap = MakeUp::of(new Term(TermKind::Flap, Length::nearestTo($high - $last), Dimension::Height));
        $grid = $on->sheet($addition->id, $width, $flap, $strips, true);

        return $grid === null || count($grid->rows->widths) !== count($lining->folds) + 1 ? null : $grid;
    }

    /** Null where one of its faces comes to nothing. */
    private static function piece(Addition $addition, Lining $lining, GridSheet $grid, string $in, Outfitting $on): ?AddedPiece
    {
        [$left, $right] = Rings::bounds($lining->ring);
        $wide = $grid->columns->total->toMillimetres();
        // Its last fold lies on that of the flap; what the steps take is taken at its ends.
        $down = $lining->folds[count($lining->folds) - 1] - $grid->rows->edge(count($lining->folds));
        $aside = ($left + $right - $wide) / 2;
        $between = fn (float $low, float $high): array => Rings::between($lining->ring, $aside, $aside + $wide, $down + $low, $down + $high);
        $corner = new Point($aside, $down);
        $rings = array_map(fn (int $i): array => $between($grid->rows->edge($i), $grid->rows->edge($i + 1)), array_keys($lining->faces));
        if (in_array([], $rings, true)) {
            return null;
        }
        $builder = new PatternBuilder;
        foreach ($lining->faces as $i => $face) {
            $builder->face("liner-$face", self::from($corner, $rings[$i]));
            $i === 0 || $builder->hinge('liner-'.$lining->faces[$i - 1], "liner-$face", $lining->degrees[$i - 1], "y$i");
        }
        $whole = $builder->build();
        $faces = array_combine(array_map(fn (string $face) => "liner-$face", $lining->faces), $lining->faces);

        return new AddedPiece(
            new AddedKind('liner', isTapered: true, advice: ['glue-the-liner-at-its-top']), $addition,
            $on->request->paperNamed($addition->paper()), PieceFigures::ofGrid($addition->id, $grid),
            self::from($corner, $between(0.0, $grid->rows->total->toMillimetres())), $whole,
            placings: [new Placing($in, $lining->faces[0], Side::Inside, $lining->toSheet($corner), $lining->radians, $faces)],
        );
    }

    /** @param list<Point> $ring */
    private static function from(Point $corner, array $ring): Polygon
    {
        return Polygon::of(array_map(fn (Point $p) => $p->minus($corner), $ring));
    }
}
