<?php

declare(strict_types=1);

namespace Gimbo\Core\Make\Shared;

use Gimbo\Core\Fit\Dimension;
use Gimbo\Core\Fit\Fit;
use Gimbo\Core\Fit\MakeUp;
use Gimbo\Core\Fit\Term;
use Gimbo\Core\Fit\TermKind;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Request\Clearance;
use Gimbo\Core\Request\SizingRequest;

/** A card that must close to a size: it goes inside something, so it may come out smaller but not larger. */
final class CardSize
{
    public static function noClearance(): Clearance
    {
        return new Clearance(Length::zero(), Length::zero(), Length::zero());
    }

    /** A share of the closed size in one direction. */
    public static function part(SizingRequest $request, Dimension $dimension, int $numerator = 1, int $denominator = 1): MakeUp
    {
        $whole = $dimension === Dimension::Width ? $request->item->width : $request->item->height;
        $part = $whole->timesNearest($numerator, $denominator);

        return MakeUp::of(new Term(TermKind::Contents, $part, $dimension, $part->equals($whole) ? null : $whole));
    }

    /**
     * That it closes to no more than was asked.
     *
     * @return list<Fit>
     */
    public static function fits(SizingRequest $request, Length $width, Length $height): array
    {
        return [
            Fit::plain('closes-to-width', $width, $request->item->width, $width, Length::zero()),
            Fit::plain('closes-to-height', $height, $request->item->height, $height, Length::zero()),
        ];
    }
}
