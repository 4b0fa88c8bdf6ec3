<?php

declare(strict_types=1);

namespace Gimbo\Core\Crease;

use Gimbo\Core\Geometry\Point;
use Gimbo\Core\Geometry\Polygon;
use Gimbo\Core\Geometry\Tolerance;
use LogicException;

/**
 * A piece after all cutting: outline, creases, slits, faces and glue, as FOLD 1.2 sees them.
 *
 * Millimetres; x right, y up, seen from the side that becomes the inside, so that a flap folded in is a valley.
 * Invariant: every index names something that is there. Face 0 stays on the table when the piece is folded.
 */
final class Pattern
{
    /** @var array<int, Polygon> those that were asked for before, by face */
    private array $polygons = [];

    /**
     * @param list<Point> $vertices
     * @param list<Edge> $edges
     * @param list<Face> $faces
     * @param list<int> $layers faces of the flat folded piece from the lowest to the uppermost; empty where it does not lie flat
     * @param int $standing index of the face the finished piece stands on
     */
    public function __construct(
        public readonly array $vertices,
        public readonly array $edges,
        public readonly array $faces,
        public readonly array $layers = [],
        public readonly int $standing = 0,
    ) {
        foreach ($edges as $edge) {
            isset($vertices[$edge->from], $vertices[$edge->to]) || throw new LogicException('An edge names a vertex that is not there.');
        }
        foreach ($faces as $face) {
            foreach ($face->vertices as $vertex) {
                isset($vertices[$vertex]) || throw new LogicException('A face names a vertex that is not there.');
            }
            $face->gluedTo === null || isset($faces[$face->gluedTo]) || throw new LogicException('Glued to a face that is not there.');
        }
        foreach ($layers as $layer) {
            isset($faces[$layer]) || throw new LogicException('A layer names a face that is not there.');
        }
    }

    public function polygon(int $face): Polygon
    {
        return $this->polygons[$face] ??= Polygon::of(array_map(fn (int $v) => $this->vertices[$v], $this->faces[$face]->vertices));
    }

    public function faceNamed(string $name): int
    {
        foreach ($this->faces as $i => $face) {
            if ($face->name === $name) {
                return $i;
            }
        }
        throw new LogicException("No face is named $name.");
    }

    /** @return list<int> indexes of the edges whose ends both lie on the way from one point to the other */
    public function edgesAlong(Point $from, Point $to): array
    {
        $way = $to->minus($from);
        $isOn = fn (int $vertex): bool => abs($way->cross($this->vertices[$vertex]->minus($from))) / $way->length() < Tolerance::SAME_POINT_MM
            && abs($way->dot($this->vertices[$vertex]->minus($from)) / $way->dot($way) - 0.5) < 0.5 + Tolerance::SAME_POINT_MM;

        return array_keys(array_filter($this->edges, fn (Edge $edge) => $isOn($edge->from) && $isOn($edge->to)));
    }

    /** @return list<int> indexes of the edges that belong to the crease */
    public function edgesNamed(string $name): array
    {
        return $this->edgesByName()[$name] ?? [];
    }

    /** @return array<string, list<int>> indexes of the edges of each crease */
    public function edgesByName(): array
    {
        $edges = [];
        foreach ($this->edges as $i => $edge) {
            $edge->name === null || $edges[$edge->name][] = $i;
        }

        return $edges;
    }
}
