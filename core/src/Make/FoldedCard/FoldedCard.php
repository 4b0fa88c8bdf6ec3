<?php

declare(strict_types=1);

namespace Gimbo\Core\Make\FoldedCard;

use Gimbo\Core\Crease\Pattern;
use Gimbo\Core\Crease\PatternBuilder;
use Gimbo\Core\Figure\Extents;
use Gimbo\Core\Figure\Figures;
use Gimbo\Core\Figure\PieceFigures;
use Gimbo\Core\Figure\Plan;
use Gimbo\Core\Fit\Dimension;
use Gimbo\Core\Fit\Fit;
use Gimbo\Core\Fit\Term;
use Gimbo\Core\Fit\TermKind;
use Gimbo\Core\Make\HeldKind;
use Gimbo\Core\Make\Make;
use Gimbo\Core\Make\Shape;
use Gimbo\Core\Make\Shared\CardSize;
use Gimbo\Core\Make\Shared\FromPaper;
use Gimbo\Core\Make\Shared\GridWork;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Request\Clearance;
use Gimbo\Core\Request\Item;
use Gimbo\Core\Request\OptionSpec;
use Gimbo\Core\Request\SizingRequest;
use Gimbo\Core\Setting\Axis;
use Gimbo\Core\Setting\Planning;
use Gimbo\Core\Sheet\AxisPlan;
use Gimbo\Core\Sheet\GridAxis;
use Gimbo\Core\Sheet\GridPlan;
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
    private const PIECE = 'card';

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

    public function plan(SizingRequest $request, Planning $planning): Plan
    {
        $isSide = self::isSide($request);
        [$across, $along] = $isSide ? [Axis::Width, Axis::Height] : [Axis::Height, Axis::Width];
        $folded = self::panels($planning, $across, $request);
        $straight = AxisPlan::of($planning, self::PIECE, $along, [], CardSize::part($request, $isSide ? Dimension::Height : Dimension::Width), [], isContained: true);

        return new Plan($request, $planning->settings(), [self::PIECE => $isSide ? new GridPlan($folded, $straight) : new GridPlan($straight, $folded)]);
    }

    public function settle(Plan $plan): Figures
    {
        $request = $plan->request;
        $grid = $plan->grid(self::PIECE);
        $isSide = self::isSide($request);
        [$folded, $straight] = $isSide ? [$grid->columns, $grid->rows] : [$grid->rows, $grid->columns];
        $piece = PieceFigures::ofGrid(self::PIECE, $grid);
        $size = Length::max(...$folded->widths);
        [$width, $height] = $isSide ? [$size, $straight->total] : [$straight->total, $size];
        $layers = $request->paper->caliper->times(count($folded->widths));

        return new Figures(
            $request, $plan->settings, [$piece], new Extents($width, $height, Length::zero()), new Extents($width, $height, $layers),
            [...CardSize::fits($request, $width, $height), ...self::fits($folded, self::fold($request)), ...FromPaper::fits([$piece], $request)],
        );
    }

    public function shape(Figures $figures, string $piece): Shape
    {
        return new Shape(self::pattern($figures->grid($piece), self::fold($figures->request), self::isSide($figures->request)));
    }

    public function joins(Figures $figures): array
    {
        return [];
    }

    public function steps(Figures $figures): array
    {
        $faces = self::fold($figures->request) === 'half' ? ['front'] : ['front', 'flap'];

        return [...GridWork::cutAndScore($figures->piece(self::PIECE)), new WorkStep(Deed::Fold, self::PIECE, faces: $faces, onto: self::BACK)];
    }

    public function remedies(string $fit, Figures $figures): array
    {
        return $fit === FromPaper::ID ? FromPaper::remedies($figures->pieces) : [];
    }

    private static function isSide(SizingRequest $request): bool
    {
        return $request->options->choice('spine') === 'side';
    }

    private static function fold(SizingRequest $request): string
    {
        return $request->options->choice('fold');
    }

    /** Every panel is contained; the back is the main strip, the others are counted from the edge they begin at. */
    private static function panels(Planning $planning, Axis $axis, SizingRequest $request): AxisPlan
    {
        $dimension = $axis === Axis::Width ? Dimension::Width : Dimension::Height;
        $whole = CardSize::part($request, $dimension);
        $half = CardSize::part($request, $dimension, 1, 2);
        // The panel folded in first is a little narrower: 1 mm and the paper (common practice, no source).
        $inner = $whole->plus(new Term(TermKind::Margin, Length::mm(-1)), new Term(TermKind::Paper, $request->paper->caliper->times(-1)));
        [$before, $after] = match (self::fold($request)) {
            'gate' => [[Strip::atMost('flaps', $half)], [Strip::atMost('flaps', $half)]],
            'z' => [[Strip::atMost('panels', $whole)], [Strip::atMost('panels', $whole)]],
            'letter' => [[Strip::atMost('inner', $inner)], [Strip::atMost('outer', $whole)]],
            default => [[Strip::atMost('spine', $whole)], []],
        };

        return AxisPlan::of($planning, self::PIECE, $axis, $before, $whole, $after, isContained: true);
    }

    private static function pattern(GridSheet $grid, string $fold, bool $isSide): Pattern
    {
        $cell = fn (int $i) => $isSide ? $grid->cell($i, 0) : $grid->cell(0, $i);
        $line = $isSide ? 'x' : 'y';
        $builder = (new PatternBuilder)->face(self::BACK, $cell(1))->face('front', $cell(0))
            ->hinge(self::BACK, 'front', $fold === 'z' ? -180 : 180, "{$line}1");
        if ($fold !== 'half') {
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
}
