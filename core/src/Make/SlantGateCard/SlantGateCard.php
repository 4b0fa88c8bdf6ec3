<?php

declare(strict_types=1);

namespace Gimbo\Core\Make\SlantGateCard;

use Gimbo\Core\Crease\Pattern;
use Gimbo\Core\Crease\PatternBuilder;
use Gimbo\Core\Design\Axis;
use Gimbo\Core\Design\Design;
use Gimbo\Core\Design\Extents;
use Gimbo\Core\Design\Measure;
use Gimbo\Core\Design\MeasureKind;
use Gimbo\Core\Design\Piece;
use Gimbo\Core\Design\RailLine;
use Gimbo\Core\Fit\Dimension;
use Gimbo\Core\Fit\Fit;
use Gimbo\Core\Fit\MakeUp;
use Gimbo\Core\Fit\Remedy;
use Gimbo\Core\Fit\Term;
use Gimbo\Core\Fit\TermKind;
use Gimbo\Core\Geometry\Point;
use Gimbo\Core\Geometry\Polygon;
use Gimbo\Core\Make\HeldKind;
use Gimbo\Core\Make\Make;
use Gimbo\Core\Make\Shared\CardSize;
use Gimbo\Core\Make\Shared\FromPaper;
use Gimbo\Core\Make\Shared\GridPiece;
use Gimbo\Core\Make\Shared\GridWork;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Measure\Step;
use Gimbo\Core\Request\Clearance;
use Gimbo\Core\Request\Item;
use Gimbo\Core\Request\OptionSpec;
use Gimbo\Core\Request\SizingRequest;
use Gimbo\Core\Sheet\GridAxis;
use Gimbo\Core\Sheet\GridSheet;
use Gimbo\Core\Sheet\Strip;
use Gimbo\Core\Steps\Deed;
use Gimbo\Core\Steps\WorkStep;
use Gimbo\Core\Tool\ToolKind;
use Gimbo\Core\Tool\Tools;

/**
 * Two flaps with slanted edges that wrap over each other.
 *
 * Each slanted cut is set on the rail without marking: one point lies on the rail, the sheet's corner at a reading k on
 * the ruler. k is what the trimmer can be set to; tip and foot follow from it. Formulas: docs/formulas.md, "Slant-gate card".
 */
final readonly class SlantGateCard implements Make
{
    public function id(): string
    {
        return 'slant-gate-card';
    }

    public function holds(): array
    {
        return [HeldKind::CardToMake];
    }

    public function options(): array
    {
        return [OptionSpec::length('flap'), OptionSpec::length('tipDrop'), OptionSpec::length('footInset')];
    }

    /** Common practice, no source: a flap of four fifths of the front, its tip three tenths down, its foot three tenths in. */
    public function chosenLengths(SizingRequest $request): array
    {
        $options = $request->options;
        $flap = $options->length('flap') ?? $request->item->width->timesNearest(4, 5);

        return [
            'flap' => $flap,
            'tipDrop' => $options->length('tipDrop') ?? $request->item->height->timesNearest(3, 10),
            'footInset' => $options->length('footInset') ?? $flap->timesNearest(3, 10),
        ];
    }

    public function usualClearance(Item $item): Clearance
    {
        return CardSize::noClearance();
    }

    public function design(SizingRequest $request): Design
    {
        $chosen = $this->chosenLengths($request);
        [$grid, $planned] = [self::grid($request, $chosen['flap'], $request->tools), self::grid($request, $chosen['flap'], $request->tools->unmoved())];
        [$reach, $width, $height] = [$grid->columns->width(0)->toMillimetres(), $grid->columns->main(), $grid->rows->main()];
        [$tip, $foot] = self::railCuts($planned, $chosen, $request->tools->cut);
        // What is read on the ruler stays, wherever the score and the tip really are.
        $tip = $tip->where($reach, $request->tools->moved('tip'), $height->toMillimetres());
        $foot = $foot->where($height->toMillimetres() - $tip->other, $request->tools->moved('foot'), $reach);
        $piece = GridPiece::of('card', $grid, self::pattern($grid, $tip->other, $foot->other), more: self::cuts($grid, $tip, $foot));
        $miss = Fit::handMiss();
        $feet = Length::nearestTo(2 * ($reach - $foot->other));

        return new Design(
            $request, [$piece], new Extents($width, $height, Length::zero()), new Extents($width, $height, $request->paper->caliper->times(3)),
            [
                ...CardSize::fits($request, $width, $height),
                Fit::plain('tips-overlap', Length::zero(), Length::nearestTo(2 * $reach)->minus($width), Length::zero(), $miss->times(2)),
                Fit::plain('feet-meet', $width, $feet, $width, $miss->times(2)),
                Fit::plain('flaps-stay-inside', Length::zero(), $width->minus($grid->columns->width(0)), Length::zero(), $miss),
                ...FromPaper::fits([$piece], $request),
            ],
            [
                ...GridWork::cutAndScore($piece),
                ...self::slants($piece),
                new WorkStep(Deed::Fold, $piece->id, faces: ['left-flap', 'right-flap'], onto: 'front'),
            ],
        );
    }

    private static function grid(SizingRequest $request, Length $flap, Tools $tools): GridSheet
    {
        $flaps = [Strip::atMost(MakeUp::of(new Term(TermKind::Flap, $flap)))];

        return new GridSheet(
            GridAxis::of(Axis::Width, $flaps, CardSize::part($request, Dimension::Width), $flaps, $tools, isContained: true),
            GridAxis::of(Axis::Height, [], CardSize::part($request, Dimension::Height), [], $tools, isContained: true),
        );
    }

    /**
     * @param array<string, Length> $chosen
     * @return array{RailCut, RailCut} that of the tip, and that of the foot from there
     */
    private static function railCuts(GridSheet $grid, array $chosen, Step $step): array
    {
        [$reach, $height] = [$grid->columns->width(0)->toMillimetres(), $grid->rows->main()->toMillimetres()];
        $tip = RailCut::reaching($reach, $chosen['tipDrop']->toMillimetres(), $height, $step);

        return [$tip, RailCut::reaching($height - $tip->other, $chosen['footInset']->toMillimetres(), $reach, $step)];
    }

    public function remedies(string $fit, Design $design): array
    {
        return match ($fit) {
            FromPaper::ID => FromPaper::remedies($design->pieces),
            'tips-overlap', 'feet-meet', 'flaps-stay-inside' => [
                new Remedy('usual-foot', ['/options/footInset' => null]),
                new Remedy('usual-flaps', ['/options/flap' => null, '/options/tipDrop' => null, '/options/footInset' => null]),
            ],
            default => [],
        };
    }

    /**
     * The rail settings: the upper corner of each flap, on the rail the end of its score; then the lower one, on the rail the tip.
     *
     * @return list<Measure>
     */
    private static function cuts(GridSheet $grid, RailCut $tip, RailCut $foot): array
    {
        [$w, $h, $f] = [$grid->columns->total->toMillimetres(), $grid->rows->total->toMillimetres(), $grid->columns->edge(1)];
        $measures = [];
        foreach (['top' => $tip, 'bottom' => $foot] as $end => $cut) {
            foreach ($cut->reading->isZero() ? [] : ['left', 'right'] as $side) {
                $at = fn (float $x, float $y): Point => new Point($side === 'left' ? $x : $w - $x, $y);
                $rail = $end === 'top' ? new RailLine($at($f, $h), $at(0, $h - $cut->other), $at(0, $h)) : new RailLine($at(0, $h - $tip->other), $at($cut->other, 0), $at(0, 0));
                $measures[] = new Measure(MeasureKind::Trim, ToolKind::Trimmer, Axis::Edge, "$end-$side", $cut->reading, $cut->madeOf, setting: $end === 'top' ? 'tip' : 'foot', rail: $rail);
            }
        }

        return $measures;
    }

    /** @return list<WorkStep> one for each slanted cut, with what lies on the rail */
    private static function slants(Piece $piece): array
    {
        $steps = [];
        foreach ($piece->measures as $i => $measure) {
            if ($measure->rail !== null) {
                [$end, $side] = explode('-', $measure->from);
                $advice = [$end === 'top' ? 'score-end-on-the-rail' : 'tip-on-the-rail', ...($side === 'right' && $end === 'top' ? ['left-and-right-are-mirror-images'] : [])];
                $steps[] = new WorkStep(Deed::Slant, $piece->id, with: ToolKind::Trimmer, measures: [$i], faces: ["$side-flap"], advice: $advice);
            }
        }

        return $steps;
    }

    private static function pattern(GridSheet $grid, float $tipDrop, float $footInset): Pattern
    {
        [$w, $h, $x1, $x2] = [$grid->columns->total->toMillimetres(), $grid->rows->total->toMillimetres(), $grid->columns->edge(1), $grid->columns->edge(2)];

        return (new PatternBuilder)
            ->face('front', $grid->cell(1, 0))
            ->face('left-flap', Polygon::of([new Point($x1, 0), new Point($x1, $h), new Point(0, $h - $tipDrop), new Point($footInset, 0)]))
            ->face('right-flap', Polygon::of([new Point($x2, 0), new Point($w - $footInset, 0), new Point($w, $h - $tipDrop), new Point($x2, $h)]))
            ->hinge('front', 'left-flap', 180, 'x1')->hinge('front', 'right-flap', 180, 'x2')
            ->layers('front', 'left-flap', 'right-flap')
            ->build();
    }
}
