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

    /** @var array<string, FaceRole> */
    private array $roles = [];

    /** @var array<string, string> */
    private array $twins = [];

    /** @var array<string, string> */
    private array $glue = [];

    private ?string $standing = null;

    /** @var list<string> */
    private array $layers = [];

    /** @var list<Point> */
    private array $vertices = [];

    /** @var list<float> the same vertices' coordinates, where looking through all of them must be quick */
    private array $xs = [];

    /** @var list<float> */
    private array $ys = [];

    public function face(string $name, Polygon $outline, FaceRole $role = FaceRole::Panel): self
    {
        $this->faces[$name] = $outline;
        $this->roles[$name] = $role;

        return $this;
    }

    /** Two faces that are mirror images of one another, and fold together. */
    public function twins(string $face, string $other): self
    {
        $this->twins[$face] = $other;
        $this->twins[$other] = $face;

        return $this;
    }

    /** What the finished piece stands on; else it is the first face. */
    public function standsOn(string $face): self
    {
        $this->standing = $face;

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

    /** @param list<Join> $joins of a design; those of this piece with itself are its glue, the last of a face where it has several */
    public function joined(string $piece, array $joins): self
    {
        foreach ($joins as $join) {
            if ($join->face->piece === $piece && $join->isWithinOnePiece()) {
                $this->glue[$join->face->face] = $join->onto->face;
            }
        }

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
        $this->vertices = $this->xs = $this->ys = [];
        $rings = array_map(fn (Polygon $outline) => array_map($this->vertex(...), $outline->points), $this->faces);
        $rings = array_map($this->withVerticesBetween(...), $rings);
        $names = array_keys($this->faces);
        $index = array_flip($names);
        $faces = [];
        foreach ($names as $name) {
            [$onto, $twin] = [$this->glue[$name] ?? null, $this->twins[$name] ?? null];
            $faces[] = new Face($rings[$name], $name, $onto === null ? null : $index[$onto], $this->roles[$name], $twin === null ? null : $index[$twin]);
        }

        return new Pattern($this->vertices, $this->edges($rings), $faces, array_map(fn (string $name) => $index[$name], $this->layers), $this->standing === null ? 0 : $index[$this->standing]);
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
        [$x, $y] = [$point->x, $point->y];
        foreach ($this->xs as $i => $known) {
            if (abs($known - $x) < Tolerance::SAME_POINT_MM && abs($this->ys[$i] - $y) < Tolerance::SAME_POINT_MM) {
                return $i;
            }
        }
        $this->vertices[] = $point;
        $this->xs[] = $x;
        $this->ys[] = $y;

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
            $to = $ring[($i + 1) % count($ring)];
            [$a, $b] = [$this->vertices[$from], $this->vertices[$to]];
            [$left, $right] = $a->x < $b->x ? [$a->x - $near, $b->x + $near] : [$b->x - $near, $a->x + $near];
            [$low, $high] = $a->y < $b->y ? [$a->y - $near, $b->y + $near] : [$b->y - $near, $a->y + $near];
            $along = $b->minus($a);
            $far = $near * (abs($along->x) + abs($along->y));
            $between = [];
            [$ax, $ay, $dx, $dy] = [$a->x, $a->y, $along->x, $along->y];
            foreach ($this->xs as $v => $x) {
                if ($x < $left || $x > $right || $v === $from || $v === $to) {
                    continue;
                }
                $y = $this->ys[$v];
                // Beside the side's box, or far from its line: most points, told without a segment's arithmetic.
                if ($y < $low || $y > $high || abs($dx * ($y - $ay) - $dy * ($x - $ax)) > $far) {
                    continue;
                }
                if ((new Segment($a, $b))->containsStrictly($this->vertices[$v])) {
                    $between[$v] = $this->vertices[$v]->minus($a)->length();
                }
            }
            if ($between === []) {
                continue;
            }
            asort($between);
            array_push($full, ...array_keys($between));
        }

        return $full;
    }
}
