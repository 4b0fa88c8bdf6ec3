<?php

declare(strict_types=1);

namespace Gimbo\Core\Exchange;

use Gimbo\Core\Crease\Assignment;
use Gimbo\Core\Crease\Overlap;
use Gimbo\Core\Crease\Pattern;
use Gimbo\Core\Crease\Side;
use Gimbo\Core\Design\Design;
use Gimbo\Core\Design\Piece;
use Gimbo\Core\Geometry\Point;
use Gimbo\Core\Geometry\Vector;
use Gimbo\Core\Settle\Place;
use Gimbo\Core\Settle\Placing;
use Gimbo\Core\Spec\Item;
use Gimbo\Core\Telling\FoldSequence;
use Gimbo\Core\Telling\FoldSequences;

/**
 * A still picture of the finished thing, seen from above the table at an angle: flat shaded faces, the farthest first.
 *
 * Parallel projection; x right, y down, millimetres of the picture's own scale, the smallest x and y at 0.
 */
final class StillWriter
{
    /** Where the eye is: turned about the vertical, and raised above the table. */
    private const AROUND_DEGREES = -28.0;

    private const ABOVE_DEGREES = 38.0;

    private const DECIMALS = 1;

    /** More of a stack than this says no more. */
    private const MOST_SLABS = 12;

    private const OUT_OF_LINE = 0.015;

    /** What lies on paper lies so far off it at least, or nobody could tell which is above. */
    private const OFF_PAPER_MM = 0.4;

    /** How high what is put on is held above its place, as a share of the thing's own depth. */
    private const HELD_ABOVE = 1.15;

    /**
     * @return array{width: float, height: float, faces: list<array{ring: list<array{float, float}>, light: float, side: string, seams?: list<int>, colour?: string}>} light from 0 to 1; side `in`, `out`, `laid` or `held`
     */
    public static function write(Design $design): array
    {
        return self::framed(self::seen($design)[0]);
    }

    /** @return array{list<StillFace>, Vector} the faces as the eye sees them, the farthest first, and the direction towards the eye */
    public static function seen(Design $design): array
    {
        $plans = new FoldSequences($design);
        // Which side of the first piece's standing face is looked at.
        $side = $plans->of($design->pieces[0])->side;
        $camera = self::camera($side);
        $light = (new Vector(-0.35, -0.45, 0.82 * $side))->unit();
        $faces = array_map(fn (array $face) => StillFace::of($face[0], $camera, $light, $face[1], $face[2] ?? [], $face[3] ?? null), self::faces($design, $plans));

        return [self::farthestFirst($faces, $camera[2]), $camera[2]];
    }

    /**
     * What is held by itself: so many slabs on one another, a little out of line as a stack lies.
     *
     * @return array{width: float, height: float, faces: list<array{ring: list<array{float, float}>, light: float, side: string, seams?: list<int>, colour?: string}>}
     */
    public static function held(Item $item): array
    {
        $camera = self::camera(1);
        $light = (new Vector(-0.35, -0.45, 0.82))->unit();
        [$w, $h, $t] = [$item->width->toMillimetres(), $item->height->toMillimetres(), $item->thickness->toMillimetres()];
        $faces = [];
        for ($i = 0; $i < min($item->count, self::MOST_SLABS); $i++) {
            $aside = $i % 2 === 0 ? 0.0 : $w * self::OUT_OF_LINE;
            $corner = fn (int $x, int $y, int $z): Vector => new Vector($aside + $x * $w, $y * $h, ($i + $z) * $t);
            $around = [[0, 0], [1, 0], [1, 1], [0, 1]];
            $faces[] = array_map(fn (array $at) => $corner($at[0], $at[1], 1), $around);
            foreach ($around as $n => [$x, $y]) {
                [$nextX, $nextY] = $around[($n + 1) % 4];
                $faces[] = [$corner($x, $y, 0), $corner($nextX, $nextY, 0), $corner($nextX, $nextY, 1), $corner($x, $y, 1)];
            }
        }

        return self::framed(self::farthestFirst(array_map(fn (array $ring) => StillFace::of($ring, $camera, $light, 'held'), $faces), $camera[2]));
    }

    /** @return array{Vector, Vector, Vector} to the right, upwards, and towards the eye */
    private static function camera(int $side): array
    {
        [$around, $above] = [deg2rad(self::AROUND_DEGREES), deg2rad(self::ABOVE_DEGREES)];
        $right = new Vector(cos($around) * $side, sin($around) * $side, 0);
        $away = new Vector(-sin($around), cos($around), 0);
        $up = $away->times(sin($above))->plus(new Vector(0, 0, $side * cos($above)));

        return [$right, $up, $away->times(-cos($above))->plus(new Vector(0, 0, $side * sin($above)))];
    }

    /** @return list<array{0: list<Vector>, 1: ?string, 2?: list<int>, 3?: ?string}> rings in space, those of what it holds marked; sides on which nothing is seen, and the colour of the paper */
    private static function faces(Design $design, FoldSequences $plans): array
    {
        $faces = [];
        $pieces = array_filter($design->pieces, fn (Piece $piece) => $piece->places() !== []);
        foreach ($pieces === [] ? [$design->pieces[0]] : $pieces as $piece) {
            $plan = $plans->of($piece);
            foreach ($piece->places() === [] ? [Place::asItLies()] : $piece->places() as $copy => $place) {
                $isPutOn = $place->turnDegrees === 180.0 && $piece->pattern()->layers === [];
                $held = new Vector(0, 0, $isPutOn ? $place->shift->z * self::HELD_ABOVE : 0.0);
                foreach ($plan->at($plan->ajar()) as $f => $ring) {
                    $faces[] = [self::placed($ring, $place, $held), null, self::seams($piece->pattern(), $f), $piece->paper()->colour];
                }
                foreach ($plan->edgesAt($plan->ajar()) as $ring) {
                    $faces[] = [self::placed($ring, $place, $held), null];
                }
                foreach (self::laid($design, $piece, $copy + 1, $plan) as [$ring, $seams, $colour]) {
                    $faces[] = [self::placed($ring, $place, $held), 'laid', $seams, $colour];
                }
            }
            if ($plan->contentsFace === $plan->root && $piece->contents() !== null) {
                $top = $plan->contentsDepth->toMillimetres();
                $faces[] = [array_map(fn ($p) => new Vector($p->x, $p->y, $top + 0.1), $piece->contents()->points), 'held'];
            }
        }

        return $faces;
    }

    /**
     * @param list<Vector> $ring
     * @return list<Vector>
     */
    private static function placed(array $ring, Place $place, Vector $held): array
    {
        return array_map(fn (Vector $v) => $place->of($v)->plus($held), $ring);
    }

    /** @return list<int> the sides of a face that only part it beside an opening */
    private static function seams(Pattern $pattern, int $face): array
    {
        $ring = $pattern->faces[$face]->vertices;
        $seams = [];
        foreach ($pattern->edges as $edge) {
            if ($edge->assignment !== Assignment::Join) {
                continue;
            }
            foreach ($ring as $i => $from) {
                $to = $ring[($i + 1) % count($ring)];
                in_array([$from, $to], [[$edge->from, $edge->to], [$edge->to, $edge->from]], true) && $seams[] = $i;
            }
        }

        return $seams;
    }

    /** @return list<array{list<Vector>, list<int>, ?string}> what lies on a copy of a piece, in that piece's own frame */
    private static function laid(Design $design, Piece $piece, int $copy, FoldSequence $plan): array
    {
        $outfit = $design->figures->outfit;
        $at = $plan->placing($plan->ajar());
        $laid = [];
        foreach ($outfit->pieces as $added) {
            foreach ($added->placings as $placing) {
                $chain = $outfit->chain($placing);
                $root = $chain[count($chain) - 1];
                if ($root->piece !== $piece->id || ($piece->count > 1 && $root->copy !== $copy)) {
                    continue;
                }
                $pattern = $added->pattern();
                $above = ($placing->side === Side::Inside ? 1 : -1) * (self::OFF_PAPER_MM * count($chain) + $outfit->below($added));
                foreach (array_keys($pattern->faces) as $f) {
                    $face = $piece->pattern()->faceNamed($root->faces[(string) $pattern->faces[$f]->name] ?? $root->face);
                    $ring = array_map(fn (Point $p): Vector => $at($face, array_reduce($chain, fn (Point $on, Placing $one) => $one->there($on), $p)), $pattern->polygon($f)->points);
                    $off = Overlap::normal($ring)->times($above);
                    $laid[] = [array_map(fn (Vector $v) => $v->plus($off), $ring), self::seams($pattern, $f), $added->paper->colour];
                }
            }
        }

        return $laid;
    }

    /**
     * Painter's order: of what is left, always the first that covers nothing else; where faces cover one another in a ring, the farthest.
     *
     * @param list<StillFace> $faces
     * @return list<StillFace>
     */
    private static function farthestFirst(array $faces, Vector $towards): array
    {
        $near = array_map(fn (StillFace $face) => $face->nearness($towards), $faces);
        array_multisort($near, SORT_ASC, SORT_NUMERIC, array_keys($faces), SORT_ASC, $faces);
        $left = $faces;
        // For each face, how far it has been looked through what it might cover: no two are ever compared twice.
        $seen = array_fill(0, count($faces), 0);
        $sorted = [];
        while ($left !== []) {
            $next = array_key_first($left);
            foreach ($left as $i => $face) {
                while ($seen[$i] < count($faces) && (! isset($left[$seen[$i]]) || $seen[$i] === $i || ! $face->covers($faces[$seen[$i]]))) {
                    $seen[$i]++;
                }
                if ($seen[$i] === count($faces)) {
                    $next = $i;
                    break;
                }
            }
            $sorted[] = $faces[$next];
            unset($left[$next]);
        }

        return $sorted;
    }

    /**
     * @param list<StillFace> $faces
     * @return array{width: float, height: float, faces: list<array{ring: list<array{float, float}>, light: float, side: string, seams?: list<int>, colour?: string}>}
     */
    private static function framed(array $faces): array
    {
        $xs = array_merge([], ...array_map(fn (StillFace $face) => $face->xs, $faces));
        $ys = array_merge([], ...array_map(fn (StillFace $face) => $face->ys, $faces));
        assert($xs !== [] && $ys !== []);
        [$left, $top] = [min($xs), min($ys)];
        $round = fn (float $value): float => round($value, self::DECIMALS);

        return [
            'width' => $round(max($xs) - $left), 'height' => $round(max($ys) - $top),
            'faces' => array_map(fn (StillFace $face) => [
                'ring' => array_map(fn (float $x, float $y): array => [$round($x - $left), $round($y - $top)], $face->xs, $face->ys),
                'light' => $face->light, 'side' => $face->side,
            ] + ($face->seams === [] ? [] : ['seams' => $face->seams]) + ($face->colour === null ? [] : ['colour' => $face->colour]), $faces),
        ];
    }
}
