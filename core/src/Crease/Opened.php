<?php

declare(strict_types=1);

namespace Gimbo\Core\Crease;

use Gimbo\Core\Geometry\Point;
use Gimbo\Core\Geometry\Polygon;
use Gimbo\Core\Geometry\Tolerance;

/**
 * A pattern with openings in its faces.
 *
 * A face with a hole is no polygon: it is parted by edges that join its parts (`J` of FOLD 1.2), to the left and to the right of each
 * opening. Its first part keeps the face's place and name, the others follow all faces there are.
 */
final class Opened
{
    /** An edge joins its parts at a vertex that lies so near to where it would come out, so that no side is shorter. */
    private const SHORT_MM = 0.05;

    /** @var list<Point> */
    private array $vertices;

    /** @var list<Edge> */
    private array $edges;

    /** @var list<Face> */
    private array $faces;

    private function __construct(Pattern $pattern)
    {
        [$this->vertices, $this->edges, $this->faces] = [$pattern->vertices, $pattern->edges, $pattern->faces];
    }

    /** @param array<int, list<Polygon>> $openings by face; none of them may touch another, or the face's edge */
    public static function pattern(Pattern $pattern, array $openings): Pattern
    {
        if ($openings === []) {
            return $pattern;
        }
        $opened = new self($pattern);
        foreach ($openings as $face => $of) {
            $opened->part($face, $of);
        }

        return new Pattern($opened->vertices, $opened->edges, $opened->faces, $pattern->layers, $pattern->standing);
    }

    /** A pattern with a slit inside a face: a cut that parts nothing. */
    public static function slit(Pattern $pattern, Point $from, Point $to): Pattern
    {
        $n = count($pattern->vertices);

        return new Pattern([...$pattern->vertices, $from, $to], [...$pattern->edges, new Edge($n, $n + 1, Assignment::Cut, 0.0, 'slit')], $pattern->faces, $pattern->layers, $pattern->standing);
    }

    /** What the parts of a face are called: the first as the face, the others by number. */
    public static function partName(string $face, int $part): string
    {
        return $part === 0 ? $face : "$face-part-".($part + 1);
    }

    /** @param list<Polygon> $openings */
    private function part(int $face, array $openings): void
    {
        $rings = [];
        foreach ($openings as $opening) {
            $ring = [];
            foreach ($opening->points as $point) {
                $this->vertices[] = $point;
                $ring[] = count($this->vertices) - 1;
            }
            $rings[] = $ring;
        }
        // Every edge once each way, the face on its left: around the face, and around each opening the other way.
        $next = [];
        $outer = $this->faces[$face]->vertices;
        $holes = array_map(array_reverse(...), $rings);
        $loops = [$outer, ...$holes];
        $bridges = [];
        foreach ($rings as $n => $ring) {
            foreach ([-1, 1] as $way) {
                $bridge = $this->bridge($ring, $way, $loops, $n + 1);
                $bridge === null || in_array(array_reverse($bridge), $bridges, true) || $bridges[] = $bridge;
            }
        }
        foreach ($holes as $ring) {
            foreach ($ring as $i => $from) {
                $this->edges[] = new Edge($from, $ring[($i + 1) % count($ring)], Assignment::Boundary);
            }
        }
        foreach ($bridges as [$from, $to]) {
            $this->edges[] = new Edge($from, $to, Assignment::Join);
        }
        foreach ($loops as $loop) {
            foreach ($loop as $i => $from) {
                $next[$from][] = $loop[($i + 1) % count($loop)];
            }
        }
        foreach ($bridges as [$from, $to]) {
            $next[$from][] = $to;
            $next[$to][] = $from;
        }
        $this->replace($face, $this->traced($next));
    }

    /**
     * From the outermost vertex of an opening to what lies nearest that way; a vertex is put in there where there is none.
     *
     * @param list<int> $ring
     * @param list<list<int>> $loops changed where a vertex is put in
     * @return ?array{int, int}
     */
    private function bridge(array $ring, int $way, array &$loops, int $own): ?array
    {
        $from = $ring[0];
        foreach ($ring as $v) {
            if ($way * ($this->vertices[$v]->x - $this->vertices[$from]->x) > Tolerance::SAME_POINT_MM) {
                $from = $v;
            }
        }
        $at = $this->vertices[$from];
        [$best, $hit] = [INF, null];
        foreach ($loops as $l => $loop) {
            if ($l === $own) {
                continue;
            }
            foreach ($loop as $i => $a) {
                $b = $loop[($i + 1) % count($loop)];
                [$p, $q] = [$this->vertices[$a], $this->vertices[$b]];
                if (($p->y > $at->y) === ($q->y > $at->y)) {
                    continue;
                }
                $x = $p->x + ($q->x - $p->x) * ($at->y - $p->y) / ($q->y - $p->y);
                $far = $way * ($x - $at->x);
                if ($far > 0 && $far < $best) {
                    [$best, $hit] = [$far, [$l, $i, $a, $b, new Point($x, $at->y)]];
                }
            }
        }
        if ($hit === null) {
            return null;
        }
        [$l, $i, $a, $b, $point] = $hit;
        foreach ([$a, $b] as $v) {
            if ($this->vertices[$v]->minus($point)->length() < self::SHORT_MM) {
                return [$from, $v];
            }
        }
        $this->vertices[] = $point;
        $v = count($this->vertices) - 1;
        array_splice($loops[$l], $i + 1, 0, [$v]);
        $this->split($a, $b, $v);

        return [$from, $v];
    }

    /** A vertex in the middle of an edge, in every face that has it. */
    private function split(int $a, int $b, int $v): void
    {
        foreach ($this->edges as $e => $edge) {
            if (($edge->from === $a && $edge->to === $b) || ($edge->from === $b && $edge->to === $a)) {
                array_splice($this->edges, $e, 1, [new Edge($edge->from, $v, $edge->assignment, $edge->foldDegrees, $edge->name), new Edge($v, $edge->to, $edge->assignment, $edge->foldDegrees, $edge->name)]);
                break;
            }
        }
        foreach ($this->faces as $f => $face) {
            $ring = $face->vertices;
            foreach ($ring as $i => $from) {
                $to = $ring[($i + 1) % count($ring)];
                if (($from === $a && $to === $b) || ($from === $b && $to === $a)) {
                    array_splice($ring, $i + 1, 0, [$v]);
                    $this->faces[$f] = new Face($ring, $face->name, $face->gluedTo, $face->role, $face->twin);
                    break;
                }
            }
        }
    }

    /**
     * The loops one goes round when one turns as far left as can be at every vertex, the paper on the left.
     *
     * @param array<int, list<int>> $next where one may go on, by vertex
     * @return list<non-empty-list<int>>
     */
    private function traced(array $next): array
    {
        $loops = [];
        $gone = [];
        foreach ($next as $start => $ways) {
            foreach ($ways as $first) {
                if (isset($gone["$start $first"])) {
                    continue;
                }
                [$loop, $from, $to] = [[$start], $start, $first];
                $gone["$from $to"] = true;
                for ([$from, $to] = [$to, $this->leftmost($from, $to, $next[$to])]; ! isset($gone["$from $to"]); [$from, $to] = [$to, $this->leftmost($from, $to, $next[$to])]) {
                    $gone["$from $to"] = true;
                    $loop[] = $from;
                }
                $loops[] = $loop;
            }
        }

        return $loops;
    }

    /** @param list<int> $ways */
    private function leftmost(int $from, int $at, array $ways): int
    {
        $in = $this->vertices[$at]->minus($this->vertices[$from]);
        [$best, $most] = [$ways[0], -INF];
        foreach ($ways as $way) {
            $out = $this->vertices[$way]->minus($this->vertices[$at]);
            $turn = $way === $from ? -M_PI : atan2($in->cross($out), $in->dot($out));
            $turn > $most && [$best, $most] = [$way, $turn];
        }

        return $best;
    }

    /** @param list<non-empty-list<int>> $loops */
    private function replace(int $face, array $loops): void
    {
        // The largest part keeps the face's place.
        usort($loops, fn (array $a, array $b) => $this->area($b) <=> $this->area($a));
        $whole = $this->faces[$face];
        foreach ($loops as $part => $loop) {
            $one = new Face($loop, self::partName((string) $whole->name, $part), $whole->gluedTo, $whole->role, $part === 0 ? $whole->twin : null);
            array_splice($this->faces, $part === 0 ? $face : count($this->faces), $part === 0 ? 1 : 0, [$one]);
        }
    }

    /** @param list<int> $loop */
    private function area(array $loop): float
    {
        return round(Polygon::of(array_map(fn (int $v) => $this->vertices[$v], $loop))->area(), 3);
    }

    /** A point well inside a polygon: in the middle of the widest stretch of a level line through it. */
    public static function inside(Polygon $polygon): Point
    {
        $ys = array_map(fn (Point $p) => $p->y, $polygon->points);
        [$low, $high] = [min($ys), max($ys)];
        [$best, $widest] = [$polygon->points[0], -1.0];
        foreach ([0.5, 0.25, 0.75, 0.1, 0.9, 0.03, 0.97] as $share) {
            $y = $low + ($high - $low) * $share;
            $xs = [];
            foreach ($polygon->points as $i => $a) {
                $b = $polygon->points[($i + 1) % count($polygon->points)];
                ($a->y > $y) !== ($b->y > $y) && $xs[] = $a->x + ($b->x - $a->x) * ($y - $a->y) / ($b->y - $a->y);
            }
            sort($xs);
            for ($i = 0; $i + 1 < count($xs); $i += 2) {
                $widest < $xs[$i + 1] - $xs[$i] && [$best, $widest] = [new Point(($xs[$i] + $xs[$i + 1]) / 2, $y), $xs[$i + 1] - $xs[$i]];
            }
        }

        return $best;
    }
}
