<?php

declare(strict_types=1);

namespace Gimbo\Core\Make\CornerPouch;

use Gimbo\Core\Fit\Dimension;
use Gimbo\Core\Make\Faces;
use Gimbo\Core\Make\HeldKind;
use Gimbo\Core\Make\Make;
use Gimbo\Core\Make\PaperKind;
use Gimbo\Core\Make\Shape;
use Gimbo\Core\Make\Shared\FlatRoom;
use Gimbo\Core\Make\Shared\FromPaper;
use Gimbo\Core\Make\Shared\Girth;
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
use Gimbo\Core\Sheet\Measure;
use Gimbo\Core\Sheet\MeasureKind;
use Gimbo\Core\Sheet\Planning;
use Gimbo\Core\Sheet\TurnedLayout;
use Gimbo\Core\Spec\Clearance;
use Gimbo\Core\Spec\Item;
use Gimbo\Core\Spec\SizingRequest;
use Gimbo\Core\Steps\Deed;
use Gimbo\Core\Steps\With;

/**
 * A pouch open at the top, from a square on its corner: sides and bottom folded in, the top corner left standing.
 *
 * Sized by girth. Formulas: docs/formulas.md, "Corner pouch".
 */
final readonly class CornerPouch implements Make
{
    private const PIECE = 'pouch';

    /** Front, a side flap and the bottom flap; where the side flaps meet in the middle, both of them. */
    private const LAYERS = 3;

    public function id(): string
    {
        return 'corner-pouch';
    }

    public function body(): array
    {
        return [self::PIECE];
    }

    public function holds(): array
    {
        return [HeldKind::Packet, HeldKind::ThickCard];
    }

    public function options(): array
    {
        return [
            TurnedMethod::option(),
            Girth::option(),
            TurnedMethod::seamOption(),
        ];
    }

    public function chosenLengths(SizingRequest $request): array
    {
        return TurnedMethod::isPunch($request) ? [] : ['seam' => TurnedMethod::seam($request)];
    }

    public function usualClearance(Item $item, System $system): Clearance
    {
        return FlatRoom::usualClearance($item);
    }

    public function plan(SizingRequest $request, Planning $planning): Plan
    {
        return TurnedMethod::plan($request, $planning, self::PIECE, Girth::of($request, Dimension::Width), Girth::of($request, Dimension::Height));
    }

    public function settle(Plan $plan): Figures
    {
        $request = $plan->request;
        $layout = $plan->square(self::PIECE);
        $square = $layout->square;
        $piece = PieceFigures::ofSquare(self::PIECE, $layout, self::measures($layout));
        $t = $request->paper->caliper;
        [$width, $height] = [Length::nearestTo($square->width), Length::nearestTo($square->height)];
        $inside = FlatRoom::inside($request, $width, $height, [Girth::bulge($request, Dimension::Width), Girth::bulge($request, Dimension::Height)]);
        $standing = Length::nearestTo($square->reach(Flap::TOP));
        $closed = new Extents($width->plus($t), $height->plus($t, $standing), $t->times(self::LAYERS + (int) ($layout->sidesOverlap() > 0))->plus($request->item->stack()));
        $fits = new TurnedFits($request, $layout, false);

        return new Figures($request, $plan->settings, [$piece], $inside, $closed, [
            ...$fits->room($inside), ...$fits->seams(), ...FromPaper::fits([$piece], $request),
        ]);
    }

    public function shape(Figures $figures, string $piece): Shape
    {
        $layout = $figures->square($piece);

        return TurnedMethod::shape($layout, (new TurnedPattern($piece, $layout, $figures->request, ! TurnedMethod::isPunch($figures->request)))->pouch(), $figures->request->item->face(), false);
    }

    public function joins(Figures $figures): array
    {
        return TurnedPattern::pouchSeams(self::PIECE);
    }

    public function stock(): PaperKind
    {
        return PaperKind::Envelope;
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
        $work = TurnedWork::on($figures->piece(self::PIECE), $figures->request, isOpenAbove: true);

        return [
            ...$work->upToFolding(),
            // Bottom first, then what it holds, the sides last.
            $work->fold([Flap::BOTTOM], id: 'fold/bottom'),
            $work->step('fill', Deed::Fill, null, advice: ['fill-before-the-last-flap']),
            $work->fold([Flap::LEFT, Flap::RIGHT], id: 'fold/sides', isFirst: false),
            $work->glue('glue', With::Tape, $this->joins($figures)),
        ];
    }

    public function remedies(string $fit, Figures $figures): array
    {
        return TurnedRemedies::for($fit, $figures);
    }

    /** @return list<Measure> without what would score or trim the top corner, which stays up */
    private static function measures(TurnedLayout $layout): array
    {
        $isTopAlone = fn (Measure $measure): bool => $measure->creases === [Flap::TOP] && in_array($measure->kind, [MeasureKind::Score, MeasureKind::Trim], true);

        return array_values(array_filter($layout->measures(), fn (Measure $measure) => ! $isTopAlone($measure)));
    }
}
