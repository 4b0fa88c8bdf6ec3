<?php

declare(strict_types=1);

namespace Gimbo\Core\Added;

use Gimbo\Core\Crease\Folding;
use Gimbo\Core\Crease\Overlap;
use Gimbo\Core\Crease\Side;
use Gimbo\Core\Geometry\Vector;
use Gimbo\Core\Make\Faces;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Settle\Extents;
use Gimbo\Core\Settle\Outfit;
use Gimbo\Core\Sheet\NothingLeft;
use LogicException;

/** How much larger the finished thing gets by what lies on it: layers that lie over one another add up, those side by side do not. */
final class Growth
{
    public static function of(Extents $closed, Outfit $outfit, Faces $faces): Extents
    {
        $grown = [0.0, 0.0, 0.0];
        foreach ($outfit->patterns as $id => $pattern) {
            $layers = self::layers($id, $outfit, $pattern->layers !== []);
            if ($layers === []) {
                continue;
            }
            try {
                $folding = Folding::of($pattern);
            } catch (LogicException) {
                // Set otherwise than it was planned, it need not fold any more.
                throw NothingLeft::of('pattern');
            }
            $standing = $folding->faces[$pattern->standing];
            $up = Overlap::normal($standing);
            $byWay = [];
            foreach ($layers as [$face, $thickness]) {
                $ring = $folding->faces[$pattern->faceNamed($face)];
                $normal = Overlap::normal($ring);
                $way = match (true) {
                    abs($normal->dot($up)) > 0.7 => 2,
                    abs($normal->x) > abs($normal->y) => 0,
                    default => 1,
                };
                $ring === [] || $byWay[$way][] = [$ring, $thickness, $normal];
            }
            foreach ($byWay as $way => $of) {
                if ($way !== 2 && in_array($id, $faces->covered, true)) {
                    continue;
                }
                // What stands up from the table is as deep as it is deep on the table.
                $to = $faces->isStanding ? [0, 2, 1][$way] : $way;
                $grown[$to] += self::most($of);
            }
        }

        return new Extents(
            $closed->width->plus(Length::nearestTo($grown[0])), $closed->height->plus(Length::nearestTo($grown[1])), $closed->depth->plus(Length::nearestTo($grown[2])),
        );
    }

    /** @return list<array{string, float}> each layer's face and its caliper, mm; inside a box there is room for it */
    private static function layers(string $piece, Outfit $outfit, bool $isFlat): array
    {
        $layers = [];
        foreach ($outfit->pieces as $added) {
            foreach ($added->placings as $placing) {
                if (! $isFlat && $placing->side === Side::Inside) {
                    continue;
                }
                $bottom = $outfit->bottom($placing);
                if ($bottom->piece === $piece) {
                    foreach ($placing->faces === [] ? [$bottom->face] : $placing->faces as $face) {
                        $layers[] = [$face, $added->paper->caliper->toMillimetres()];
                    }
                }
            }
        }

        return $layers;
    }

    /**
     * The most there is anywhere: of layers on faces that lie over one another, all.
     *
     * @param list<array{non-empty-list<Vector>, float, Vector}> $layers
     */
    private static function most(array $layers): float
    {
        $most = 0.0;
        foreach ($layers as [$ring, , $normal]) {
            $sum = 0.0;
            foreach ($layers as [$other, $thickness]) {
                self::overlaps($ring, $other, $normal) && $sum += $thickness;
            }
            $most = max($most, $sum);
        }

        return $most;
    }

    /**
     * Whether two faces lie over one another, looked at along a direction: by their boxes.
     *
     * @param non-empty-list<Vector> $one
     * @param non-empty-list<Vector> $other
     */
    private static function overlaps(array $one, array $other, Vector $along): bool
    {
        $across = abs($along->z) > 0.7 ? [new Vector(1, 0, 0), new Vector(0, 1, 0)] : [new Vector(0, 0, 1), abs($along->x) > abs($along->y) ? new Vector(0, 1, 0) : new Vector(1, 0, 0)];
        foreach ($across as $axis) {
            [$a, $b] = [array_map($axis->dot(...), $one), array_map($axis->dot(...), $other)];
            if (min(max($a), max($b)) - max(min($a), min($b)) < 0.5) {
                return false;
            }
        }

        return true;
    }
}
