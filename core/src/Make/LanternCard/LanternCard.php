<?php

declare(strict_types=1);

namespace Gimbo\Core\Make\LanternCard;

use Gimbo\Core\Crease\FaceRole;
use Gimbo\Core\Crease\Join;
use Gimbo\Core\Crease\JoinEnd;
use Gimbo\Core\Crease\PatternBuilder;
use Gimbo\Core\Fit\Dimension;
use Gimbo\Core\Fit\Fit;
use Gimbo\Core\Fit\MakeUp;
use Gimbo\Core\Fit\Remedy;
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
use Gimbo\Core\Settle\Place;
use Gimbo\Core\Settle\Plan;
use Gimbo\Core\Sheet\Axis;
use Gimbo\Core\Sheet\AxisPlan;
use Gimbo\Core\Sheet\GridPlan;
use Gimbo\Core\Sheet\Planning;
use Gimbo\Core\Sheet\Strip;
use Gimbo\Core\Spec\Clearance;
use Gimbo\Core\Spec\Item;
use Gimbo\Core\Spec\Row;
use Gimbo\Core\Spec\SizingRequest;
use Gimbo\Core\Steps\Deed;
use Gimbo\Core\Steps\Op\JoinOp;
use Gimbo\Core\Steps\With;

/**
 * Two faces that stand apart around a battery light and fold flat: two equal strips, glued tab to tab.
 *
 * Formulas: docs/formulas.md, "Lantern card".
 */
final readonly class LanternCard implements Make
{
    private const STRIP = 'strip';

    public function id(): string
    {
        return 'lantern-card';
    }

    public function body(): array
    {
        return [self::STRIP];
    }

    public function holds(): array
    {
        return [HeldKind::CardToMake];
    }

    public function options(): array
    {
        return [Row::length('light')];
    }

    /** A common battery light is 37 to 38 mm across; common practice, no source. */
    public function chosenLengths(SizingRequest $request): array
    {
        return ['light' => $request->options->length('light') ?? Length::mm(375, 10)];
    }

    public function usualClearance(Item $item, System $system): Clearance
    {
        return CardSize::noClearance();
    }

    public function plan(SizingRequest $request, Planning $planning): Plan
    {
        $light = $this->chosenLengths($request)['light'];
        $t = $request->paper->caliper;
        $bellows = MakeUp::of(new Term(TermKind::Light, $light->timesNearest(1, 2), null, $light), new Term(TermKind::Paper, $t->timesNearest(1, 2), null, $t));
        $strips = [Strip::atLeast('tabs', $bellows), Strip::atLeast('sides', $bellows)];
        $sheet = new GridPlan(
            AxisPlan::of($planning, self::STRIP, Axis::Width, $strips, CardSize::part($request, Dimension::Width), $strips, isContained: true),
            AxisPlan::of($planning, self::STRIP, Axis::Height, [], CardSize::part($request, Dimension::Height), [], isContained: true),
        );

        return new Plan($request, $planning->settings(), [self::STRIP => $sheet]);
    }

    public function settle(Plan $plan): Figures
    {
        $request = $plan->request;
        $light = $this->chosenLengths($request)['light'];
        $grid = $plan->grid(self::STRIP);
        $strip = PieceFigures::ofGrid(self::STRIP, $grid, count: 2);
        [$face, $side, $height] = [$grid->columns->main(), $grid->columns->width(1), $grid->rows->main()];
        // Between the faces, half of each one's paper taken off.
        $apart = $side->times(2)->minus($request->paper->caliper);

        return new Figures(
            $request, $plan->settings, [$strip], new Extents($face, $height, $apart), CardSize::closed($request, $face, $height, $request->paper->caliper->times(6)),
            [
                ...CardSize::fits($request, $face, $height),
                ...CardSize::near($request, $face, $height),
                Fit::plain('light-stands-between', $light, $apart, $light, Fit::handMiss()->times(2)),
                Fit::plain('sides-fold-in', $side->times(2), $face, $side->times(2), Fit::handMiss()),
                ...FromPaper::fits([$strip], $request),
            ],
        );
    }

    public function shape(Figures $figures, string $piece): Shape
    {
        $grid = $figures->grid($piece);
        $sheet = $grid->sheet();
        $pattern = (new PatternBuilder)
            ->face('front', $grid->cell(2, 0))
            ->face('left-side', $grid->cell(1, 0))->hinge('front', 'left-side', 180, 'x2')
            ->face('right-side', $grid->cell(3, 0))->hinge('front', 'right-side', 180, 'x3')
            ->face('left-tab', $grid->cell(0, 0), FaceRole::Tab)->hinge('left-side', 'left-tab', -180, 'x1')
            ->face('right-tab', $grid->cell(4, 0), FaceRole::Tab)->hinge('right-side', 'right-tab', -180, 'x4')
            ->twins('left-side', 'right-side')->twins('left-tab', 'right-tab')
            ->layers('front', 'left-side', 'right-side', 'left-tab', 'right-tab')
            ->build();
        $apart = 2 * count($pattern->layers) * Place::lift($figures->request->paper);

        return new Shape($pattern, places: [Place::asItLies(), Place::turnedOver($sheet, $sheet, $apart)]);
    }

    /** The tabs of one strip on those of the other, which lies over it wrong side up. */
    public function joins(Figures $figures): array
    {
        return array_map(fn (string $tab) => Join::of(JoinEnd::inside(self::STRIP, $tab), JoinEnd::inside(self::STRIP, $tab, 2)), ['left-tab', 'right-tab']);
    }

    public function stock(): PaperKind
    {
        return PaperKind::Card;
    }

    public function faces(): Faces
    {
        return new Faces(isHeldByBand: false);
    }

    public function loose(Figures $figures): array
    {
        return [];
    }

    public function steps(Figures $figures): array
    {
        $work = GridWork::on($figures->piece(self::STRIP));
        $scored = $work->cutAndScore();
        $fold = $work->step('fold', Deed::Fold, With::BoneFolder, [
            $work->name('front', FaceRole::Panel, 2, 0), $work->name('left-side', FaceRole::Panel, 1, 0), $work->name('right-side', FaceRole::Panel, 3, 0),
            $work->name('left-tab', FaceRole::Tab, 0, 0), $work->name('right-tab', FaceRole::Tab, 4, 0),
            $work->foldOnX('left-side', 'front', 180, 'x2', 0), $work->foldOnX('right-side', 'front', 180, 'x3', 0),
            $work->foldOnX('left-tab', 'left-side', -180, 'x1', 0), $work->foldOnX('right-tab', 'right-side', -180, 'x4', 0),
        ], advice: ['tabs-are-mountains']);
        // Turned over about its width, one strip's end comes to lie on the same end of the other.
        $meet = fn (string $x): array => array_map(fn (string $y): array => [$work->bench->at($x, $y), $work->bench->at($x, $y === 'bottom' ? 'top' : 'bottom')], ['bottom', 'top']);

        return [
            ...$scored, $fold,
            $work->step('glue', Deed::Glue, With::Tape, array_map(fn (Join $join) => new JoinOp($join, meet: $meet(explode('-', $join->face->face)[0])), $this->joins($figures))),
            $work->step('fill', Deed::Fill, null, advice: ['battery-lights-only']),
        ];
    }

    public function remedies(string $fit, Figures $figures): array
    {
        return match ($fit) {
            FromPaper::ID => FromPaper::remedies($figures->pieces),
            'comes-near-width' => CardSize::neighbours($fit, $figures->request, $figures->closed->width, $figures->request->tools->cut->size),
            'comes-near-height' => CardSize::neighbours($fit, $figures->request, $figures->closed->height, $figures->request->tools->cut->size),
            'sides-fold-in' => [new Remedy('usual-light', ['/options/light' => null])],
            default => [],
        };
    }
}
