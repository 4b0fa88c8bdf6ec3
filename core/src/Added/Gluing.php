<?php

declare(strict_types=1);

namespace Gimbo\Core\Added;

use Gimbo\Core\Crease\Join;
use Gimbo\Core\Crease\JoinEnd;
use Gimbo\Core\Crease\Side;
use Gimbo\Core\Geometry\Point;
use Gimbo\Core\Settle\AddedPiece;
use Gimbo\Core\Settle\Figures;
use Gimbo\Core\Settle\Placing;
use Gimbo\Core\Steps\Deed;
use Gimbo\Core\Steps\Op\JoinOp;
use Gimbo\Core\Steps\With;
use Gimbo\Core\Steps\WorkStep;

/** Layers laid where they belong and glued, copy by copy. */
final class Gluing
{
    /** @return list<WorkStep> one for every layer */
    public static function all(Figures $figures): array
    {
        return array_values(array_filter(array_map(fn (AddedPiece $piece) => self::of($figures, $piece, 0), $figures->outfit->pieces)));
    }

    /** Null for what lies on nothing. */
    public static function of(Figures $figures, AddedPiece $piece, int $phase): ?WorkStep
    {
        if ($piece->placings === []) {
            return null;
        }
        $own = AddedWork::bench($piece->figures);
        $joins = [];
        foreach ($piece->placings as $n => $placing) {
            $under = AddedWork::bench($figures->piece($placing->piece));
            $on = $placing->faces === [] ? [$piece->role => $placing->face] : $placing->faces;
            foreach ($on as $face => $onto) {
                $corners = self::apart($piece->whole->polygon($piece->whole->faceNamed($face))->points);
                $meet = array_map(fn (Point $p): array => [AddedWork::found($own, $p), AddedWork::found($under, $placing->there($p))], $corners);
                $joins[] = new JoinOp(self::join($piece->id(), $face, $n + 1, $placing, $onto), meet: $meet);
            }
        }

        return new WorkStep(
            "{$piece->id()}/glue", Deed::Glue, $piece->id(), $piece->figures->count, With::Tape,
            ops: $joins, advice: $piece->kind->advice, phase: $phase,
        );
    }

    private static function join(string $piece, string $face, int $copy, Placing $placing, string $onto): Join
    {
        return $placing->side === Side::Outside
            ? Join::of(JoinEnd::inside($piece, $face, $copy), JoinEnd::outside($placing->piece, $onto, $placing->copy))
            : Join::of(JoinEnd::outside($piece, $face, $copy), JoinEnd::inside($placing->piece, $onto, $placing->copy));
    }

    /**
     * @param list<Point> $ring
     * @return array{Point, Point} its two corners furthest from one another
     */
    private static function apart(array $ring): array
    {
        $best = [$ring[0], $ring[1]];
        foreach ($ring as $i => $one) {
            foreach (array_slice($ring, $i + 1) as $two) {
                $two->minus($one)->length() > $best[1]->minus($best[0])->length() + 1e-6 && $best = [$one, $two];
            }
        }

        return $best;
    }
}
