<?php

declare(strict_types=1);

namespace Gimbo\Core\Make\Shared;

use Gimbo\Core\Fit\Dimension;
use Gimbo\Core\Fit\MakeUp;
use Gimbo\Core\Fit\Term;
use Gimbo\Core\Fit\TermKind;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Spec\Row;
use Gimbo\Core\Spec\SizingRequest;

/** What goes round something bulky in a flat face: a firm block, or a soft packet that bulges. Formulas: docs/formulas.md, "Corner pouch". */
final class Girth
{
    private const BLOCK = 'block';

    private const PILLOW = 'pillow';

    public static function option(): Row
    {
        return Row::choice('bulk', [self::BLOCK, self::PILLOW]);
    }

    /** What the contents' thickness takes from the face: a block turns its edge once, a soft packet bulges by two thirds of t²/w. */
    public static function bulge(SizingRequest $request, Dimension $dimension): Length
    {
        $stack = $request->item->stack();
        $flat = $dimension === Dimension::Width ? $request->item->width : $request->item->height;

        if ($request->options->choice('bulk') === self::BLOCK) {
            return $stack;
        }
        $bulge = 2 / 3 * $stack->toMillimetres() ** 2 / $flat->toMillimetres();

        // Never more than a block of that thickness takes.
        return $bulge < $stack->toMillimetres() ? Length::atLeast($bulge) : $stack;
    }

    /** What a face must be from fold to fold, as FlatRoom says it, round something that thick. */
    public static function of(SizingRequest $request, Dimension $dimension): MakeUp
    {
        $bulge = self::bulge($request, $dimension);
        $stack = $request->item->stack();
        $terms = array_map(
            fn (Term $term) => $term->kind === TermKind::Thickness ? new Term(TermKind::Thickness, $bulge, Dimension::Depth, $bulge->equals($stack) ? null : $stack) : $term,
            FlatRoom::needed($request, $dimension)->terms,
        );

        return MakeUp::of(...$terms);
    }
}
