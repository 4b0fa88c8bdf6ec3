<?php

declare(strict_types=1);

namespace Gimbo\Core\Make\Shared;

use Gimbo\Core\Fit\Dimension;
use Gimbo\Core\Fit\Fit;
use Gimbo\Core\Fit\MakeUp;
use Gimbo\Core\Fit\Remedy;
use Gimbo\Core\Fit\Term;
use Gimbo\Core\Fit\TermKind;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Measure\LengthFormatter;
use Gimbo\Core\Settle\Extents;
use Gimbo\Core\Spec\Clearance;
use Gimbo\Core\Spec\SizingRequest;

/** A card that must close to a size: it goes inside something, so it may come out smaller but not larger. */
final class CardSize
{
    public static function noClearance(): Clearance
    {
        return new Clearance(Length::zero(), Length::zero(), Length::zero());
    }

    /** The size it closes to: as thick as its paper, and what is said to lie on it. */
    public static function closed(SizingRequest $request, Length $width, Length $height, Length $paper): Extents
    {
        $layers = $request->item->layers;

        return new Extents($width, $height, $layers === null ? $paper : $paper->plus($layers->mat->times($layers->mats), $layers->decoration));
    }

    /** A share of the closed size in one direction. */
    public static function part(SizingRequest $request, Dimension $dimension, int $numerator = 1, int $denominator = 1): MakeUp
    {
        $whole = $dimension === Dimension::Width ? $request->item->width : $request->item->height;
        $part = $whole->timesNearest($numerator, $denominator);

        return MakeUp::of(new Term(TermKind::Contents, $part, $dimension, $part->equals($whole) ? null : $whole));
    }

    /**
     * That what it closes to is what was asked, but for a step of the trimmer: a card that comes out smaller than that is another card.
     *
     * @return list<Fit>
     */
    public static function near(SizingRequest $request, Length $width, Length $height): array
    {
        $least = fn (Length $asked): Length => $asked->minus($request->tools->cut->size);
        $fit = fn (string $id, Length $asked, Length $closed): Fit => Fit::plain($id, $least($asked), $closed, $least($asked), Length::zero());

        return [$fit('comes-near-width', $request->item->width, $width), $fit('comes-near-height', $request->item->height, $height)];
    }

    /**
     * The sizes it can be made in on both sides of the one asked for.
     *
     * @param Length $closed what it closes to now, in the direction that is off
     * @param Length $step by how much the next one is larger
     * @return list<Remedy>
     */
    public static function neighbours(string $fit, SizingRequest $request, Length $closed, Length $step): array
    {
        $at = $fit === 'comes-near-width' ? '/holds/width' : '/holds/height';
        $words = LengthFormatter::for($request->system);
        $sizes = array_filter([$closed, $closed->plus($step)], fn (Length $size) => $size->isPositive() && $words->isExact($size));

        return array_values(array_map(fn (Length $size) => new Remedy('make-it-size', [$at => $words->text($size)], ['size' => $words->text($size)]), $sizes));
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
