<?php

declare(strict_types=1);

namespace Gimbo\Core\Make\DiagonalEnvelope;

use Gimbo\Core\Design\Design;
use Gimbo\Core\Design\Extents;
use Gimbo\Core\Design\Piece;
use Gimbo\Core\Fit\Dimension;
use Gimbo\Core\Make\HeldKind;
use Gimbo\Core\Make\Make;
use Gimbo\Core\Make\Shared\FlatRoom;
use Gimbo\Core\Make\Shared\FromPaper;
use Gimbo\Core\Make\Shared\TurnedFits;
use Gimbo\Core\Make\Shared\TurnedMethod;
use Gimbo\Core\Make\Shared\TurnedPiece;
use Gimbo\Core\Make\Shared\TurnedRemedies;
use Gimbo\Core\Make\Shared\TurnedWork;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Request\Clearance;
use Gimbo\Core\Request\Item;
use Gimbo\Core\Request\OptionSpec;
use Gimbo\Core\Request\SizingRequest;
use Gimbo\Core\Sheet\Flap;
use Gimbo\Core\Steps\Deed;
use Gimbo\Core\Steps\WorkStep;

/**
 * An envelope from a square turned on its corner.
 *
 * The face always lies with its longer side along the opening; a portrait card goes in turned. Formulas:
 * docs/formulas.md, "Diagonal envelope".
 */
final readonly class DiagonalEnvelope implements Make
{
    /** Front, a side flap, bottom and top flap: so many layers lie on one another at most. */
    private const LAYERS = 4;

    public function id(): string
    {
        return 'diagonal-envelope';
    }

    public function holds(): array
    {
        return [HeldKind::Card];
    }

    public function options(): array
    {
        return [
            TurnedMethod::option(),
            OptionSpec::length('seam')->onlyWith('method', TurnedMethod::SCORE),
        ];
    }

    public function chosenLengths(SizingRequest $request): array
    {
        return TurnedMethod::isPunch($request) ? [] : ['seam' => TurnedMethod::seam($request)];
    }

    public function usualClearance(Item $item): Clearance
    {
        return FlatRoom::usualClearance($item);
    }

    public function design(SizingRequest $request): Design
    {
        $width = FlatRoom::needed($request, Dimension::Width);
        $height = FlatRoom::needed($request, Dimension::Height);
        $isUpright = $width->figure()->isLessThan($height->figure());
        [$wide, $high] = $isUpright ? [$height, $width] : [$width, $height];
        $layout = TurnedMethod::layout($request, $wide, $high);
        $square = $layout->square;
        $pattern = $square->envelope($layout->sideTrim->toMillimetres(), $layout->longTrim->toMillimetres());
        $piece = TurnedPiece::of('envelope', $layout, $pattern, $request->item->face(), $isUpright, TurnedMethod::measures($layout));
        $face = new Extents(Length::nearestTo($isUpright ? $square->height : $square->width), Length::nearestTo($isUpright ? $square->width : $square->height), Length::zero());
        $t = $request->paper->caliper;
        $inside = FlatRoom::inside($request, $face->width, $face->height);
        $closed = new Extents($face->width->plus($t), $face->height->plus($t), $t->times(self::LAYERS)->plus($request->item->stack()));
        $fits = new TurnedFits($request, $layout, $isUpright);

        return new Design($request, [$piece], $inside, $closed, [...$fits->room($inside), ...$fits->seams(), $fits->closing(), ...FromPaper::fits([$piece], $request)], self::steps($piece, $request));
    }

    public function remedies(string $fit, Design $design): array
    {
        return TurnedRemedies::for($fit, $design);
    }

    /** Something thicker wants its closing flap folded by hand, where it comes to lie; common practice, no source. */
    private static function bulkyFrom(): Length
    {
        return Length::mm(4);
    }

    /** @return list<WorkStep> */
    private static function steps(Piece $piece, SizingRequest $request): array
    {
        $flaps = [Flap::LEFT, Flap::RIGHT, Flap::BOTTOM, Flap::TOP];
        $topAdvice = $request->item->stack()->isMoreThan(self::bulkyFrom()) ? ['fold-the-top-by-hand'] : [];

        return [
            ...TurnedWork::upToFolding($piece, $request, $flaps),
            new WorkStep(Deed::Fold, $piece->id, faces: $flaps, onto: Flap::FRONT, advice: $topAdvice),
            new WorkStep(Deed::TryFit, $piece->id, advice: ['lay-it-in']),
            new WorkStep(Deed::Glue, $piece->id, faces: [Flap::BOTTOM], onto: Flap::LEFT, advice: ['leave-the-top-free']),
            new WorkStep(Deed::Fill, $piece->id),
            new WorkStep(Deed::Close, $piece->id, faces: [Flap::TOP], onto: Flap::BOTTOM),
        ];
    }
}
