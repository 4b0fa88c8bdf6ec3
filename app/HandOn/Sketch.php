<?php

declare(strict_types=1);

namespace App\HandOn;

use Gimbo\Core\Design\Design;
use Gimbo\Core\Exchange\StillWriter;

/** The finished thing as a small drawing for a handout, in SVG. */
final class Sketch
{
    private const INK = '#14303b';

    /** The colours a face has in full light and in shade, red, green and blue, by what it is of. */
    private const FACES = ['in' => [[250, 250, 245], [150, 160, 160]], 'out' => [[214, 226, 228], [100, 125, 132]], 'held' => [[245, 208, 150], [190, 140, 80]]];

    private const STROKE_SHARE = 0.012;

    public static function finished(Design $design): string
    {
        $still = StillWriter::write($design);
        $line = max($still['width'], $still['height']) * self::STROKE_SHARE / 4;
        $shapes = '';
        foreach ($still['faces'] as $face) {
            $shapes .= self::ring($face['ring'], self::shade($face['side'], $face['light']), self::INK, $line);
        }

        return self::svg($still['width'], $still['height'], $shapes, $line * 2);
    }

    /** @param list<array{float, float}> $ring */
    private static function ring(array $ring, string $fill, string $stroke, float $width): string
    {
        return sprintf('<polygon points="%s" fill="%s" stroke="%s" stroke-width="%.2F" stroke-linejoin="round"/>', implode(' ', array_map(fn (array $p) => sprintf('%.2F,%.2F', ...$p), $ring)), $fill, $stroke, $width);
    }

    private static function shade(string $side, float $light): string
    {
        [$full, $shade] = self::FACES[$side] ?? self::FACES['in'];

        return vsprintf('#%02x%02x%02x', array_map(fn (int $bright, int $dark) => (int) round($dark + ($bright - $dark) * $light), $full, $shade));
    }

    private static function svg(float $width, float $height, string $shapes, float $pad): string
    {
        return sprintf('<svg xmlns="http://www.w3.org/2000/svg" width="%3$.2F" height="%4$.2F" viewBox="%1$.2F %1$.2F %3$.2F %4$.2F">%2$s</svg>', -$pad, $shapes, $width + 2 * $pad, $height + 2 * $pad);
    }
}
