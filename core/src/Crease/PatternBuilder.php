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
        $rings = [];
        foreach ($this->faces as $name => $outline) {
            foreach ($outline->points as $point) {
                $rings[$name][] = $this->vertex($point);
            }
        }
        $rings = $this->withVerticesBetween($rings);
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
        $most = count($this->vertices);
        $sides = $others = [];
        foreach ($rings as $name => $ring) {
            foreach ($ring as $i => $from) {
                $to = $ring[$i + 1] ?? $ring[0];
                $side = $from < $to ? $from * $most + $to : $to * $most + $from;
                if (isset($sides[$side])) {
                    $others[$side] ??= $name;
                } else {
                    $sides[$side] = [$from, $to, $name];
                }
            }
        }
        $edges = [];
        foreach ($sides as $side => [$from, $to, $name]) {
            $other = $others[$side] ?? null;
            if ($other === null) {
                $edges[] = new Edge($from, $to, Assignment::Boundary);

                continue;
            }
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
        // Corners of one grid come from the same figures, and are mostly the same to the last bit.
        foreach ($this->xs as $i => $known) {
            if ($known === $x && $this->ys[$i] === $y) {
                return $i;
            }
        }
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
     * Each ring with every vertex of other faces that lies on one of its sides. A side that two faces share from end to end has
     * none.
     *
     * @param array<string, list<int>> $rings
     * @return array<string, list<int>>
     */
    private function withVerticesBetween(array $rings): array
    {
        $n = count($this->vertices);
        $uses = [];
        foreach ($rings as $ring) {
            foreach ($ring as $i => $from) {
                $to = $ring[$i + 1] ?? $ring[0];
                $side = $from < $to ? $from * $n + $to : $to * $n + $from;
                $uses[$side] = ($uses[$side] ?? 0) + 1;
            }
        }
        $full = [];
        foreach ($rings as $name => $ring) {
            $whole = [];
            foreach ($ring as $i => $from) {
                $to = $ring[$i + 1] ?? $ring[0];
                $whole[] = $from;
                if ($uses[$from < $to ? $from * $n + $to : $to * $n + $from] === 1) {
                    foreach ($this->between($from, $to) as $between) {
                        $whole[] = $between;
                    }
                }
            }
            $full[$name] = $whole;
        }

        return $full;
    }

    /** @return list<int> the vertices on the way from one to another */
    private function between(int $from, int $to): array
    {
        $near = Tolerance::SAME_POINT_MM;
        [$ax, $ay, $bx, $by] = [$this->xs[$from], $this->ys[$from], $this->xs[$to], $this->ys[$to]];
        [$left, $right] = $ax < $bx ? [$ax - $near, $bx + $near] : [$bx - $near, $ax + $near];
        [$low, $high] = $ay < $by ? [$ay - $near, $by + $near] : [$by - $near, $ay + $near];
        [$dx, $dy] = [$bx - $ax, $by - $ay];
        $far = $near * (abs($dx) + abs($dy));
        $between = [];
        foreach ($this->xs as $v => $x) {
            if ($x < $left || $x > $right || $v === $from || $v === $to) {
                continue;
            }
            $y = $this->ys[$v];
            // Beside the side's box, or far from its line: most points, told without a segment's arithmetic.
            if ($y < $low || $y > $high || abs($dx * ($y - $ay) - $dy * ($x - $ax)) > $far) {
                continue;
            }
            if ((new Segment($this->vertices[$from], $this->vertices[$to]))->containsStrictly($this->vertices[$v])) {
                $between[$v] = $this->vertices[$v]->minus($this->vertices[$from])->length();
            }
        }
        if ($between === []) {
            return [];
        }
        asort($between);

        return array_keys($between);
    }
}
