<?php

declare(strict_types=1);

namespace Gimbo\Core\Make\DeepEnvelope;

use Gimbo\Core\Design\Design;
use Gimbo\Core\Design\Extents;
use Gimbo\Core\Design\Piece;
use Gimbo\Core\Fit\Dimension;
use Gimbo\Core\Fit\MakeUp;
use Gimbo\Core\Fit\Remedy;
use Gimbo\Core\Fit\Term;
use Gimbo\Core\Fit\TermKind;
use Gimbo\Core\Make\HeldKind;
use Gimbo\Core\Make\Make;
use Gimbo\Core\Make\Shared\BoxRoom;
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
 * An envelope with a gusset all round, from a square on its corner with two marks a side.
 *
 * The longer side of the face lies along the opening. Formulas: docs/formulas.md, "Deep envelope".
 */
final readonly class DeepEnvelope implements Make
{
    public function id(): string
    {
        return 'deep-envelope';
    }

    public function holds(): array
    {
        return [HeldKind::ThickCard, HeldKind::Set];
    }

    public function options(): array
    {
        return [TurnedMethod::option(), OptionSpec::length('depth'), OptionSpec::length('seam')->onlyWith('method', TurnedMethod::SCORE)];
    }

    public function chosenLengths(SizingRequest $request): array
    {
        return ['depth' => self::depth($request)->figure()]
            + (TurnedMethod::isPunch($request) ? [] : ['seam' => TurnedMethod::seam($request)]);
    }

    /** Envelopes in a deep envelope; common practice, no source. */
    public function usualClearance(Item $item): Clearance
    {
        return new Clearance(Length::inches(1, 8), Length::inches(1, 8), Length::zero());
    }

    public function design(SizingRequest $request): Design
    {
        $width = BoxRoom::needed($request, Dimension::Width, 1);
        $height = BoxRoom::needed($request, Dimension::Height, 1);
        $isUpright = $width->figure()->isLessThan($height->figure());
        [$wide, $high] = $isUpright ? [$height, $width] : [$width, $height];
        $layout = TurnedMethod::layout($request, $wide, $high, self::depth($request));
        $square = $layout->square;
        $pattern = $square->deepEnvelope($layout->sideTrim->toMillimetres(), $layout->longTrim->toMillimetres());
        $piece = TurnedPiece::of('envelope', $layout, $pattern, $request->item->face(), $isUpright, TurnedMethod::measures($layout));
        $t = $request->paper->caliper;
        $across = Length::nearestTo($isUpright ? $square->height : $square->width);
        $up = Length::nearestTo($isUpright ? $square->width : $square->height);
        $deep = Length::nearestTo($square->depth);
        $inside = new Extents($across->minus($t), $up->minus($t), $deep->minus($t));
        $fits = new TurnedFits($request, $layout, $isUpright);

        return new Design(
            $request, [$piece], $inside, new Extents($across->plus($t), $up->plus($t), $deep->plus($t)),
            [...BoxRoom::fits($request, $inside, Length::max(...$fits->slips())), ...$fits->seams(), $fits->closing(), ...FromPaper::fits([$piece], $request)],
            self::steps($piece, $request), BoxRoom::takes($request, $inside),
        );
    }

    public function remedies(string $fit, Design $design): array
    {
        return $fit === 'card-fits-depth'
            ? [new Remedy('depth-from-contents', ['/options/depth' => null])]
            : TurnedRemedies::for($fit, $design);
    }

    private static function depth(SizingRequest $request): MakeUp
    {
        $asked = $request->options->length('depth');

        return $asked === null ? BoxRoom::needed($request, Dimension::Depth, 1) : MakeUp::of(new Term(TermKind::Depth, $asked));
    }

    /** @return list<WorkStep> */
    private static function steps(Piece $piece, SizingRequest $request): array
    {
        $flaps = [Flap::LEFT, Flap::RIGHT, Flap::BOTTOM, Flap::TOP];
        $gussets = ['left-gusset', 'right-gusset', 'bottom-gusset', 'top-gusset'];

        return [
            ...TurnedWork::upToFolding($piece, $request, $flaps),
            new WorkStep(Deed::CutOut, $piece->id, faces: ['top-gusset']),
            new WorkStep(Deed::Slit, $piece->id, faces: ['left-tab', 'right-tab']),
            new WorkStep(Deed::Fold, $piece->id, faces: [...$gussets, ...$flaps], onto: Flap::FRONT),
            new WorkStep(Deed::TryFit, $piece->id, advice: ['lay-it-in']),
            new WorkStep(Deed::Glue, $piece->id, faces: ['left-tab', 'right-tab', Flap::BOTTOM], onto: 'bottom-gusset', advice: ['square-it-round-the-contents', 'strong-tape-or-wet-glue']),
            new WorkStep(Deed::Fill, $piece->id),
            new WorkStep(Deed::Close, $piece->id, faces: [Flap::TOP], onto: Flap::BOTTOM, advice: ['dot-as-a-closed-pair']),
        ];
    }
}
