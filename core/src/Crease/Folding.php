<?php

declare(strict_types=1);

namespace Gimbo\Core\Crease;

use Gimbo\Core\Geometry\Motion;
use Gimbo\Core\Geometry\Point;
use Gimbo\Core\Geometry\Vector;
use LogicException;

/**
 * A pattern folded rigidly, its face 0 lying where it lay on the sheet; paper taken as having no thickness.
 *
 * Each face is carried along the shortest chain of hinges from face 0. Where hinges close a ring, the copies of a
 * vertex must meet again: gap() says how far apart they end.
 */
final class Folding
{
    /** @var array<int, array{Point, Point, Point, Vector, Vector, Vector}> those that were asked for before, by face */
    private array $frames = [];

    /** @param list<list<Vector>> $faces the vertices of each face in space, in the pattern's own order */
    private function __construct(public readonly Pattern $pattern, public readonly array $faces)
    {
    }

    /** Folded by a share of the assembled state's angles: 0 is the flat sheet, 1 the finished thing. */
    public static function of(Pattern $pattern, float $share = 1.0): self
    {
        $faces = [];
        foreach (self::motions($pattern, $share) as $face => $motion) {
            $faces[$face] = array_map(fn (int $v) => $motion->of($pattern->vertices[$v]), $pattern->faces[$face]->vertices);
        }
        ksort($faces);

        return new self($pattern, array_values($faces));
    }

    /** The largest distance in millimetres between the two places in which faces that a hinge joins have its ends. */
    public function gap(): float
    {
        $gap = 0.0;
        foreach (self::hinges($this->pattern) as $face => $hinges) {
            foreach ($hinges as [$other, , $from, $to]) {
                foreach ([$from, $to] as $vertex) {
                    $gap = max($gap, $this->place($face, $vertex)->minus($this->place($other, $vertex))->length());
                }
            }
        }

        return $gap;
    }

    private function place(int $face, int $vertex): Vector
    {
        return $this->faces[$face][(int) array_search($vertex, $this->pattern->faces[$face]->vertices, true)];
    }

    /**
     * A rigid fold keeps the face's own frame: its first corner, its first side, and square to that.
     *
     * @return array{Point, Point, Point, Vector, Vector, Vector} flat and folded: the corner and both directions
     */
    public function frame(int $face): array
    {
        return $this->frames[$face] ??= $this->framed($face);
    }

    /** @return array{Point, Point, Point, Vector, Vector, Vector} */
    private function framed(int $face): array
    {
        $ring = $this->pattern->faces[$face]->vertices;
        [$a, $b] = [$this->pattern->vertices[$ring[0]], $this->pattern->vertices[$ring[1]]];
        $folded = $this->faces[$face];
        $x = $folded[1]->minus($folded[0])->unit();
        $flatX = $b->minus($a)->times(1 / $b->minus($a)->length());

        return [$a, $flatX, new Point(-$flatX->y, $flatX->x), $folded[0], $x, Overlap::normal($folded)->cross($x)];
    }

    /** Whether a face of a flat fold lies wrong side up: seen from above, its corners run clockwise. */
    public function isTurnedOver(int $face): bool
    {
        $double = 0.0;
        $last = $this->faces[$face][count($this->faces[$face]) - 1];
        foreach ($this->faces[$face] as $corner) {
            $double += $last->x * $corner->y - $corner->x * $last->y;
            $last = $corner;
        }

        return $double < 0;
    }

    /**
     * The shortest chains of hinges from a face to every other, parents before children.
     *
     * @return array<int, array{parent: int, edge: Edge, from: int, to: int}> by face; the hinge's ends as the parent walks it anticlockwise
     */
    public static function tree(Pattern $pattern, int $root = 0): array
    {
        $hinges = self::hinges($pattern);
        $tree = [];
        $queue = [$root];
        while ($queue !== []) {
            $face = array_shift($queue);
            foreach ($hinges[$face] ?? [] as [$next, $edge, $from, $to]) {
                if ($next === $root || isset($tree[$next])) {
                    continue;
                }
                $tree[$next] = ['parent' => $face, 'edge' => $edge, 'from' => $from, 'to' => $to];
                $queue[] = $next;
            }
        }
        if (count($tree) !== count($pattern->faces) - 1) {
            throw new LogicException('A face hangs on no hinge.');
        }

        return $tree;
    }

    /** The turn of a hinge: walking anticlockwise from $from to $to the neighbour lies on the right; a valley lifts it. */
    public static function turn(Pattern $pattern, int $from, int $to, float $degrees): Motion
    {
        return Motion::about($pattern->vertices[$to], $pattern->vertices[$from], $degrees);
    }

    /** @return array<int, Motion> by face */
    private static function motions(Pattern $pattern, float $share): array
    {
        $motions = [0 => Motion::none()];
        foreach (self::tree($pattern) as $face => ['parent' => $parent, 'edge' => $edge, 'from' => $from, 'to' => $to]) {
            $motions[$face] = $motions[$parent]->after(self::turn($pattern, $from, $to, $edge->foldDegrees * $share));
        }

        return $motions;
    }

    /** @return array<int, list<array{int, Edge, int, int}>> by face: the neighbour, the hinge, and its ends as the face walks it */
    private static function hinges(Pattern $pattern): array
    {
        // A side walked from one vertex to another has the number from · n + to.
        $n = count($pattern->vertices);
        $edges = [];
        foreach ($pattern->edges as $edge) {
            if ($edge->assignment->isFold() || in_array($edge->assignment, [Assignment::Flat, Assignment::Join], true)) {
                $edges[$edge->from * $n + $edge->to] = $edges[$edge->to * $n + $edge->from] = $edge;
            }
        }
        $walks = [];
        foreach ($pattern->faces as $f => $face) {
            foreach ($face->vertices as $i => $from) {
                $walk = $from * $n + ($face->vertices[$i + 1] ?? $face->vertices[0]);
                isset($edges[$walk]) && $walks[$walk] = $f;
            }
        }
        $hinges = [];
        foreach ($walks as $walk => $face) {
            [$from, $to] = [intdiv($walk, $n), $walk % $n];
            $other = $walks[$to * $n + $from] ?? null;
            $other !== null && $hinges[$face][] = [$other, $edges[$walk], $from, $to];
        }

        return $hinges;
    }
}
