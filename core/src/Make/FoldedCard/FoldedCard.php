<?php

declare(strict_types=1);

namespace Gimbo\Core\Make\FoldedCard;

use Gimbo\Core\Crease\PatternBuilder;
use Gimbo\Core\Design\Axis;
use Gimbo\Core\Design\Design;
use Gimbo\Core\Design\Extents;
use Gimbo\Core\Fit\Dimension;
use Gimbo\Core\Fit\Fit;
use Gimbo\Core\Fit\Term;
use Gimbo\Core\Fit\TermKind;
use Gimbo\Core\Make\HeldKind;
use Gimbo\Core\Make\Make;
use Gimbo\Core\Make\Shared\CardSize;
use Gimbo\Core\Make\Shared\FromPaper;
use Gimbo\Core\Make\Shared\GridPiece;
use Gimbo\Core\Make\Shared\GridWork;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Request\Clearance;
use Gimbo\Core\Request\Item;
use Gimbo\Core\Request\OptionSpec;
use Gimbo\Core\Request\SizingRequest;
use Gimbo\Core\Sheet\GridAxis;
use Gimbo\Core\Sheet\GridSheet;
use Gimbo\Core\Sheet\Strip;
use Gimbo\Core\Steps\Deed;
use Gimbo\Core\Steps\WorkStep;

/**
 * A card of two or three panels: half, gate, Z or letter fold, the spine at the side or at the top.
 *
 * Formulas: docs/formulas.md, "Folded card".
 */
final readonly class FoldedCard implements Make
{
    private const BACK = 'back';

    public function id(): string
    {
        return 'folded-card';
    }

    public function holds(): array
    {
        return [HeldKind::CardToMake];
    }

    public function options(): array
    {
        return [OptionSpec::choice('fold', ['half', 'gate', 'z', 'letter']), OptionSpec::choice('spine', ['side', 'top'])];
    }

    public function chosenLengths(SizingRequest $request): array
    {
        return [];
    }

    public function usualClearance(Item $item): Clearance
    {
        return CardSize::noClearance();
    }

    public function design(SizingRequest $request): Design
    {
        $isSide = $request->options->choice('spine') === 'side';
        $fold = $request->options->choice('fold');
        [$across, $along] = $isSide ? [Axis::Width, Axis::Height] : [Axis::Height, Axis::Width];
        $folded = self::panels($across, $fold, $request);
        $straight = GridAxis::of($along, [], CardSize::part($request, $isSide ? Dimension::Height : Dimension::Width), [], $request->tools, isContained: true);
        $grid = $isSide ? new GridSheet($folded, $straight) : new GridSheet($straight, $folded);
        $piece = GridPiece::of('card', $grid, self::pattern($grid, $folded, $fold, $isSide));
        $size = Length::max(...$folded->widths);
        [$width, $height] = $isSide ? [$size, $straight->total] : [$straight->total, $size];
        $panel = new Extents($width, $height, Length::zero());
        $layers = $request->paper->caliper->times(count($folded->widths));

        return new Design(
            $request, [$piece], $panel, new Extents($width, $height, $layers),
            [...CardSize::fits($request, $width, $height), ...self::fits($folded, $fold), ...FromPaper::fits([$piece], $request)],
            [...GridWork::cutAndScore($piece), new WorkStep(Deed::Fold, $piece->id, faces: array_slice(self::names($fold), 1), onto: self::BACK)],
        );
    }

    public function remedies(string $fit, Design $design): array
    {
        return $fit === FromPaper::ID ? FromPaper::remedies($design->pieces) : [];
    }

    /** Every panel is contained; the back is the main strip, the others are counted from the edge they begin at. */
    private static function panels(Axis $axis, string $fold, SizingRequest $request): GridAxis
    {
        $dimension = $axis === Axis::Width ? Dimension::Width : Dimension::Height;
        $whole = CardSize::part($request, $dimension);
        $half = CardSize::part($request, $dimension, 1, 2);
        // The panel folded in first is a little narrower: 1 mm and the paper (common practice, no source).
        $inner = $whole->plus(new Term(TermKind::Margin, Length::mm(-1)), new Term(TermKind::Paper, $request->paper->caliper->times(-1)));
        [$before, $after] = match ($fold) {
            'gate' => [[Strip::atMost($half)], [Strip::atMost($half)]],
            'z' => [[Strip::atMost($whole)], [Strip::atMost($whole)]],
            'letter' => [[Strip::atMost($inner)], [Strip::atMost($whole)]],
            default => [[Strip::atMost($whole)], []],
        };

        return GridAxis::of($axis, $before, $whole, $after, $request->tools, isContained: true);
    }

    private static function pattern(GridSheet $grid, GridAxis $folded, string $fold, bool $isSide): \Gimbo\Core\Crease\Pattern
    {
        $cell = fn (int $i) => $isSide ? $grid->cell($i, 0) : $grid->cell(0, $i);
        $line = $isSide ? 'x' : 'y';
        $builder = (new PatternBuilder)->face(self::BACK, $cell(1))->face('front', $cell(0))
            ->hinge(self::BACK, 'front', $fold === 'z' ? -180 : 180, "{$line}1");
        if (count($folded->widths) === 3) {
            $builder->face('flap', $cell(2))->hinge(self::BACK, 'flap', 180, "{$line}2");
        }

        return $builder->layers(...match ($fold) {
            'z' => ['front', self::BACK, 'flap'],
            'half' => [self::BACK, 'front'],
            default => [self::BACK, 'front', 'flap'],
        })->build();
    }

    /** @return list<Fit> */
    private static function fits(GridAxis $folded, string $fold): array
    {
        return $fold === 'gate'
            ? [Fit::plain('flaps-meet-without-overlap', $folded->width(0)->plus($folded->width(2)), $folded->width(1), $folded->width(0)->plus($folded->width(2)), Length::zero())]
            : [];
    }

    /** @return list<string> */
    private static function names(string $fold): array
    {
        return $fold === 'half' ? [self::BACK, 'front'] : [self::BACK, 'front', 'flap'];
    }
}
