<?php

declare(strict_types=1);

namespace Gimbo\Core\Make\Shared;

use Gimbo\Core\Fit\Dimension;
use Gimbo\Core\Fit\Fit;
use Gimbo\Core\Fit\MakeUp;
use Gimbo\Core\Fit\Term;
use Gimbo\Core\Fit\TermKind;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Measure\System;
use Gimbo\Core\Settle\Extents;
use Gimbo\Core\Spec\SizingRequest;

/** The room in something with depth: a box, a deep envelope. */
final class BoxRoom
{
    /** Width or height of the contents with their clearance, and so many calipers as the walls take. */
    public static function needed(SizingRequest $request, Dimension $dimension, int $calipers): MakeUp
    {
        return self::contents($request, $dimension)->plus(new Term(TermKind::Paper, $request->paper->caliper->times($calipers)));
    }

    /** The stack with its clearance; half a caliper of the floor lies above its fold. */
    public static function depth(SizingRequest $request): MakeUp
    {
        return self::contents($request, Dimension::Depth)->plus(new Term(TermKind::Paper, $request->paper->caliper->timesNearest(1, 2)));
    }

    /**
     * Width, height and depth.
     *
     * @param Length $slip what each loses when every setting it hangs on is missed by a hand's miss
     * @param ?Dimension $open where it is open, so that a slip there loses nothing
     * @return list<Fit>
     */
    public static function fits(SizingRequest $request, Extents $inside, Length $slip, ?Dimension $open = null): array
    {
        $fits = [];
        foreach ([[Dimension::Width, $inside->width], [Dimension::Height, $inside->height], [Dimension::Depth, $inside->depth]] as [$dimension, $have]) {
            $need = self::contents($request, $dimension);
            $clearance = self::clearance($request, $dimension);
            $fits[] = new Fit("card-fits-$dimension->value", $need->figure(), $have, $need->figure()->minus($clearance), $dimension === $open ? Length::zero() : $slip, $need);
        }

        return $fits;
    }

    /** What a hand may miss in three settings, so that a box is still deep enough; common practice, no source. */
    public static function usualDepth(System $system): Length
    {
        return $system === System::Imperial ? Length::inches(1, 16) : Length::mm(3, 2);
    }

    /** How many of the item stand in that depth, its clearance kept. */
    public static function takes(SizingRequest $request, Extents $inside): int
    {
        return $request->item->howManyStandIn($inside->depth->minus($request->clearance->depth));
    }

    private static function contents(SizingRequest $request, Dimension $dimension): MakeUp
    {
        $item = $request->item;

        return MakeUp::of(
            match ($dimension) {
                Dimension::Width => new Term(TermKind::Contents, $item->width, $dimension),
                Dimension::Height => new Term(TermKind::Contents, $item->height, $dimension),
                Dimension::Depth => new Term(TermKind::Thickness, $item->stack(), $dimension),
            },
            new Term(TermKind::Clearance, self::clearance($request, $dimension), $dimension),
        );
    }

    private static function clearance(SizingRequest $request, Dimension $dimension): Length
    {
        return match ($dimension) {
            Dimension::Width => $request->clearance->width,
            Dimension::Height => $request->clearance->height,
            Dimension::Depth => $request->clearance->depth,
        };
    }
}
