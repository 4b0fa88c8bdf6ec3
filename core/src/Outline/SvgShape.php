<?php

declare(strict_types=1);

namespace Gimbo\Core\Outline;

use Gimbo\Core\Error\InvalidDocument;
use Gimbo\Core\Geometry\Point;

/** What one shape of an SVG drawing draws, in its own coordinates (SVG 1.1, chapter 9). */
final readonly class SvgShape
{
    public const NAMES = ['path', 'rect', 'circle', 'ellipse', 'line', 'polyline', 'polygon'];

    /**
     * @param array<string, string> $attributes
     * @return list<Stroke>
     *
     * @throws InvalidDocument where a path is none
     */
    public static function strokes(string $name, array $attributes, float $tolerance): array
    {
        $n = fn (string $key): float => self::number($attributes, $key);

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

    /**
     * The number an attribute begins with, whatever unit follows; 0 where there is none.
     *
     * @param array<string, string> $attributes
     */
    public static function number(array $attributes, string $key): float
    {
        return preg_match('/^\s*([+-]?(?:\d+\.?\d*|\.\d+)(?:e[+-]?\d{1,3})?)/i', $attributes[$key] ?? '', $match) === 1 ? (float) $match[1] : 0.0;
    }
}
