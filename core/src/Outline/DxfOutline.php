<?php

declare(strict_types=1);

namespace Gimbo\Core\Outline;

use Gimbo\Core\Error\InvalidDocument;
use Gimbo\Core\Error\Reason;
use Gimbo\Core\Geometry\Point;

/**
 * The lines of a DXF drawing as text, release 12 or later: LINE, POLYLINE, LWPOLYLINE, ARC, CIRCLE and ELLIPSE.
 *
 * Blocks, splines and texts are left out. Millimetres a unit follow from $INSUNITS, which many drawings lack.
 */
final class DxfOutline
{
    /** $INSUNITS by its code, in millimetres (codes of the format, from memory; 4 as ezdxf reads it in what we write). */
    private const UNITS = [1 => 25.4, 2 => 304.8, 4 => 1.0, 5 => 10.0, 6 => 1000.0];

    private const ENTITIES = ['LINE', 'LWPOLYLINE', 'POLYLINE', 'ARC', 'CIRCLE', 'ELLIPSE'];

    /** @throws InvalidDocument */
    public static function read(string $file): Drawing
    {
        [$units, $section, $wanted, $entities, $count] = [0, '', '', [], 0];
        $entity = null;
        foreach (self::pairs($file) as [$code, $value]) {
            if ($code === 0) {
                $wanted = $value === 'SECTION' ? 'section' : '';
                $section = $value === 'ENDSEC' ? '' : $section;
                if ($value === 'VERTEX' && $entity?->type === 'POLYLINE') {
                    $entity->vertices[] = [];
                } else {
                    $entity = $section === 'ENTITIES' && in_array($value, self::ENTITIES, true) ? new DxfEntity($value) : null;
                    $entity === null || $entities[] = $entity;
                }
                ++$count <= OutlineFile::MOST_POINTS || throw InvalidDocument::at('/file', Reason::of('outline.too-much', ['most' => OutlineFile::MOST_POINTS]));
            } elseif ($wanted === 'section' && $code === 2) {
                [$section, $wanted] = [$value, ''];
            } elseif ($section === 'HEADER' && $code === 9) {
                $wanted = $value;
            } elseif ($wanted === '$INSUNITS' && $code === 70) {
                $units = (int) $value;
            } else {
                $entity?->put($code, $value);
            }
        }

        return new Drawing(self::UNITS[$units] ?? null, fn (float $scale) => array_map(fn (DxfEntity $one) => self::stroke($one, $scale), $entities));
    }

    /** @return iterable<array{int, string}> group codes with their values */
    private static function pairs(string $file): iterable
    {
        $lines = preg_split('/\r\n|\r|\n/', $file) ?: [];
        for ($i = 0; $i + 1 < count($lines); $i += 2) {
            $code = trim($lines[$i]);
            preg_match('/^-?\d{1,4}$/', $code) === 1 || throw InvalidDocument::at('/file', Reason::of('outline.dxf', ['line' => $i + 1]));
            yield [(int) $code, trim($lines[$i + 1])];
        }
    }

    private static function stroke(DxfEntity $entity, float $scale): Stroke
    {
        $number = fn (int $code, float $else = 0.0): float => ($text = $entity->get($code)) === null ? $else : self::number($text);
        $point = fn (int $code): Point => new Point($number($code) * $scale, $number($code + 10) * $scale);
        $tolerance = Outline::TRUE_TO_MM;
        $isClosed = ((int) ($entity->get(70) ?? '0') & 1) === 1;

        return match ($entity->type) {
            'LINE' => new Stroke([$point(10), $point(11)], false),
            'CIRCLE' => new Stroke(array_slice(Curve::arc($point(10), $number(40) * $scale, $number(40) * $scale, 0, 0, 2 * M_PI, $tolerance), 1), true),
            'ARC' => new Stroke(Curve::arc($point(10), $number(40) * $scale, $number(40) * $scale, 0, deg2rad($number(50)), self::sweep(deg2rad($number(50)), deg2rad($number(51))), $tolerance), false),
            'ELLIPSE' => self::ellipse($point(10), $point(11), $number(40, 1.0), $number(41), $number(42, 2 * M_PI), $tolerance),
            'POLYLINE' => self::polyline(array_map(fn (array $vertex) => self::vertex($vertex[10] ?? '0', $vertex[20] ?? '0', $vertex[42] ?? '0', $scale), $entity->vertices), $isClosed),
            default => self::polyline(self::lightVertices($entity->codes, $scale), $isClosed),
        };
    }

    /** @return array{Point, float} with the bulge of the side that follows */
    private static function vertex(string $x, string $y, string $bulge, float $scale): array
    {
        return [new Point(self::number($x) * $scale, self::number($y) * $scale), self::number($bulge)];
    }

    private static function ellipse(Point $centre, Point $axis, float $ratio, float $from, float $to, float $tolerance): Stroke
    {
        $sweep = self::sweep($from, $to);
        $arc = Curve::arc($centre, $axis->length(), $axis->length() * $ratio, atan2($axis->y, $axis->x), $from, $sweep, $tolerance);

        return $sweep > 2 * M_PI - 1e-6 ? new Stroke(array_slice($arc, 1), true) : new Stroke($arc, false);
    }

    /** Anticlockwise from one angle to the other, as DXF draws arcs. */
    private static function sweep(float $from, float $to): float
    {
        $sweep = fmod($to - $from, 2 * M_PI);

        return $sweep <= 1e-9 ? $sweep + 2 * M_PI : $sweep;
    }

    /**
     * @param list<array{int, string}> $codes
     * @return list<array{Point, float}> with the bulge of the side that follows
     */
    private static function lightVertices(array $codes, float $scale): array
    {
        $vertices = [];
        foreach ($codes as [$code, $value]) {
            if ($code === 10) {
                $vertices[] = [10 => $value];
            } elseif (in_array($code, [20, 42], true) && $vertices !== []) {
                $vertices[count($vertices) - 1][$code] = $value;
            }
        }

        return array_map(fn (array $vertex) => self::vertex($vertex[10] ?? '0', $vertex[20] ?? '0', $vertex[42] ?? '0', $scale), $vertices);
    }

    /**
     * A side's bulge is the tangent of a quarter of its arc's angle, positive to the right of the way (anticlockwise).
     *
     * @param list<array{Point, float}> $vertices
     */
    private static function polyline(array $vertices, bool $isClosed): Stroke
    {
        $points = [];
        foreach ($vertices as $i => [$from, $bulge]) {
            $points[] = $from;
            $next = $vertices[$i + 1] ?? ($isClosed ? $vertices[0] : null);
            if ($next === null || abs($bulge) < 1e-9) {
                continue;
            }
            $chord = $next[0]->minus($from);
            $angle = 4 * atan($bulge);
            $middle = $from->plus($next[0])->times(0.5);
            $toCentre = (1 - $bulge * $bulge) / (4 * $bulge);
            $centre = new Point($middle->x - $chord->y * $toCentre, $middle->y + $chord->x * $toCentre);
            $out = $from->minus($centre);
            array_push($points, ...array_slice(Curve::arc($centre, $out->length(), $out->length(), 0, atan2($out->y, $out->x), $angle, Outline::TRUE_TO_MM), 1, -1));
        }

        return new Stroke($points, $isClosed);
    }

    private static function number(string $text): float
    {
        return is_numeric($text) && is_finite((float) $text) ? (float) $text : throw InvalidDocument::at('/file', Reason::of('outline.number', ['text' => Reason::quote($text)]));
    }
}
