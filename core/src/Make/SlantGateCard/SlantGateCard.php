<?php

declare(strict_types=1);

namespace Gimbo\Core\Make\SlantGateCard;

use Gimbo\Core\Crease\FaceRole;
use Gimbo\Core\Crease\Pattern;
use Gimbo\Core\Crease\PatternBuilder;
use Gimbo\Core\Fit\Dimension;
use Gimbo\Core\Fit\Fit;
use Gimbo\Core\Fit\MakeUp;
use Gimbo\Core\Fit\Remedy;
use Gimbo\Core\Fit\Term;
use Gimbo\Core\Fit\TermKind;
use Gimbo\Core\Geometry\Point;
use Gimbo\Core\Geometry\Polygon;
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
use Gimbo\Core\Sheet\GridPlan;
use Gimbo\Core\Sheet\GridSheet;
use Gimbo\Core\Sheet\Measure;
use Gimbo\Core\Sheet\MeasureKind;
use Gimbo\Core\Sheet\NothingLeft;
use Gimbo\Core\Sheet\Planning;
use Gimbo\Core\Sheet\RailLine;
use Gimbo\Core\Sheet\Settings;
use Gimbo\Core\Sheet\Strip;
use Gimbo\Core\Spec\Clearance;
use Gimbo\Core\Spec\Item;
use Gimbo\Core\Spec\Row;
use Gimbo\Core\Spec\SizingRequest;
use Gimbo\Core\Steps\Deed;
use Gimbo\Core\Steps\Op\FoldOp;
use Gimbo\Core\Steps\Op\LineKind;
use Gimbo\Core\Steps\Op\NameOp;
use Gimbo\Core\Steps\Op\Waste;
use Gimbo\Core\Steps\With;
use Gimbo\Core\Steps\WorkStep;

/**
 * Two flaps with slanted edges that wrap over each other.
 *
 * Each slanted cut is set on the rail without marking: one point lies on the rail, the sheet's corner at a reading k on
 * the ruler. k is what the trimmer can be set to; tip and foot follow from it. Formulas: docs/formulas.md, "Slant-gate card".
 */
final readonly class SlantGateCard implements Make
{
    private const PIECE = 'card';

    private const TIP = 'tip';

    private const FOOT = 'foot';

    public function id(): string
    {
        return 'slant-gate-card';
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
        return [Row::length('flap')->lessened(5), Row::length('tipDrop'), Row::length('footInset')];
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

    public function usualClearance(Item $item, System $system): Clearance
    {
        return CardSize::noClearance();
    }

    public function plan(SizingRequest $request, Planning $planning): Plan
    {
        $chosen = $this->chosenLengths($request);
        $flaps = [Strip::atMost('flaps', MakeUp::of(new Term(TermKind::Flap, $chosen['flap'])))];
        $sheet = new GridPlan(
            AxisPlan::of($planning, self::PIECE, Axis::Width, $flaps, CardSize::part($request, Dimension::Width), $flaps, isContained: true),
            AxisPlan::of($planning, self::PIECE, Axis::Height, [], CardSize::part($request, Dimension::Height), [], isContained: true),
        );
        $grid = $sheet->settle($planning->settings());
        [$reach, $height] = [$grid->columns->width(0)->toMillimetres(), $grid->rows->main()->toMillimetres()];
        $tip = RailCut::plan($planning, self::PIECE, self::TIP, $reach, $chosen['tipDrop']->toMillimetres(), $height);
        RailCut::plan($planning, self::PIECE, self::FOOT, $height - $tip, $chosen['footInset']->toMillimetres(), $reach);

        return new Plan($request, $planning->settings(), [self::PIECE => $sheet]);
    }

    public function settle(Plan $plan): Figures
    {
        $request = $plan->request;
        $grid = $plan->grid(self::PIECE);
        [$reach, $width, $height] = [$grid->columns->width(0)->toMillimetres(), $grid->columns->main(), $grid->rows->main()];
        [$tip, $foot] = self::offCorners($grid, $plan->settings);
        $piece = PieceFigures::ofGrid(self::PIECE, $grid, self::cuts($grid, $plan->settings, $tip, $foot));
        $miss = Fit::handMiss();

        return new Figures(
            $request, $plan->settings, [$piece], new Extents($width, $height, Length::zero()), CardSize::closed($request, $width, $height, $request->paper->caliper->times(3)),
            [
                ...CardSize::fits($request, $width, $height),
                ...CardSize::near($request, $width, $height),
                Fit::plain('tips-overlap', Length::zero(), Length::nearestTo(2 * $reach)->minus($width), Length::zero(), $miss->times(2)),
                Fit::plain('feet-meet', $width, Length::nearestTo(2 * ($reach - $foot)), $width, $miss->times(2)),
                Fit::plain('flaps-stay-inside', Length::zero(), $width->minus($grid->columns->width(0)), Length::zero(), $miss),
                ...FromPaper::fits([$piece], $request),
            ],
        );
    }

    public function shape(Figures $figures, string $piece): Shape
    {
        $grid = $figures->grid($piece);

        return new Shape(self::pattern($grid, ...self::offCorners($grid, $figures->settings)));
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
        return new Faces(isHeldByBand: true, seenInside: ['card/front']);
    }

    public function loose(Figures $figures): array
    {
        return [];
    }

    public function steps(Figures $figures): array
    {
        $work = GridWork::on($figures->piece(self::PIECE));
        $scored = $work->cutAndScore();

        return [
            ...$scored,
            ...self::slants($work, $figures->piece(self::PIECE)),
            $work->step('fold', Deed::Fold, With::BoneFolder, [
                $work->name('front', FaceRole::Panel, 1, 0), self::nameFlap($work, 'left', 1, -1), self::nameFlap($work, 'right', 2, 1),
                ...self::folds($work),
            ]),
        ];
    }

    /** By a point near the score, where no slant has come to. */
    private static function nameFlap(GridWork $work, string $side, int $column, int $out): NameOp
    {
        return $work->bench->name("$side-flap", FaceRole::Flap, $work->grid->columns->edge($column) + $out * $work->grid->columns->width($column === 1 ? 0 : 2)->toMillimetres() / 50, $work->bench->height / 2);
    }

    /** @return list<FoldOp> */
    private static function folds(GridWork $work): array
    {
        return [$work->foldOnX('left-flap', 'front', 180, 'x1', 0), $work->foldOnX('right-flap', 'front', 180, 'x2', 0)];
    }

    public function remedies(string $fit, Figures $figures): array
    {
        return match ($fit) {
            FromPaper::ID => FromPaper::remedies($figures->pieces),
            'comes-near-width' => CardSize::neighbours($fit, $figures->request, $figures->closed->width, $figures->request->tools->cut->size),
            'comes-near-height' => CardSize::neighbours($fit, $figures->request, $figures->closed->height, $figures->request->tools->cut->size),
            'tips-overlap', 'feet-meet', 'flaps-stay-inside' => [
                new Remedy('usual-foot', ['/options/footInset' => null]),
                new Remedy('usual-flaps', ['/options/flap' => null, '/options/tipDrop' => null, '/options/footInset' => null]),
            ],
            default => [],
        };
    }

    /**
     * What is read on the ruler stays, wherever the score and the tip really are.
     *
     * @return array{float, float} how far down the tip is, and how far in the foot, mm
     *
     * @throws NothingLeft where a cut misses the edge it should come out at
     */
    private static function offCorners(GridSheet $grid, Settings $settings): array
    {
        [$reach, $height] = [$grid->columns->width(0)->toMillimetres(), $grid->rows->main()->toMillimetres()];
        $tip = RailCut::meets($settings->find(self::PIECE, self::TIP), $reach, $height);

        return [$tip, RailCut::meets($settings->find(self::PIECE, self::FOOT), $height - $tip, $reach)];
    }

    /**
     * The rail settings: the upper corner of each flap, on the rail the end of its score; then the lower one, on the rail the tip.
     *
     * @return list<Measure>
     */
    private static function cuts(GridSheet $grid, Settings $settings, float $tip, float $foot): array
    {
        [$w, $h, $f] = [$grid->columns->total->toMillimetres(), $grid->rows->total->toMillimetres(), $grid->columns->edge(1)];
        $measures = [];
        foreach (['top' => self::TIP, 'bottom' => self::FOOT] as $end => $name) {
            $setting = $settings->find(self::PIECE, $name);
            if ($setting === null) {
                continue;
            }
            foreach (['left', 'right'] as $side) {
                $at = fn (float $x, float $y): Point => new Point($side === 'left' ? $x : $w - $x, $y);
                $rail = $end === 'top' ? new RailLine($at($f, $h), $at(0, $h - $tip), $at(0, $h)) : new RailLine($at(0, $h - $tip), $at($foot, 0), $at(0, 0));
                $measures[] = Measure::of($setting, MeasureKind::Trim, Axis::Edge, "$end-$side", rail: $rail);
            }
        }

        return $measures;
    }

    /**
     * One for each slanted cut: on the rail the end of a flap's score, and for the lower ones the tip that the upper cut made; the corner as far
     * beside the rail as the ruler says.
     *
     * @return list<WorkStep>
     */
    private static function slants(GridWork $work, PieceFigures $piece): array
    {
        $bench = $work->bench;
        $steps = [];
        foreach ($piece->measures as $i => $measure) {
            if ($measure->rail === null) {
                continue;
            }
            [$end, $side] = explode('-', $measure->from);
            // A trimmer too coarse for the upper cut leaves the corner itself.
            $tip = $bench->knows("tip-$side") ? "tip-$side" : 'top';
            $isUpper = $end === 'top';
            $on = $isUpper ? $bench->at($side === 'left' ? 'x1' : 'x2', 'top') : $bench->at($side, $tip);
            $meets = $isUpper ? $side : 'bottom';
            $rail = $bench->rail($on, $measure->from, $measure->at->toMillimetres(), $meets);
            $out = $bench->at($rail, $meets);
            $cut = $bench->draw(LineKind::Cut, ($isUpper ? 'tip' : 'foot')."-$side", $rail, $on, $out, $i);
            $advice = [$isUpper ? 'score-end-on-the-rail' : 'tip-on-the-rail', ...($side === 'right' && $isUpper ? ['left-and-right-are-mirror-images'] : [])];
            $steps[] = $work->step("slant/$measure->from", Deed::CutAway, With::Trimmer, [$cut, $bench->away(Waste::Taper, $on, $bench->at($side, $end), $out)], $measure->rail->turnDegrees(), $measure->from, advice: $advice, about: ["$side-flap"]);
        }

        return $steps;
    }

    private static function pattern(GridSheet $grid, float $tipDrop, float $footInset): Pattern
    {
        [$w, $h, $x1, $x2] = [$grid->columns->total->toMillimetres(), $grid->rows->total->toMillimetres(), $grid->columns->edge(1), $grid->columns->edge(2)];

        return (new PatternBuilder)
            ->face('front', $grid->cell(1, 0))
            ->face('left-flap', Polygon::of([new Point($x1, 0), new Point($x1, $h), new Point(0, $h - $tipDrop), new Point($footInset, 0)]), FaceRole::Flap)
            ->face('right-flap', Polygon::of([new Point($x2, 0), new Point($w - $footInset, 0), new Point($w, $h - $tipDrop), new Point($x2, $h)]), FaceRole::Flap)
            ->hinge('front', 'left-flap', 180, 'x1')->hinge('front', 'right-flap', 180, 'x2')
            ->twins('left-flap', 'right-flap')
            ->layers('front', 'left-flap', 'right-flap')
            ->build();
    }
}
