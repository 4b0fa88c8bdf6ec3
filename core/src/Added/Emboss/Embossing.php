<?php

declare(strict_types=1);

namespace Gimbo\Core\Added\Emboss;

use Gimbo\Core\Added\Carrier;
use Gimbo\Core\Added\Rings;
use Gimbo\Core\Fit\Fit;
use Gimbo\Core\Geometry\Point;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Settle\Embossed;
use Gimbo\Core\Spec\Addition;

/** A plate against the face it is to cover: once, turned, or twice with a seam that a strip has to hide. */
final class Embossing
{
    /** How far two passes go into one another at the least; common practice, no source. */
    private const OVERLAP_MM = 2.0;

    /**
     * @param list<array{float, float}> $across what strips cover of the face, from and to, in its own frame: those that lie level
     * @param list<array{float, float}> $upright those that stand
     * @return array{?Embossed, list<Fit>}
     */
    public static function of(Addition $addition, Carrier $carrier, array $across, array $upright): array
    {
        [$left, $right, $low, $high] = Rings::bounds($carrier->own());
        $plate = [$addition->length('width')->toMillimetres(), $addition->length('height')->toMillimetres()];
        foreach ([[1, 1], [2, 1], [1, 2]] as [$columns, $rows]) {
            foreach ([false, true] as $isTurned) {
                [$wide, $tall] = $isTurned ? [$plate[1], $plate[0]] : $plate;
                $reach = fn (float $plate, int $times): float => $plate * $times - self::OVERLAP_MM * ($times - 1) + 1e-6;
                if ($reach($wide, $columns) < $right - $left || $reach($tall, $rows) < $high - $low) {
                    continue;
                }
                $seam = match (true) {
                    $columns > 1 => [new Point(($left + $right) / 2, $low), new Point(($left + $right) / 2, $high)],
                    $rows > 1 => [new Point($left, ($low + $high) / 2), new Point($right, ($low + $high) / 2)],
                    default => null,
                };
                $fits = $seam === null ? [] : [self::hidden($addition, $columns > 1 ? $seam[0]->x : $seam[0]->y, $columns > 1 ? $upright : $across)];

                return [new Embossed($addition, $carrier->piece, $carrier->face, $isTurned, $seam === null ? null : [$carrier->toSheet($seam[0]), $carrier->toSheet($seam[1])]), $fits];
            }
        }
        $most = Length::nearestTo(2 * max($plate) - self::OVERLAP_MM);

        return [null, [Fit::plain('plate-covers-panel', Length::nearestTo(max($right - $left, $high - $low)), Length::min($most, Length::nearestTo(max($right - $left, $high - $low) - 0.01)), $most, Length::zero())->about($addition->id)]];
    }

    /**
     * How far a strip goes beyond the seam on either side.
     *
     * @param list<array{float, float}> $strips
     */
    private static function hidden(Addition $addition, float $seam, array $strips): Fit
    {
        $beyond = array_map(fn (array $strip): float => min($seam - $strip[0], $strip[1] - $seam), $strips);
        $have = $beyond === [] ? 0.0 : max(0.0, ...$beyond);

        return Fit::plain('seam-is-hidden', Length::nearestTo(self::OVERLAP_MM), Length::nearestTo($have), Length::nearestTo(self::OVERLAP_MM), Length::zero())->about($addition->id);
    }
}
