<?php

declare(strict_types=1);

namespace Gimbo\Core\Make\DeepEnvelope;

use Gimbo\Core\Fit\Dimension;
use Gimbo\Core\Fit\MakeUp;
use Gimbo\Core\Fit\Remedy;
use Gimbo\Core\Fit\Term;
use Gimbo\Core\Fit\TermKind;
use Gimbo\Core\Make\Faces;
use Gimbo\Core\Make\HeldKind;
use Gimbo\Core\Make\Make;
use Gimbo\Core\Make\PaperKind;
use Gimbo\Core\Make\Shape;
use Gimbo\Core\Make\Shared\BoxRoom;
use Gimbo\Core\Make\Shared\FlatRoom;
use Gimbo\Core\Make\Shared\FromPaper;
use Gimbo\Core\Make\Shared\TurnedFits;
use Gimbo\Core\Make\Shared\TurnedMethod;
use Gimbo\Core\Make\Shared\TurnedPattern;
use Gimbo\Core\Make\Shared\TurnedRemedies;
use Gimbo\Core\Make\Shared\TurnedWork;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Measure\System;
use Gimbo\Core\Settle\Extents;
use Gimbo\Core\Settle\Figures;
use Gimbo\Core\Settle\PieceFigures;
use Gimbo\Core\Settle\Plan;
use Gimbo\Core\Sheet\Flap;
use Gimbo\Core\Sheet\Planning;
use Gimbo\Core\Sheet\TipChoice;
use Gimbo\Core\Sheet\TopTip;
use Gimbo\Core\Spec\Clearance;
use Gimbo\Core\Spec\Item;
use Gimbo\Core\Spec\Row;
use Gimbo\Core\Spec\SizingRequest;
use Gimbo\Core\Steps\Deed;
use Gimbo\Core\Steps\With;

/**
 * An envelope with a gusset all round, from a square on its corner with two marks a side.
 *
 * The longer side of the face lies along the opening. Formulas: docs/formulas.md, "Deep envelope".
 */
final readonly class DeepEnvelope implements Make
{
    private const PIECE = 'envelope';

    /** Half of each gusset. */
    private const CALIPERS_ALONG = 1;

    /** And the tabs that are glued inside the bottom one. */
    private const CALIPERS_ACROSS = 2;

    /** Beyond the gusset's depth: half the front, half a side flap, the bottom flap and the top flap over it. */
    private const LAYERS_OVER = 3;

    public function id(): string
    {
        return 'deep-envelope';
    }

    public function body(): array
    {
        return [self::PIECE];
    }

    public function holds(): array
    {
        return [HeldKind::ThickCard, HeldKind::Set];
    }

    public function options(): array
    {
        return [
            TurnedMethod::option(), Row::length('depth')->lessened(7), TurnedMethod::seamOption(),
            Row::lengthOrZero('bottomShorter'),
            Row::choice('topTip', array_map(fn (TopTip $tip) => $tip->value, TopTip::cases())), Row::length('topTipBy'),
        ];
    }

    public function chosenLengths(SizingRequest $request): array
    {
        $tips = self::tips($request);

        return ['depth' => self::depth($request)->figure(), 'bottomShorter' => $tips->bottomShorter]
            + ($tips->top === TopTip::Kept ? [] : ['topTipBy' => $tips->by])
            + (TurnedMethod::isPunch($request) ? [] : ['seam' => TurnedMethod::seam($request)]);
    }

    /** Envelopes in a deep envelope; common practice, no source. */
    public function usualClearance(Item $item, System $system): Clearance
    {
        return new Clearance(Length::inches(1, 8), Length::inches(1, 8), BoxRoom::usualDepth($system));
    }

    public function plan(SizingRequest $request, Planning $planning): Plan
    {
        [$along, $across] = FlatRoom::isUpright($request) ? [Dimension::Height, Dimension::Width] : [Dimension::Width, Dimension::Height];

        return TurnedMethod::plan(
            $request, $planning, self::PIECE,
            BoxRoom::needed($request, $along, self::CALIPERS_ALONG), BoxRoom::needed($request, $across, self::CALIPERS_ACROSS), self::depth($request), self::tips($request),
        );
    }

    public function settle(Plan $plan): Figures
    {
        $request = $plan->request;
        $layout = $plan->square(self::PIECE);
        $isUpright = FlatRoom::isUpright($request);
        $piece = PieceFigures::ofSquare(self::PIECE, $layout, $layout->measures());
        $t = $request->paper->caliper;
        [$wide, $high] = [Length::nearestTo($layout->square->width), Length::nearestTo($layout->square->height)];
        [$across, $up] = $isUpright ? [$high, $wide] : [$wide, $high];
        $depths = array_map($layout->square->depth(...), [Flap::LEFT, Flap::RIGHT, Flap::BOTTOM, Flap::TOP]);
        [$least, $most] = [Length::nearestTo(min($depths)), Length::nearestTo(max($depths))];
        [$acrossPaper, $upPaper] = $isUpright ? [self::CALIPERS_ACROSS, self::CALIPERS_ALONG] : [self::CALIPERS_ALONG, self::CALIPERS_ACROSS];
        $inside = new Extents($across->minus($t->times($acrossPaper)), $up->minus($t->times($upPaper)), $least->minus($t));
        $fits = new TurnedFits($request, $layout, $isUpright);

        return new Figures(
            $request, $plan->settings, [$piece], $inside, new Extents($across->plus($t), $up->plus($t), $most->plus($t->times(self::LAYERS_OVER))),
            [...BoxRoom::fits($request, $inside, Length::max(...$fits->slips())), ...$fits->seams(), $fits->closing(), ...FromPaper::fits([$piece], $request)],
            BoxRoom::takes($request, $inside),
        );
    }

    public function shape(Figures $figures, string $piece): Shape
    {
        $layout = $figures->square($piece);

        return TurnedMethod::shape($layout, (new TurnedPattern($piece, $layout, $figures->request))->deepEnvelope(), $figures->request->item->face(), FlatRoom::isUpright($figures->request));
    }

    public function joins(Figures $figures): array
    {
        return [...TurnedPattern::seams(self::PIECE), ...TurnedPattern::tabs(self::PIECE)];
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
        $work = TurnedWork::on($figures->piece(self::PIECE), $figures->request);

        return [
            ...$work->upToFolding(),
            $work->fold([Flap::LEFT, Flap::RIGHT, Flap::BOTTOM, Flap::TOP]),
            $work->step('try', Deed::TryFit, null, advice: ['lay-it-in']),
            $work->glue('glue/tabs', With::Tape, TurnedPattern::tabs(self::PIECE), ['strong-tape-or-wet-glue']),
            $work->glue('glue/bottom', With::Tape, TurnedPattern::seams(self::PIECE), ['square-it-round-the-contents']),
            $work->step('fill', Deed::Fill, null),
            $work->step('close', Deed::Close, null, advice: ['dot-as-a-closed-pair'], about: [Flap::TOP]),
        ];
    }

    public function remedies(string $fit, Figures $figures): array
    {
        return $fit === 'card-fits-depth'
            ? [new Remedy('depth-from-contents', ['/options/depth' => null])]
            : TurnedRemedies::for($fit, $figures);
    }

    /** Its top tip is cut or turned in an inch from the point, unless it is asked otherwise; common practice, no source. */
    private static function tips(SizingRequest $request): TipChoice
    {
        $options = $request->options;
        $inch = $request->system === System::Imperial ? Length::inches(1) : Length::mm(25);

        return new TipChoice($options->length('bottomShorter') ?? Length::zero(), TopTip::from($options->choice('topTip')), $options->length('topTipBy') ?? $inch);
    }

    private static function depth(SizingRequest $request): MakeUp
    {
        $asked = $request->options->length('depth');

        return $asked === null ? BoxRoom::needed($request, Dimension::Depth, 1) : MakeUp::of(new Term(TermKind::Depth, $asked));
    }
}
