<?php

declare(strict_types=1);

namespace Gimbo\Core\Make\DiagonalEnvelope;

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
use Gimbo\Core\Sheet\Planning;
use Gimbo\Core\Spec\Clearance;
use Gimbo\Core\Spec\Item;
use Gimbo\Core\Spec\SizingRequest;
use Gimbo\Core\Steps\Deed;
use Gimbo\Core\Steps\With;

/**
 * An envelope from a square turned on its corner.
 *
 * The face always lies with its longer side along the opening; a portrait card goes in turned. Formulas:
 * docs/formulas.md, "Diagonal envelope".
 */
final readonly class DiagonalEnvelope implements Make
{
    private const PIECE = 'envelope';

    /** Front, a side flap, bottom and top flap; where the side flaps meet in the middle, both of them. */
    private const LAYERS = 4;

    public function id(): string
    {
        return 'diagonal-envelope';
    }

    public function body(): array
    {
        return [self::PIECE];
    }

    public function holds(): array
    {
        return [HeldKind::Card, HeldKind::Packet];
    }

    public function options(): array
    {
        return [
            TurnedMethod::option(),
            Girth::option()->forThickerThan(self::bulkyFrom()),
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
        $width = Girth::of($request, Dimension::Width);
        $height = Girth::of($request, Dimension::Height);
        [$wide, $high] = FlatRoom::isUpright($request) ? [$height, $width] : [$width, $height];

        return TurnedMethod::plan($request, $planning, self::PIECE, $wide, $high);
    }

    public function settle(Plan $plan): Figures
    {
        $request = $plan->request;
        $layout = $plan->square(self::PIECE);
        $isUpright = FlatRoom::isUpright($request);
        [$wide, $high] = [Length::nearestTo($layout->square->width), Length::nearestTo($layout->square->height)];
        [$width, $height] = $isUpright ? [$high, $wide] : [$wide, $high];
        $piece = PieceFigures::ofSquare(self::PIECE, $layout, $layout->measures());
        $t = $request->paper->caliper;
        $inside = FlatRoom::inside($request, $width, $height, [Girth::bulge($request, Dimension::Width), Girth::bulge($request, Dimension::Height)]);
        $closed = new Extents($width->plus($t), $height->plus($t), $t->times(self::LAYERS + (int) ($layout->sidesOverlap() > 0))->plus($request->item->stack()));
        $fits = new TurnedFits($request, $layout, $isUpright);

        return new Figures($request, $plan->settings, [$piece], $inside, $closed, [
            ...$fits->room($inside), ...$fits->seams(), $fits->closing(), ...FromPaper::fits([$piece], $request),
        ]);
    }

    public function shape(Figures $figures, string $piece): Shape
    {
        $layout = $figures->square($piece);

        return TurnedMethod::shape($layout, (new TurnedPattern($piece, $layout, $figures->request))->envelope(), $figures->request->item->face(), FlatRoom::isUpright($figures->request));
    }

    public function joins(Figures $figures): array
    {
        return TurnedPattern::seams(self::PIECE);
    }

    public function stock(): PaperKind
    {
        return PaperKind::Envelope;
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
        $topAdvice = $figures->request->item->stack()->isMoreThan(self::bulkyFrom()) ? ['fold-the-top-by-hand'] : [];

        return [
            ...$work->upToFolding(),
            $work->fold([Flap::LEFT, Flap::RIGHT, Flap::BOTTOM, Flap::TOP], $topAdvice),
            $work->step('try', Deed::TryFit, null, advice: ['lay-it-in']),
            $work->glue('glue', With::Tape, $this->joins($figures), ['leave-the-top-free']),
            $work->step('fill', Deed::Fill, null),
            $work->step('close', Deed::Close, null, about: [Flap::TOP]),
        ];
    }

    public function remedies(string $fit, Figures $figures): array
    {
        return TurnedRemedies::for($fit, $figures);
    }

    /** Something thicker wants its closing flap folded by hand, where it comes to lie; common practice, no source. */
    private static function bulkyFrom(): Length
    {
        return Length::mm(4);
    }
}
