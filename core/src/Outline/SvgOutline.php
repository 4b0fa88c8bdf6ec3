<?php

declare(strict_types=1);

namespace Gimbo\Core\Outline;

use Gimbo\Core\Error\InvalidDocument;
use Gimbo\Core\Error\Reason;
use Gimbo\Core\Geometry\Point;
use XMLReader;

/**
 * The shapes of an SVG drawing: path, rect, circle, ellipse, line, polyline and polygon, with the transforms they stand under.
 *
 * What is only defined, clipped by or written as text is left out. A drawing that declares entities, or carries scripts, is
 * refused unread. Millimetres a unit follow from the document's width and viewBox, where the width has a unit of length.
 */
final class SvgOutline
{
    private const SHAPES = ['path', 'rect', 'circle', 'ellipse', 'line', 'polyline', 'polygon'];

    private const LEFT_OUT = ['defs', 'clipPath', 'mask', 'symbol', 'pattern', 'marker', 'text', 'style', 'metadata', 'title', 'desc'];

    private const HOSTILE = ['script', 'foreignObject', 'iframe', 'object', 'embed'];

    /** How deep groups may lie in one another. */
    private const DEEPEST = 100;

    /** @throws InvalidDocument */
    public static function read(string $file): Drawing
    {
        if (preg_match('/<!\s*(ENTITY|ELEMENT|ATTLIST|NOTATION)|<!DOCTYPE[^>]*\[/i', $file) === 1) {
            throw InvalidDocument::at('/file', Reason::of('outline.entities'));
        }
        if (str_contains($file, "\0") || ! mb_check_encoding($file, 'UTF-8')) {
            throw InvalidDocument::at('/file', Reason::of('outline.svg'));
        }
        $before = libxml_use_internal_errors(true);
        try {
            return self::shapes($file);
        } finally {
            libxml_clear_errors();
            libxml_use_internal_errors($before);
        }
    }

    private static function shapes(string $file): Drawing
    {
        $xml = new XMLReader;
        $xml->XML($file, null, LIBXML_NONET | LIBXML_COMPACT) === true || throw InvalidDocument::at('/file', Reason::of('outline.svg'));
        [$scale, $isSvg, $skipsBelow, $shapes] = [null, false, null, []];
        $transforms = [Transform::none()];
        while ($xml->read()) {
            if ($xml->nodeType !== XMLReader::ELEMENT) {
                continue;
            }
            $name = $xml->localName;
            $attributes = self::attributes($xml);
            self::isHostile($name, $attributes) && throw InvalidDocument::at('/file', Reason::of('outline.script'));
            $skipsBelow = $skipsBelow !== null && $xml->depth <= $skipsBelow ? null : $skipsBelow;
            if ($skipsBelow !== null) {
                continue;
            }
            if ($xml->depth === 0) {
                $isSvg = $name === 'svg';
                $scale = self::scale($attributes);
            }
            if (in_array($name, self::LEFT_OUT, true) || preg_match('/\bdisplay\s*:\s*none\b/', 'display:'.($attributes['display'] ?? '').';'.($attributes['style'] ?? '')) === 1) {
                $skipsBelow = $xml->depth;

                continue;
            }
            $xml->depth <= self::DEEPEST || throw InvalidDocument::at('/file', Reason::of('outline.svg'));
            $transform = $transforms[$xml->depth]->after(Transform::written($attributes['transform'] ?? ''));
            $transforms[$xml->depth + 1] = $transform;
            if (in_array($name, self::SHAPES, true)) {
                $shapes[] = [$name, $attributes, $transform];
                count($shapes) <= OutlineFile::MOST_POINTS || throw InvalidDocument::at('/file', Reason::of('outline.too-much', ['most' => OutlineFile::MOST_POINTS]));
            }
        }
        $isSvg && libxml_get_errors() === [] || throw InvalidDocument::at('/file', Reason::of('outline.svg'));

        return new Drawing($scale, function (float $scale) use ($shapes): array {
            $strokes = [];
            foreach ($shapes as [$name, $attributes, $transform]) {
                $whole = Transform::upright($scale)->after($transform);
                foreach (self::strokes($name, $attributes, Outline::TRUE_TO_MM / $whole->factor()) as $stroke) {
                    $strokes[] = new Stroke(array_map($whole->of(...), $stroke->points), $stroke->isClosed);
                }
            }

            return $strokes;
        });
    }

    /** @return array<string, string> */
    private static function attributes(XMLReader $xml): array
    {
        $attributes = [];
        while ($xml->moveToNextAttribute()) {
            $attributes[$xml->name] = $xml->value;
        }
        $xml->moveToElement();

        return $attributes;
    }

    /** @param array<string, string> $attributes */
    private static function isHostile(string $name, array $attributes): bool
    {
        foreach ($attributes as $key => $value) {
            if (preg_match('/^on\w+$/i', $key) === 1 || preg_match('/^\s*javascript:/i', $value) === 1) {
                return true;
            }
        }

        return in_array($name, self::HOSTILE, true);
    }

    /**
     * Millimetres a unit, of the viewBox where there is one, and of CSS's pixel otherwise; null where the width is no length.
     *
     * @param array<string, string> $attributes of the document
     */
    private static function scale(array $attributes): ?float
    {
        $lengths = [];
        foreach (['width', 'height'] as $side) {
            if (preg_match('/^\s*([\d.]+)\s*(mm|cm|in|pt|pc)\s*$/i', $attributes[$side] ?? '', $match) === 1) {
                $lengths[$side] = (float) $match[1] * (['pc' => 25.4 / 6] + OutlineFile::UNITS)[strtolower($match[2])];
            }
        }
        if ($lengths === []) {
            return null;
        }
        /** @var array<int, float> $box */
        $box = array_map(floatval(...), preg_split('/[\s,]+/', trim($attributes['viewBox'] ?? ''), -1, PREG_SPLIT_NO_EMPTY) ?: []);
        $scales = [];
        foreach (['width' => $box[2] ?? 0.0, 'height' => $box[3] ?? 0.0] as $side => $units) {
            if (isset($lengths[$side]) && $units > 0) {
                $scales[] = $lengths[$side] / $units;
            }
        }

        return $scales === [] ? OutlineFile::UNITS['px'] : min($scales);
    }

    /**
     * @param array<string, string> $attributes
     * @return list<Stroke>
     */
    private static function strokes(string $name, array $attributes, float $tolerance): array
    {
        $n = fn (string $key): float => preg_match('/^\s*([+-]?(?:\d+\.?\d*|\.\d+)(?:e[+-]?\d{1,3})?)/i', $attributes[$key] ?? '', $match) === 1 ? (float) $match[1] : 0.0;

        return match ($name) {
            'path' => SvgPath::strokes($attributes['d'] ?? '', $tolerance),
            'line' => [new Stroke([new Point($n('x1'), $n('y1')), new Point($n('x2'), $n('y2'))], false)],
            'circle' => self::round($n('cx'), $n('cy'), $n('r'), $n('r'), $tolerance),
            'ellipse' => self::round($n('cx'), $n('cy'), $n('rx'), $n('ry'), $tolerance),
            'rect' => self::rectangle($n('x'), $n('y'), $n('width'), $n('height'), $n('rx') ?: $n('ry'), $n('ry') ?: $n('rx'), $tolerance),
            default => SvgPath::strokes(trim($attributes['points'] ?? '') === '' ? '' : 'M '.$attributes['points'].($name === 'polygon' ? ' Z' : ''), $tolerance),
        };
    }

    /** @return list<Stroke> */
    private static function round(float $x, float $y, float $rx, float $ry, float $tolerance): array
    {
        return $rx > 0 && $ry > 0 ? [new Stroke(array_slice(Curve::arc(new Point($x, $y), $rx, $ry, 0, 0, 2 * M_PI, $tolerance), 1), true)] : [];
    }

    /** @return list<Stroke> */
    private static function rectangle(float $x, float $y, float $w, float $h, float $rx, float $ry, float $tolerance): array
    {
        if ($w <= 0 || $h <= 0) {
            return [];
        }
        [$rx, $ry] = [min($rx, $w / 2), min($ry, $h / 2)];
        $points = [];
        // Corner by corner, clockwise on the screen: where it is, and where its quarter begins.
        foreach ([[0, 0, 2], [1, 0, 3], [1, 1, 0], [0, 1, 1]] as [$right, $down, $quarter]) {
            [$inX, $inY] = [1 - 2 * $right, 1 - 2 * $down];
            $corner = new Point($x + $right * $w, $y + $down * $h);
            $points = $rx <= 0 || $ry <= 0 ? [...$points, $corner]
                : [...$points, ...Curve::arc(new Point($corner->x + $inX * $rx, $corner->y + $inY * $ry), $rx, $ry, 0, $quarter * M_PI / 2, M_PI / 2, $tolerance)];
        }

        return [new Stroke($points, true)];
    }
}
