<?php

declare(strict_types=1);

namespace Gimbo\Core\Make\Shared;

use Gimbo\Core\Fit\Dimension;
use Gimbo\Core\Fit\Fit;
use Gimbo\Core\Fit\MakeUp;
use Gimbo\Core\Fit\Term;
use Gimbo\Core\Fit\TermKind;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Paper\NamedSize;
use Gimbo\Core\Settle\Extents;
use Gimbo\Core\Spec\Clearance;
use Gimbo\Core\Spec\Item;
use Gimbo\Core\Spec\SizingRequest;

/** The room in something flat that a card or a stack of them is slipped into: an envelope's face. */
final class FlatRoom
{
    public const WIDTH = 'card-fits-width';

    public const HEIGHT = 'card-fits-height';

    /** What a face must be from fold to fold: the paper goes round the contents' edge, and folds at its middle. */
    public static function needed(SizingRequest $request, Dimension $dimension): MakeUp
    {
        $isWidth = $dimension === Dimension::Width;

        return MakeUp::of(
            new Term(TermKind::Contents, $isWidth ? $request->item->width : $request->item->height, $dimension),
            new Term(TermKind::Clearance, $isWidth ? $request->clearance->width : $request->clearance->height, $dimension),
            new Term(TermKind::Thickness, $request->item->stack(), Dimension::Depth),
            new Term(TermKind::Clearance, $request->clearance->depth, Dimension::Depth),
            new Term(TermKind::Paper, $request->paper->caliper),
        );
    }

    /** Whether an item goes into a face that always lies with its longer side along the opening turned, its height along that side. */
    public static function isUpright(SizingRequest $request): bool
    {
        return $request->item->width->plus($request->clearance->width)->isLessThan($request->item->height->plus($request->clearance->height));
    }

    /**
     * The free room for what is held, as a block: what its thickness takes from the face is off, and is its depth.
     *
     * @param Length $width of the face between its folds, in the item's own direction
     * @param Length $height the same
     * @param ?array{Length, Length} $bulges what the contents' thickness takes from width and height, where that is not the thickness itself
     */
    public static function inside(SizingRequest $request, Length $width, Length $height, ?array $bulges = null): Extents
    {
        $stack = $request->item->stack();
        $depth = $stack->plus($request->clearance->depth);
        [$across, $up] = $bulges ?? [$stack, $stack];
        $edge = $request->paper->caliper->plus($request->clearance->depth);

        return new Extents($width->minus($edge)->minus($across), $height->minus($edge)->minus($up), $depth);
    }

    /**
     * Room for the card in one direction; a slip may eat clearance, not the card itself.
     *
     * @param Length $have free room in this direction
     * @param Length $slip what it loses when every setting it hangs on is missed by a hand's miss
     */
    public static function fit(SizingRequest $request, Dimension $dimension, Length $have, Length $slip): Fit
    {
        $isWidth = $dimension === Dimension::Width;
        [$item, $clearance] = $isWidth
            ? [$request->item->width, $request->clearance->width]
            : [$request->item->height, $request->clearance->height];
        $need = MakeUp::of(new Term(TermKind::Contents, $item, $dimension), new Term(TermKind::Clearance, $clearance, $dimension));

        return new Fit($isWidth ? self::WIDTH : self::HEIGHT, $need->figure(), $have, $item, $slip, $need);
    }

    /**
     * A sizes lie in the C envelopes as ISO 269 pairs them (14 × 9 mm more); else 1/4 in along and 1/8 in across, and what is square has
     * 1/8 in both ways, so that its face is square too: common practice.
     */
    public static function usualClearance(Item $item): Clearance
    {
        [$long, $short] = match (true) {
            $item->width->equals($item->height) => [Length::inches(1, 8), Length::inches(1, 8)],
            NamedSize::isIsoA($item->face()) => [Length::mm(14), Length::mm(9)],
            default => [Length::inches(1, 4), Length::inches(1, 8)],
        };

        return $item->face()->isPortrait()
            ? new Clearance($short, $long, Length::zero())
            : new Clearance($long, $short, Length::zero());
    }
}
