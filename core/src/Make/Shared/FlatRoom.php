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
use Gimbo\Core\Request\Clearance;
use Gimbo\Core\Request\Item;
use Gimbo\Core\Request\SizingRequest;

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

    /**
     * Room for the card: fold to fold less the paper; a slip may eat clearance, not the card itself.
     *
     * @param Length $have free room in this direction
     * @param Length $slip what it loses when every setting it hangs on is missed by a hand's miss
     */
    public static function fit(SizingRequest $request, Dimension $dimension, Length $have, Length $slip): Fit
    {
        $isWidth = $dimension === Dimension::Width;
        $terms = array_filter(self::needed($request, $dimension)->terms, fn (Term $term) => $term->kind !== TermKind::Paper);
        $need = MakeUp::of(...$terms);
        $clearance = $isWidth ? $request->clearance->width : $request->clearance->height;

        return new Fit(
            $isWidth ? self::WIDTH : self::HEIGHT, $need->figure(), $have,
            $need->figure()->minus($clearance)->minus($request->clearance->depth), $slip, $need,
        );
    }

    /** A sizes lie in the C envelopes as ISO 269 pairs them (14 × 9 mm more); else 1/4 in along and 1/8 in across, common practice. */
    public static function usualClearance(Item $item): Clearance
    {
        [$long, $short] = NamedSize::isIsoA($item->face())
            ? [Length::mm(14), Length::mm(9)]
            : [Length::inches(1, 4), Length::inches(1, 8)];

        return $item->face()->isPortrait()
            ? new Clearance($short, $long, Length::zero())
            : new Clearance($long, $short, Length::zero());
    }
}
