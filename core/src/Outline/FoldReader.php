<?php

declare(strict_types=1);

namespace Gimbo\Core\Outline;

use Gimbo\Core\Crease\Assignment;
use Gimbo\Core\Crease\Edge;
use Gimbo\Core\Crease\Face;
use Gimbo\Core\Crease\FaceRole;
use Gimbo\Core\Crease\Pattern;
use Gimbo\Core\Error\InvalidDocument;
use Gimbo\Core\Error\Reason;
use Gimbo\Core\Geometry\Point;

/** FOLD 1.2 documents as crease patterns, with the attributes Exchange\FoldFile gives them. */
final class FoldReader
{
    private const LARGEST = 10_000;

    /** `frame_unit` as FOLD 1.2 knows it. */
    public const UNITS_IN_MM = ['mm' => 1.0, 'cm' => 10.0, 'in' => 25.4, 'pt' => 25.4 / 72, 'm' => 1000.0, 'um' => 0.001, 'nm' => 1e-6];

    /**
     * Reads what FoldFile writes, and any FOLD document with coordinates in the plane and a known unit.
     *
     * @param mixed $document as JSON gives it
     *
     * @throws InvalidDocument at the attribute that is missing or wrong
     */
    public static function read(mixed $document): Pattern
    {
        if (! is_array($document)) {
            throw InvalidDocument::at('', Reason::of('document.not-an-object'));
        }
        $scale = self::UNITS_IN_MM[self::text($document['frame_unit'] ?? null)] ?? throw InvalidDocument::at('/frame_unit', Reason::of('fold.unit', ['known' => array_keys(self::UNITS_IN_MM)]));
        $vertices = [];
        foreach (self::rows($document, 'vertices_coords') as $i => $row) {
            $vertices[] = self::point($row, "/vertices_coords/$i", $scale);
        }
        $count = count($vertices);
        $assignments = self::rows($document, 'edges_assignment', required: false);
        $angles = self::rows($document, 'edges_foldAngle', required: false);
        $creases = self::rows($document, 'edges_gimbo:crease', required: false);
        $edges = [];
        foreach (self::rows($document, 'edges_vertices') as $i => $row) {
            $ends = self::indexes($row, "/edges_vertices/$i", $count);
            count($ends) === 2 || throw InvalidDocument::at("/edges_vertices/$i", Reason::of('fold.edge'));
            $assignment = Assignment::tryFrom(self::text($assignments[$i] ?? 'U'));
            $angle = $angles[$i] ?? 0.0;
            $edges[] = new Edge(
                $ends[0], $ends[1],
                $assignment ?? throw InvalidDocument::at("/edges_assignment/$i", Reason::of('fold.assignment', ['known' => array_column(Assignment::cases(), 'value')])),
                is_int($angle) || is_float($angle) ? (float) $angle : 0.0,
                isset($creases[$i]) ? self::text($creases[$i]) : null,
            );
        }
        $names = self::rows($document, 'faces_gimbo:name', required: false);
        $glue = self::rows($document, 'faces_gimbo:glue', required: false);
        $roles = self::rows($document, 'faces_gimbo:role', required: false);
        $twins = self::rows($document, 'faces_gimbo:twin', required: false);
        $rings = self::rows($document, 'faces_vertices', required: false);
        $faces = [];
        foreach ($rings as $i => $row) {
            $faces[] = new Face(
                self::indexes($row, "/faces_vertices/$i", $count),
                isset($names[$i]) ? self::text($names[$i]) : null,
                self::index($glue[$i] ?? null, "/faces_gimbo:glue/$i", count($rings)),
                FaceRole::tryFrom(self::text($roles[$i] ?? null)) ?? FaceRole::Panel,
                self::index($twins[$i] ?? null, "/faces_gimbo:twin/$i", count($rings)),
            );
        }

        return new Pattern(
            $vertices, $edges, $faces, self::layers(self::rows($document, 'faceOrders', required: false), count($faces)),
            self::index($document['gimbo:standing'] ?? null, '/gimbo:standing', count($faces)) ?? 0,
        );
    }

    /**
     * @param list<mixed> $orders
     * @return list<int> faces from the lowest to the uppermost, as far as write() gave a complete order
     */
    private static function layers(array $orders, int $faces): array
    {
        if (count($orders) !== intdiv($faces * ($faces - 1), 2) || $orders === []) {
            return [];
        }
        $below = array_fill(0, $faces, 0);
        foreach ($orders as $order) {
            $upper = is_array($order) ? ($order[0] ?? null) : null;
            is_int($upper) && isset($below[$upper]) && $below[$upper]++;
        }
        asort($below);

        return array_keys($below);
    }

    /**
     * @param array<mixed> $document
     * @return list<mixed>
     */
    private static function rows(array $document, string $key, bool $required = true): array
    {
        $rows = $document[$key] ?? ($required ? null : []);
        if (! is_array($rows) || ! array_is_list($rows) || count($rows) > self::LARGEST) {
            throw InvalidDocument::at("/$key", Reason::of('fold.list', ['most' => self::LARGEST]));
        }

        return $rows;
    }

    private static function point(mixed $row, string $at, float $scale): Point
    {
        $x = is_array($row) ? ($row[0] ?? null) : null;
        $y = is_array($row) ? ($row[1] ?? null) : null;
        if (! (is_int($x) || is_float($x)) || ! (is_int($y) || is_float($y))) {
            throw InvalidDocument::at($at, Reason::of('fold.point'));
        }

        return new Point($x * $scale, $y * $scale);
    }

    private static function index(mixed $value, string $at, int $count): ?int
    {
        return $value === null ? null : self::indexes([$value], $at, $count)[0];
    }

    /** @return list<int> */
    private static function indexes(mixed $row, string $at, int $count): array
    {
        if (! is_array($row) || ! array_is_list($row) || $row === []) {
            throw InvalidDocument::at($at, Reason::of('fold.indexes', ['most' => $count - 1]));
        }
        $indexes = [];
        foreach ($row as $index) {
            if (! is_int($index) || $index < 0 || $index >= $count) {
                throw InvalidDocument::at($at, Reason::of('fold.indexes', ['most' => $count - 1]));
            }
            $indexes[] = $index;
        }

        return $indexes;
    }

    private static function text(mixed $value): string
    {
        return is_string($value) ? $value : '';
    }
}
