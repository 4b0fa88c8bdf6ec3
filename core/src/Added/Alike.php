<?php

declare(strict_types=1);

namespace Gimbo\Core\Added;

use Gimbo\Core\Geometry\Point;
use Gimbo\Core\Geometry\Polygon;
use Gimbo\Core\Settle\AddedPiece;
use Gimbo\Core\Spec\Addition;

/** Pieces of one addition that are cut alike become one, so many times; mirror images name each other. */
final class Alike
{
    /**
     * @param list<AddedPiece> $pieces all there are
     * @return list<AddedPiece> those of other additions first
     */
    public static function of(array $pieces, Addition $addition): array
    {
        $mine = array_values(array_filter($pieces, fn (AddedPiece $piece) => $piece->addition === $addition));
        if (count($mine) < 2) {
            return $pieces;
        }
        $others = array_values(array_filter($pieces, fn (AddedPiece $piece) => $piece->addition !== $addition));
        $kept = [];
        foreach ($mine as $piece) {
            // A backing is no rim, though it may be as large.
            $isAlike = fn (AddedPiece $one): bool => $one->kind->name === $piece->kind->name && self::isSame($one->outline->points, $piece->outline->points)
                && $one->placings[0]->side === $piece->placings[0]->side;
            $same = array_keys(array_filter($kept, $isAlike))[0] ?? null;
            $same === null ? $kept[] = $piece : $kept[$same] = $kept[$same]->at([...$kept[$same]->placings, ...$piece->placings]);
        }
        foreach ($kept as $i => $piece) {
            $width = $piece->figures->sheet->width->toMillimetres();
            $turned = array_map(fn (Point $p) => new Point($width - $p->x, $p->y), $piece->outline->points);
            $mirrored = Polygon::of($turned)->points;
            foreach ($kept as $j => $other) {
                $i !== $j && self::isSame($mirrored, $other->outline->points) && $kept[$i] = $kept[$i]->mirroring($other->id());
            }
        }

        return [...$others, ...array_values($kept)];
    }

    /**
     * @param list<Point> $one
     * @param list<Point> $other
     */
    private static function isSame(array $one, array $other): bool
    {
        if (count($one) !== count($other)) {
            return false;
        }
        foreach ($one as $point) {
            if (array_filter($other, fn (Point $p) => $p->minus($point)->length() < 1e-3) === []) {
                return false;
            }
        }

        return true;
    }
}
