<?php

declare(strict_types=1);

namespace Gimbo\Core\Outline;

use Gimbo\Core\Error\InvalidDocument;
use Gimbo\Core\Error\Reason;
use Gimbo\Core\Geometry\Point;

/** What one entity of a DXF drawing draws, in the drawing's own unit (group codes of the DXF reference, from memory). */
final readonly class DxfShape
{
    public const ENTITIES = ['LINE', 'LWPOLYLINE', 'POLYLINE', 'ARC', 'CIRCLE', 'ELLIPSE', 'SPLINE'];

    /** Entities whose points are seen along a direction of their own (codes 210 to 230): from below, x runs the other way. */
    private const SEEN_ALONG = ['LWPOLYLINE', 'POLYLINE', 'ARC', 'CIRCLE'];

    /** @throws InvalidDocument where a number is none, or a spline's numbers do not make one */
    public static function stroke(DxfEntity $entity, float $tolerance): Stroke
    {
        $isClosed = ((int) ($entity->get(70) ?? '0') & 1) === 1;
        $stroke = match ($entity->type) {
            'LINE' => new Stroke([$entity->point(10), $entity->point(11)], false),
            'CIRCLE' => new Stroke(array_slice(self::arc($entity, 0, 2 * M_PI, $tolerance), 1), true),
            'ARC' => new Stroke(self::arc($entity, deg2rad($entity->number(50)), self::sweep(deg2rad($entity->number(50)), deg2rad($entity->number(51))), $tolerance), false),
            'ELLIPSE' => self::ellipse($entity, $tolerance),
            'SPLINE' => self::spline($entity, $isClosed, $tolerance),
            'POLYLINE' => self::polyline(array_map(self::vertex(...), $entity->vertices), $isClosed, $tolerance),
            default => self::polyline(self::lightVertices($entity), $isClosed, $tolerance),
        };

        return in_array($entity->type, self::SEEN_ALONG, true) && $entity->isFromBelow()
            ? new Stroke(array_map(fn (Point $p) => new Point(-$p->x, $p->y), $stroke->points), $stroke->isClosed) : $stroke;
    }

    /** @return list<Point> */
    private static function arc(DxfEntity $entity, float $from, float $sweep, float $tolerance): array
    {
        return Curve::arc($entity->point(10), $entity->number(40), $entity->number(40), 0, $from, $sweep, $tolerance);
    }

    private static function ellipse(DxfEntity $entity, float $tolerance): Stroke
    {
        $axis = $entity->point(11);
        [$from, $to] = [$entity->number(41), $entity->number(42, 2 * M_PI)];
        $sweep = self::sweep($from, $to);
        $other = $axis->length() * $entity->number(40, 1.0) * ($entity->isFromBelow() ? -1 : 1);
        $arc = Curve::arc($entity->point(10), $axis->length(), $other, atan2($axis->y, $axis->x), $from, $sweep, $tolerance);

        return $sweep > 2 * M_PI - 1e-6 ? new Stroke(array_slice($arc, 1), true) : new Stroke($arc, false);
    }

    /** Anticlockwise from one angle to the other, as DXF draws arcs. */
    private static function sweep(float $from, float $to): float
    {
        $sweep = fmod($to - $from, 2 * M_PI);

        return $sweep <= 1e-9 ? $sweep + 2 * M_PI : $sweep;
    }

    /** By its control points; one that has only points it goes through is left as straight lines through them. */
    private static function spline(DxfEntity $entity, bool $isClosed, float $tolerance): Stroke
    {
        $points = $entity->points(10);
        if ($points === []) {
            return new Stroke($entity->points(11), $isClosed);
        }
        $spline = Spline::of((int) $entity->number(71, 3.0), $points, $entity->numbers(41), $entity->numbers(40))
            ?? throw InvalidDocument::at('/file', Reason::of('outline.spline'));
        $drawn = $spline->drawn($tolerance);
        $meets = count($drawn) > 3 && $drawn[0]->minus($drawn[count($drawn) - 1])->length() <= $tolerance;

        return new Stroke($meets ? array_slice($drawn, 1) : $drawn, $meets);
    }

    /**
     * @param array<int, string> $codes
     * @return array{Point, float} with the bulge of the side that follows
     */
    private static function vertex(array $codes): array
    {
        return [new Point(DxfEntity::read($codes[10] ?? '0'), DxfEntity::read($codes[20] ?? '0')), DxfEntity::read($codes[42] ?? '0')];
    }

    /** @return list<array{Point, float}> with the bulge of the side that follows */
    private static function lightVertices(DxfEntity $entity): array
    {
        $vertices = [];
        foreach ($entity->codes as [$code, $value]) {
            if ($code === 10) {
                $vertices[] = [10 => $value];
            } elseif (in_array($code, [20, 42], true) && $vertices !== []) {
                $vertices[count($vertices) - 1][$code] = $value;
            }
        }

        return array_map(self::vertex(...), $vertices);
    }

    /**
     * A side's bulge is the tangent of a quarter of its arc's angle, positive to the right of the way (anticlockwise).
     *
     * @param list<array{Point, float}> $vertices
     */
    private static function polyline(array $vertices, bool $isClosed, float $tolerance): Stroke
    {
        $points = [];
        foreach ($vertices as $i => [$from, $bulge]) {
            $points[] = $from;
            OutlineFile::keepWithin(count($points));
            $next = $vertices[$i + 1] ?? ($isClosed ? $vertices[0] : null);
            if ($next === null || abs($bulge) < 1e-9) {
                continue;
            }
            $chord = $next[0]->minus($from);
            $middle = $from->plus($next[0])->times(0.5);
            $toCentre = (1 - $bulge * $bulge) / (4 * $bulge);
            $centre = new Point($middle->x - $chord->y * $toCentre, $middle->y + $chord->x * $toCentre);
            $out = $from->minus($centre);
            array_push($points, ...array_slice(Curve::arc($centre, $out->length(), $out->length(), 0, atan2($out->y, $out->x), 4 * atan($bulge), $tolerance), 1, -1));
        }

        return new Stroke($points, $isClosed);
    }
}
