<?php

declare(strict_types=1);

namespace Gimbo\Core\Make\LanternCard;

use Gimbo\Core\Crease\PatternBuilder;
use Gimbo\Core\Design\Axis;
use Gimbo\Core\Design\Design;
use Gimbo\Core\Design\Extents;
use Gimbo\Core\Design\FoldPlan;
use Gimbo\Core\Design\Place;
use Gimbo\Core\Fit\Dimension;
use Gimbo\Core\Fit\Fit;
use Gimbo\Core\Fit\MakeUp;
use Gimbo\Core\Fit\Remedy;
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
 * Two faces that stand apart around a battery light and fold flat: two equal strips, glued tab to tab.
 *
 * Formulas: docs/formulas.md, "Lantern card".
 */
final readonly class LanternCard implements Make
{
    public function id(): string
    {
        return 'lantern-card';
    }

    public function holds(): array
    {
        return [HeldKind::CardToMake];
    }

    public function options(): array
    {
        return [OptionSpec::length('light')];
    }

    /** 38 mm for a common battery light; common practice, no source. */
    public function chosenLengths(SizingRequest $request): array
    {
        return ['light' => $request->options->length('light') ?? Length::mm(38)];
    }

    public function usualClearance(Item $item): Clearance
    {
        return CardSize::noClearance();
    }

    public function design(SizingRequest $request): Design
    {
        $light = $this->chosenLengths($request)['light'];
        $bellows = Strip::atLeast(MakeUp::of(new Term(TermKind::Light, $light->timesNearest(1, 2), null, $light)));
        $grid = new GridSheet(
            GridAxis::of(Axis::Width, [$bellows, $bellows], CardSize::part($request, Dimension::Width), [$bellows, $bellows], $request->tools, isContained: true),
            GridAxis::of(Axis::Height, [], CardSize::part($request, Dimension::Height), [], $request->tools, isContained: true),
        );
        $pattern = (new PatternBuilder)
            ->face('front', $grid->cell(2, 0))
            ->face('left-side', $grid->cell(1, 0))->hinge('front', 'left-side', 180, 'x2')
            ->face('right-side', $grid->cell(3, 0))->hinge('front', 'right-side', 180, 'x3')
            ->face('left-tab', $grid->cell(0, 0))->hinge('left-side', 'left-tab', -180, 'x1')
            ->face('right-tab', $grid->cell(4, 0))->hinge('right-side', 'right-tab', -180, 'x4')
            ->layers('front', 'left-side', 'right-side', 'left-tab', 'right-tab')
            ->build();
        $strip = GridPiece::of('strip', $grid, $pattern, count: 2);
        $piece = $strip->placed(Place::asItLies(), Place::turnedOver($strip->sheet, $strip->sheet, 2 * count($pattern->layers) * FoldPlan::lift($request->paper)));
        [$face, $side, $height] = [$grid->columns->main(), $grid->columns->width(1), $grid->rows->main()];
        $apart = $side->times(2);

        return new Design(
            $request, [$piece], new Extents($face, $height, $apart), new Extents($face, $height, $request->paper->caliper->times(6)),
            [
                ...CardSize::fits($request, $face, $height),
                Fit::plain('light-stands-between', $light, $apart, $light, Fit::handMiss()->times(2)),
                Fit::plain('sides-fold-in', $apart, $face, $apart, Fit::handMiss()),
                ...FromPaper::fits([$piece], $request),
            ],
            [
                ...GridWork::cutAndScore($piece),
                new WorkStep(Deed::Fold, $piece->id, faces: ['left-side', 'right-side', 'left-tab', 'right-tab'], onto: 'front'),
                new WorkStep(Deed::Glue, $piece->id, faces: ['left-tab', 'right-tab'], onto: 'left-tab'),
                new WorkStep(Deed::Fill, $piece->id, advice: ['battery-lights-only']),
            ],
        );
    }

    public function remedies(string $fit, Design $design): array
    {
        return match ($fit) {
            FromPaper::ID => FromPaper::remedies($design->pieces),
            'sides-fold-in' => [new Remedy('usual-light', ['/options/light' => null])],
            default => [],
        };
    }
}
