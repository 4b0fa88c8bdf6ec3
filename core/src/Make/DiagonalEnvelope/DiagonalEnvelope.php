<?php

declare(strict_types=1);

namespace Gimbo\Core\Make\DiagonalEnvelope;

use Gimbo\Core\Crease\FoldedBox;
use Gimbo\Core\Crease\Folding;
use Gimbo\Core\Crease\Overlap;
use Gimbo\Core\Crease\Pattern;
use Gimbo\Core\Design\Axis;
use Gimbo\Core\Design\Design;
use Gimbo\Core\Design\Extents;
use Gimbo\Core\Design\Measure;
use Gimbo\Core\Design\MeasureKind;
use Gimbo\Core\Design\Piece;
use Gimbo\Core\Fit\Dimension;
use Gimbo\Core\Make\Make;
use Gimbo\Core\Make\Shared\FlatRoom;
use Gimbo\Core\Make\Shared\FromPaper;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Paper\Rectangle;
use Gimbo\Core\Request\Clearance;
use Gimbo\Core\Request\Item;
use Gimbo\Core\Request\OptionSpec;
use Gimbo\Core\Request\SizingRequest;
use Gimbo\Core\Sheet\Flap;
use Gimbo\Core\Tool\ToolKind;

/**
 * An envelope from a square turned on its corner.
 *
 * The face always lies with its longer side along the opening; a portrait card goes in turned. Formulas:
 * docs/formulas.md, "Diagonal envelope".
 */
final readonly class DiagonalEnvelope implements Make
{
    public const PUNCH = 'punch-board';

    public const SCORE = 'score-board';

    /** Front, a side flap, bottom and top flap: so many layers lie on one another at most. */
    private const LAYERS = 4;

    public function id(): string
    {
        return 'diagonal-envelope';
    }

    public function options(): array
    {
        return [
            OptionSpec::choice('method', [self::PUNCH, self::SCORE]),
            OptionSpec::length('seam')->onlyWith('method', self::SCORE),
        ];
    }

    public function chosenLengths(SizingRequest $request): array
    {
        return $request->options->choice('method') === self::SCORE
            ? ['seam' => $request->options->length('seam') ?? $request->tools->notch]
            : [];
    }

    public function usualClearance(Item $item): Clearance
    {
        return FlatRoom::usualClearance($item);
    }

    public function design(SizingRequest $request): Design
    {
        $width = FlatRoom::needed($request, Dimension::Width);
        $height = FlatRoom::needed($request, Dimension::Height);
        $isUpright = $width->figure()->isLessThan($height->figure());
        [$wide, $high] = $isUpright ? [$height, $width] : [$width, $height];
        $layout = $request->options->choice('method') === self::PUNCH
            ? PunchLayout::of($wide, $high, $request->tools)
            : ScoreLayout::of($wide, $high, $this->chosenLengths($request)['seam'], $request->tools);
        $square = $layout->square;
        $pattern = $square->envelope($layout->sideTrim->toMillimetres(), $layout->longTrim->toMillimetres());
        $folding = Folding::of($pattern);
        $widthDirection = $isUpright ? $square->point(0, 1)->minus($square->point(0, 0)) : $square->point(1, 0)->minus($square->point(0, 0));
        $card = $isUpright ? $request->item->face()->turned() : $request->item->face();
        $piece = new Piece(
            'envelope', 1, Rectangle::square($layout->side), Rectangle::square($layout->exactSide), $layout->sideMadeOf,
            self::measures($layout), $pattern, $folding, FoldedBox::around($folding, $widthDirection),
            self::glue($pattern, $folding),
            $square->centred($card->width->toMillimetres(), $card->height->toMillimetres()),
            $layout->lie,
        );
        $face = new Extents(Length::nearestTo($isUpright ? $square->height : $square->width), Length::nearestTo($isUpright ? $square->width : $square->height), Length::zero());
        $t = $request->paper->caliper;
        $inside = new Extents($face->width->minus($t), $face->height->minus($t), Length::zero());
        $closed = new Extents($face->width->plus($t), $face->height->plus($t), $t->times(self::LAYERS)->plus($request->item->stack()));
        $fits = new Fits($request, $layout, $isUpright);

        return new Design($request, [$piece], $inside, $closed, [...$fits->all($inside), ...FromPaper::fits([$piece], $request)], Work::steps($piece, $request));
    }

    public function remedies(string $fit, Design $design): array
    {
        return Remedies::for($fit, $design);
    }

    /** @return list<Measure> in the order they are set */
    private static function measures(Layout $layout): array
    {
        $cut = fn (Axis $axis, string $from): Measure => new Measure(MeasureKind::Cut, ToolKind::Trimmer, $axis, $from, $layout->side, $layout->sideMadeOf);

        return [$cut(Axis::Width, 'left'), $cut(Axis::Height, 'top'), ...$layout->marks, ...$layout->trims];
    }

    /** @return array<string, \Gimbo\Core\Geometry\Polygon> where the bottom flap lies on the side flaps, by the side flap */
    private static function glue(Pattern $pattern, Folding $folding): array
    {
        $areas = [];
        foreach ([Flap::LEFT, Flap::RIGHT] as $side) {
            $area = Overlap::onFace($folding, $pattern->faceNamed(Flap::BOTTOM), $pattern->faceNamed($side));
            $area !== null && $areas[$side] = $area;
        }

        return $areas;
    }
}
