<?php

declare(strict_types=1);

namespace Gimbo\Core\Outline;

use Gimbo\Core\Error\InvalidDocument;
use Gimbo\Core\Error\Reason;
use Gimbo\Core\Geometry\Point;

/** The boundary edges of a FOLD document (FOLD 1.2, `edges_assignment` B). A `frame_unit` of `unit`, or none, says nothing of its size. */
final class FoldOutline
{
    /** @throws InvalidDocument */
    public static function read(mixed $document): Drawing
    {
        [$coords, $edges, $assignments] = is_array($document)
            ? [$document['vertices_coords'] ?? null, $document['edges_vertices'] ?? null, $document['edges_assignment'] ?? null] : [null, null, null];
        if (! is_array($document) || ! is_array($coords) || ! is_array($edges) || ! is_array($assignments) || count($edges) > OutlineFile::MOST_POINTS) {
            throw InvalidDocument::at('/file', Reason::of('outline.fold'));
        }
        $unit = $document['frame_unit'] ?? null;
        $lines = [];
        foreach ($edges as $i => $edge) {
            if (($assignments[$i] ?? null) === 'B') {
                $lines[] = [self::point($coords, is_array($edge) ? $edge[0] ?? null : null), self::point($coords, is_array($edge) ? $edge[1] ?? null : null)];
            }
        }

        return new Drawing(is_string($unit) ? FoldReader::UNITS_IN_MM[$unit] ?? null : null, fn (float $scale) => array_map(
            fn (array $line) => new Stroke([$line[0]->times($scale), $line[1]->times($scale)], false), $lines,
        ));
    }

    /** @param array<mixed> $coords */
    private static function point(array $coords, mixed $index): Point
    {
        $at = is_int($index) ? $coords[$index] ?? null : null;
        [$x, $y] = is_array($at) ? [$at[0] ?? null, $at[1] ?? null] : [null, null];
        if ((! is_int($x) && ! is_float($x)) || (! is_int($y) && ! is_float($y)) || ! is_finite($x) || ! is_finite($y)) {
            throw InvalidDocument::at('/file', Reason::of('outline.fold'));
        }

        return new Point((float) $x, (float) $y);
    }
}
