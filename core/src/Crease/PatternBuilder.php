<?php

declare(strict_types=1);

namespace Gimbo\Core\Crease;

use Gimbo\Core\Geometry\Point;
use Gimbo\Core\Geometry\Polygon;
use Gimbo\Core\Geometry\Segment;
use Gimbo\Core\Geometry\Tolerance;
use LogicException;

/**
 * Puts a pattern together from named faces and what happens where two of them meet.
 *
 * Faces may meet along part of a side: the vertices that lie on it are put in. Every shared stretch must be
 * declared a hinge or a slit; forgetting one is a LogicException, not an unassigned edge.
 */
final class PatternBuilder
{
    /** @var array<string, Polygon> */
    private array $faces = [];

    /** @var array<string, array{Assignment, float, string}> by the names of both faces */
    private array $joints = [];

    /** @var array<string, string> */
    private array $glue = [];

    /** @var list<string> */
    private array $layers = [];

    /** @var list<Point> */
    private array $vertices = [];

    public function face(string $name, Polygon $outline): self
    {
        $this->faces[$name] = $outline;

        return $this;
    }

    /**
     * A fold where two faces meet.
     *
     * @param float $degrees how far it is folded in the assembled state: positive valley, negative mountain
     * @param ?string $crease the score it belongs to; by default the second face's name
     */
    public function hinge(string $face, string $other, float $degrees, ?string $crease = null): self
    {
        $this->joints["$face|$other"] = [$degrees < 0 ? Assignment::Mountain : Assignment::Valley, $degrees, $crease ?? $other];

        return $this;
    }

    /** A cut that leaves both faces where they are. */
    public function slit(string $face, string $other): self
    {
        $this->joints["$face|$other"] = [Assignment::Cut, 0.0, "$face-$other"];

        return $this;
    }

    public function glue(string $face, string $onto): self
    {
        $this->glue[$face] = $onto;

        return $this;
    }

    /** The faces of the flat folded piece, the lowest first. */
    public function layers(string ...$names): self
    {
        $this->layers = array_values($names);

        return $this;
    }

    public function build(): Pattern
    {
        $this->vertices = [];
        $rings = array_map(fn (Polygon $outline) => array_map($this->vertex(...), $outline->points), $this->faces);
        $rings = array_map($this->withVerticesBetween(...), $rings);
        $names = array_keys($this->faces);
        $index = array_flip($names);
        $faces = [];
        foreach ($names as $name) {
            $onto = $this->glue[$name] ?? null;
            $faces[] = new Face($rings[$name], $name, $onto === null ? null : $index[$onto]);
        }

        return new Pattern($this->vertices, $this->edges($rings), $faces, array_map(fn (string $name) => $index[$name], $this->layers));
    }

    /**
     * @param array<string, list<int>> $rings
     * @return list<Edge>
     */
    private function edges(array $rings): array
    {
        $sides = [];
        foreach ($rings as $name => $ring) {
            foreach ($ring as $i => $from) {
                $to = $ring[($i + 1) % count($ring)];
                $sides[min($from, $to).'-'.max($from, $to)][] = [$from, $to, $name];
            }
        }
        $edges = [];
        foreach ($sides as $meeting) {
            [$from, $to, $name] = $meeting[0];
            if (count($meeting) === 1) {
                $edges[] = new Edge($from, $to, Assignment::Boundary);

                continue;
            }
            $other = $meeting[1][2];
            [$assignment, $degrees, $crease] = $this->joints["$name|$other"] ?? $this->joints["$other|$name"]
                ?? throw new LogicException("Faces $name and $other meet and nothing is said about it.");
            $edges[] = new Edge($from, $to, $assignment, $degrees, $crease);
        }

        return $edges;
    }

    /** The index of the vertex at the point, a new one if there is none yet. */
    private function vertex(Point $point): int
    {
        foreach ($this->vertices as $i => $known) {
            if (abs($known->x - $point->x) < Tolerance::SAME_POINT_MM && abs($known->y - $point->y) < Tolerance::SAME_POINT_MM) {
                return $i;
            }
        }
        $this->vertices[] = $point;

        return count($this->vertices) - 1;
    }

    /**
     * @param list<int> $ring
     * @return list<int> the ring with every vertex of other faces that lies on one of its sides
     */
    private function withVerticesBetween(array $ring): array
    {
        $full = [];
        $near = Tolerance::SAME_POINT_MM;
        foreach ($ring as $i => $from) {
            $full[] = $from;
            [$a, $b] = [$this->vertices[$from], $this->vertices[$ring[($i + 1) % count($ring)]]];
            [$left, $right] = $a->x < $b->x ? [$a->x, $b->x] : [$b->x, $a->x];
            [$low, $high] = $a->y < $b->y ? [$a->y, $b->y] : [$b->y, $a->y];
            $along = $b->minus($a);
            $far = $near * (abs($along->x) + abs($along->y));
            $between = [];
            foreach ($this->vertices as $v => $point) {
                if ($point->x < $left - $near || $point->x > $right + $near || $point->y < $low - $near || $point->y > $high + $near) {
                    continue;
                }
                // Far from the line: most points, told without a segment's arithmetic.
                if (abs($along->x * ($point->y - $a->y) - $along->y * ($point->x - $a->x)) > $far) {
                    continue;
                }
                if ((new Segment($a, $b))->containsStrictly($point)) {
                    $between[$v] = $point->minus($a)->length();
                }
            }
            asort($between);
            array_push($full, ...array_keys($between));
        }

        return $full;
    }
}
