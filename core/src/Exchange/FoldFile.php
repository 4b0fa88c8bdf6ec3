<?php

declare(strict_types=1);

namespace Gimbo\Core\Exchange;

use Gimbo\Core\Crease\Edge;
use Gimbo\Core\Crease\Face;
use Gimbo\Core\Crease\Folding;
use Gimbo\Core\Crease\Pattern;
use Gimbo\Core\Geometry\Point;

/**
 * Crease patterns as FOLD 1.2 documents in millimetres.
 *
 * Attributes of our own, in the namespace the specification leaves to programs: `faces_gimbo:name`, `faces_gimbo:role` (what it is
 * for, see FaceRole), `faces_gimbo:twin` (the index of its mirror image, or null), `faces_gimbo:glue` (of the face it is glued to, or
 * null), `edges_gimbo:crease` (the score it belongs to), and `gimbo:standing` (the face the finished piece stands on). The order of
 * the layers travels as `faceOrders`. Read back by Outline\FoldReader.
 */
final class FoldFile
{
    private const DECIMALS = 6;

    /**
     * @param (callable(): Folding)|null $folding the same pattern folded, where that is at hand
     * @return array<string, mixed>
     */
    public static function write(Pattern $pattern, ?callable $folding = null): array
    {
        $document = [
            'file_spec' => 1.2,
            'file_creator' => 'Gimbo',
            'file_classes' => ['singleModel'],
            'frame_classes' => ['creasePattern'],
            'frame_attributes' => ['2D'],
            'frame_unit' => 'mm',
            'vertices_coords' => array_map(fn (Point $p) => [round($p->x, self::DECIMALS), round($p->y, self::DECIMALS)], $pattern->vertices),
            'edges_vertices' => array_map(fn (Edge $edge) => [$edge->from, $edge->to], $pattern->edges),
            'edges_assignment' => array_map(fn (Edge $edge) => $edge->assignment->value, $pattern->edges),
            'edges_foldAngle' => array_map(fn (Edge $edge) => $edge->foldDegrees, $pattern->edges),
            'edges_gimbo:crease' => array_map(fn (Edge $edge) => $edge->name, $pattern->edges),
            'faces_vertices' => array_map(fn (Face $face) => $face->vertices, $pattern->faces),
            'faces_gimbo:name' => array_map(fn (Face $face) => $face->name, $pattern->faces),
            'faces_gimbo:role' => array_map(fn (Face $face) => $face->role->value, $pattern->faces),
            'faces_gimbo:twin' => array_map(fn (Face $face) => $face->twin, $pattern->faces),
            'faces_gimbo:glue' => array_map(fn (Face $face) => $face->gluedTo, $pattern->faces),
            'gimbo:standing' => $pattern->standing,
        ];

        return $pattern->layers === [] ? $document : $document + ['faceOrders' => self::orders($folding === null ? Folding::of($pattern) : $folding())];
    }

    /** @return list<array{int, int, int}> each face against every one below it: [f, g, s] as FOLD has it, s against g's own normal */
    private static function orders(Folding $folding): array
    {
        // A face lies wrong side up after an odd number of folds from face 0.
        $isTurned = array_map($folding->isTurnedOver(...), array_keys($folding->faces));
        $layers = $folding->pattern->layers;
        $orders = [];
        foreach ($layers as $height => $upper) {
            foreach (array_slice($layers, 0, $height) as $lower) {
                $orders[] = [$upper, $lower, $isTurned[$lower] ? -1 : 1];
            }
        }

        return $orders;
    }
}
