<?php

declare(strict_types=1);

namespace Gimbo\Core\Make\FoldedCard;

use Gimbo\Core\Crease\FaceRole;
use Gimbo\Core\Crease\Pattern;
use Gimbo\Core\Crease\PatternBuilder;
use Gimbo\Core\Fit\Dimension;
use Gimbo\Core\Fit\Fit;
use Gimbo\Core\Fit\MakeUp;
use Gimbo\Core\Fit\Term;
use Gimbo\Core\Fit\TermKind;
use Gimbo\Core\Make\Faces;
use Gimbo\Core\Make\HeldKind;
use Gimbo\Core\Make\Make;
use Gimbo\Core\Make\PaperKind;
use Gimbo\Core\Make\Shape;
use Gimbo\Core\Make\Shared\CardSize;
use Gimbo\Core\Make\Shared\FromPaper;
use Gimbo\Core\Make\Shared\GridWork;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Measure\System;
use Gimbo\Core\Settle\Extents;
use Gimbo\Core\Settle\Figures;
use Gimbo\Core\Settle\PieceFigures;
use Gimbo\Core\Settle\Plan;
use Gimbo\Core\Sheet\Axis;
use Gimbo\Core\Sheet\AxisPlan;
use Gimbo\Core\Sheet\GridAxis;
use Gimbo\Core\Sheet\GridPlan;
use Gimbo\Core\Sheet\GridSheet;
use Gimbo\Core\Sheet\Planning;
use Gimbo\Core\Sheet\Strip;
use Gimbo\Core\Spec\Clearance;
use Gimbo\Core\Spec\Item;
use Gimbo\Core\Spec\Row;
use Gimbo\Core\Spec\SizingRequest;
use Gimbo\Core\Steps\Deed;
use Gimbo\Core\Steps\Op\NameOp;
use Gimbo\Core\Steps\With;

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

    public function body(): array
    {
        return [self::PIECE];
    }

    public function holds(): array
    {
        return [HeldKind::CardToMake];
    }

    public function options(): array
    {
        return [Row::choice('fold', ['half', 'gate', 'z', 'letter']), Row::choice('spine', ['side', 'top'])];
    }

    public function chosenLengths(SizingRequest $request): array
    {
        return [];
    }

    public function usualClearance(Item $item, System $system): Clearance
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
        $size = self::closed($folded);
        [$width, $height] = $isSide ? [$size, $straight->total] : [$straight->total, $size];
        // Gate flaps lie beside one another.
        $layers = $request->paper->caliper->times(self::fold($request) === 'letter' || self::fold($request) === 'z' ? 3 : 2);

        return new Figures(
            $request, $plan->settings, [$piece], new Extents($width, $height, Length::zero()), CardSize::closed($request, $width, $height, $layers),
            [...CardSize::fits($request, $width, $height), ...CardSize::near($request, $width, $height), ...self::fits($folded, $request), ...FromPaper::fits([$piece], $request)],
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

    public function stock(): PaperKind
    {
        return PaperKind::Card;
    }

    public function faces(): Faces
    {
        return new Faces(isHeldByBand: true);
    }

    public function loose(Figures $figures): array
    {
        return [];
    }

    public function steps(Figures $figures): array
    {
        $work = GridWork::on($figures->piece(self::PIECE));
        $isSide = self::isSide($figures->request);
        $fold = self::fold($figures->request);
        $faces = ['front' => [0, $fold === 'z' ? -180.0 : 180.0]] + ($fold === 'half' ? [] : ['flap' => [2, 180.0]]);
        $name = fn (string $face, int $i): NameOp => $isSide ? $work->name($face, FaceRole::Panel, $i, 0) : $work->name($face, FaceRole::Panel, 0, $i);
        $scored = $work->cutAndScore();
        [$names, $folds] = [[$name(self::BACK, 1)], []];
        foreach ($faces as $face => [$i, $degrees]) {
            $line = ($isSide ? 'x' : 'y').max(1, $i);
            $names[] = $name($face, $i);
            $folds[] = $isSide ? $work->foldOnX($face, self::BACK, $degrees, $line, 0) : $work->foldOnY($face, self::BACK, $degrees, $line, 0);
        }

        return [...$scored, $work->step('fold', Deed::Fold, With::BoneFolder, [...$names, ...$folds])];
    }

    public function remedies(string $fit, Figures $figures): array
    {
        return match ($fit) {
            FromPaper::ID => FromPaper::remedies($figures->pieces),
            'comes-near-width' => CardSize::neighbours($fit, $figures->request, $figures->closed->width, $figures->request->tools->score->size),
            'comes-near-height' => CardSize::neighbours($fit, $figures->request, $figures->closed->height, $figures->request->tools->score->size),
            default => [],
        };
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
        $inner = self::inner($planning, $whole, $request);
        [$before, $after] = match (self::fold($request)) {
            'gate' => [[Strip::atMost('flaps', $half)], [Strip::atMost('flaps', $half)]],
            'z' => [[Strip::atMost('panels', self::outer($planning, $whole))], [Strip::atMost('panels', self::outer($planning, $whole))]],
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

    /** Across the fold: the back, and what the panels folded over it stand out. */
    private static function closed(GridAxis $folded): Length
    {
        [$front, $back, $flap] = [$folded->width(0), $folded->width(1), $folded->widths[2] ?? Length::zero()];

        return Length::max($back, $front)->minus(Length::min(Length::zero(), $back->minus($flap)));
    }

    /** The panel folded in first is a little narrower than those it lies between: 1 mm and the paper (common practice, no source). */
    private static function margin(SizingRequest $request): Length
    {
        return Length::mm(1)->plus($request->paper->caliper);
    }

    /** The outer panels of a Z, no wider than that what they stand out on both sides of the back, as it will really be, is still what was asked. */
    private static function outer(Planning $planning, MakeUp $whole): MakeUp
    {
        [$score, $cut, $asked] = [$planning->score(), $planning->tools->cut, $whole->figure()];
        $panel = Length::max($score->down($asked), $score->size);
        $closes = fn (Length $panel): Length => $panel->times(4)->minus($cut->down($panel->times(2)->plus($asked)));
        while ($panel->isMoreThan($score->size) && $closes($panel)->isMoreThan($asked)) {
            $panel = $score->down($panel->minus(Length::ofTicks(1)));
        }

        return $whole->roundedTo($panel);
    }

    /** As narrow as it must be beside the back as it will really be, that takes what the trimmer leaves. */
    private static function inner(Planning $planning, MakeUp $whole, SizingRequest $request): MakeUp
    {
        [$score, $cut] = [$planning->score(), $planning->tools->cut];
        $outer = Length::max($score->down($whole->figure()), $score->size);
        $inner = Length::max($score->down($outer->minus(self::margin($request))), $score->size);
        $back = fn (Length $inner): Length => $cut->down($inner->plus($outer, $whole->figure()))->minus($inner)->minus($outer);
        while ($inner->isMoreThan($score->size) && $back($inner)->minus($inner)->isLessThan(self::margin($request))) {
            $inner = $score->down($inner->minus(Length::ofTicks(1)));
        }

        return $whole->plus(new Term(TermKind::Margin, Length::mm(-1)), new Term(TermKind::Paper, $request->paper->caliper->times(-1)))->roundedTo($inner);
    }

    /** @return list<Fit> */
    private static function fits(GridAxis $folded, SizingRequest $request): array
    {
        $flaps = $folded->width(0)->plus($folded->widths[2] ?? Length::zero());

        return match (self::fold($request)) {
            'gate' => [
                Fit::plain('flaps-meet-without-overlap', $flaps, $folded->width(1), $flaps, Length::zero()),
                Fit::plain('flaps-come-together', $folded->width(1)->minus($request->tools->cut->size), $flaps, $folded->width(1)->minus($request->tools->cut->size), Length::zero()),
            ],
            'letter' => [Fit::plain('inner-panel-lies-flat', self::margin($request), Length::min($folded->width(1), $folded->width(2))->minus($folded->width(0)), $request->paper->caliper, Length::zero())],
            default => [],
        };
    }
}
